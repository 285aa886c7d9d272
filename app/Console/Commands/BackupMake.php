<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operations\Actions\MakeBackup;
use App\Operations\Actions\RotateBackups;
use Illuminate\Console\Command;
use RuntimeException;

/** Makes a backup, and takes away those that are old enough. */
final class BackupMake extends Command
{
    protected $signature = 'backup:make {--keep-all : take none away}';

    protected $description = 'Database, files and keys, closed, in BACKUP_ROOT; old backups go by BACKUP_DAILY, _WEEKLY, _MONTHLY';

    public function handle(MakeBackup $make, RotateBackups $rotate): int
    {
        try {
            $made = $make();
            $gone = $this->option('keep-all') ? 0 : $rotate();
        } catch (RuntimeException $e) {
            $this->error((string) __('backup.not-made', ['why' => $e->getMessage()]));

            return self::FAILURE;
        }
        $this->line((string) __('backup.made', [
            'name' => $made->name,
            'rows' => array_sum(array_column($made->tables, 'rows')),
            'files' => count($made->files),
            'mb' => number_format(
                (array_sum(array_column($made->files, 'bytes')) + $made->database['bytes']) / 1_048_576,
                1,
            ),
        ]));
        $this->line(trans_choice('backup.rotated', $gone, ['count' => $gone]));
        $this->line((string) __('backup.end', ['end' => implode(':', $made->record)]));

        return self::SUCCESS;
    }
}
