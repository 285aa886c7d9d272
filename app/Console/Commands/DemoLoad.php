<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\LoadDemo;
use App\Models\User;
use Illuminate\Console\Command;

final class DemoLoad extends Command
{
    protected $signature = 'demo:load {--recordings= : only the first so many}';

    protected $description = 'Fill an empty database with the invented Fernhollow scenario';

    public function handle(LoadDemo $load): int
    {
        if (User::query()->exists()) {
            $this->error('The database is not empty; nothing was loaded.');

            return self::FAILURE;
        }
        $limit = $this->option('recordings');
        $load($limit === null ? null : (int) $limit);

        return self::SUCCESS;
    }
}
