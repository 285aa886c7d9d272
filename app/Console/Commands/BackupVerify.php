<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operations\Actions\VerifyBackup;
use App\Operations\BackupStore;
use Illuminate\Console\Command;
use RuntimeException;

/** Restores a backup beside what is in use and compares. */
final class BackupVerify extends Command
{
    protected $signature = 'backup:verify {name? : the newest where it is not said}';

    protected $description = 'Opens every part of a backup, restores its database into a scratch one, compares counts and sums';

    public function handle(BackupStore $store, VerifyBackup $verify): int
    {
        $name = $this->argument('name');
        $names = $store->names();
        $name = is_string($name) ? $name : (end($names) ?: '');
        try {
            $wrong = $verify($name);
        } catch (RuntimeException $e) {
            $wrong = [$e->getMessage()];
        }
        foreach ($wrong as $what) {
            $this->error($what);
        }
        $this->line((string) __($wrong === [] ? 'backup.whole' : 'backup.broken', ['name' => $name]));

        return $wrong === [] ? self::SUCCESS : self::FAILURE;
    }
}
