<?php

declare(strict_types=1);

namespace App\Academy\Actions;

use App\Academy\Events\AcademyChanged;
use App\Academy\Events\PersonChanged;
use App\Academy\Links;
use App\Exceptions\ActionException;
use App\Models\Academy;
use App\Models\AccountLink;
use App\Models\User;
use Core\Sight\Role;
use Illuminate\Support\Facades\DB;

/** Makes the academy and its first head coach, by the link that the start command printed. */
final readonly class BeginAcademy
{
    public function __construct(private Links $links)
    {
    }

    /** @throws ActionException where there is an academy already */
    public function __invoke(
        AccountLink $link,
        string $academy,
        string $zone,
        string $name,
        string $email,
        string $password,
    ): User {
        return DB::transaction(function () use ($link, $academy, $zone, $name, $email, $password): User {
            if (! $this->links->use($link) || User::query()->exists()) {
                throw ActionException::because('refusals.academy.begun-already', [], ActionException::CONFLICT);
            }
            Academy::query()->updateOrCreate(
                ['id' => Academy::ID],
                ['name' => $academy, 'zone' => $zone, 'is_sample' => false, 'letterhead' => $academy],
            );
            $head = new User(compact('name', 'email', 'password'));
            $head->forceFill(['role' => Role::HeadCoach, 'state_since' => now()])->save();
            event(new AcademyChanged('academy-begun', $head, compact('zone')));
            event(new PersonChanged($head, 'person-joined', $head, ['role' => Role::HeadCoach->value]));

            return $head;
        });
    }
}
