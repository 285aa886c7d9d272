<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exceptions\ActionException;
use App\Operations\Actions\RestoreBackup;
use App\Operations\EnvFile;
use Illuminate\Console\Command;
use RuntimeException;

/** Lays a backup down in an empty installation. */
final class BackupRestore extends Command
{
    protected $signature = 'backup:restore {name} {--from= : the folder it lies in; that of this installation where it is not said}
        {--env= : the file of settings; .env where it is not said}';

    protected $description = 'Lays a backup down in an installation that has nobody in it yet; then run migrate';

    public function handle(): int
    {
        // Of the house it comes from, whatever was cached of this one's settings.
        $from = $this->option('from');
        $key = app()->configurationIsCached() ? getenv('BACKUP_KEY') : false;
        config(array_filter([
            'backup.root' => is_string($from) ? $from : null,
            'backup.key' => is_string($key) && $key !== '' ? $key : null,
        ], is_string(...)));
        $restore = app(RestoreBackup::class);
        $name = $this->argument('name');
        $path = $this->option('env');
        try {
            $done = $restore(is_string($name) ? $name : '', new EnvFile(is_string($path) ? $path : base_path('.env')));
        } catch (ActionException|RuntimeException $e) {
            $this->error((string) __('backup.not-restored', ['why' => $e->getMessage()]));

            return self::FAILURE;
        }
        $this->line((string) __('backup.restored', ['name' => $name, ...$done]));

        return self::SUCCESS;
    }
}
