<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\Fernhollow;
use App\Models\User;
use Core\Sight\Role;
use Illuminate\Console\Command;

final class DemoLogins extends Command
{
    protected $signature = 'demo:logins';

    protected $description = 'Print one demo log-in for each role';

    public function handle(): int
    {
        foreach (
            [[Role::HeadCoach, 'head coach'], [Role::Panel, 'panel member'], [Role::Instructor, 'instructor']] as [$role, $label]
        ) {
            $demo = array_column(array_filter(Fernhollow::people(), static fn (array $p): bool => $p[2] === $role), 1);
            $user = User::query()->whereIn('email', $demo)->orderBy('id')->first();
            if ($user !== null) {
                $this->line(sprintf('  %-13s %-28s password %s', $label, $user->email, Fernhollow::PASSWORD));
            }
        }

        return self::SUCCESS;
    }
}
