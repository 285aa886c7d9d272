<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operations\Actions\RotateSecrets;
use App\Operations\EnvFile;
use Illuminate\Console\Command;

/** Gives the installation another key, or its database other passwords. */
final class SecretsRotate extends Command
{
    protected $signature = 'secrets:rotate
        {what : key or database}
        {--env= : the file of settings; .env where it is not said}';

    protected $description = 'Other secrets for this installation: the application’s key, or the database’s passwords';

    public function handle(RotateSecrets $rotate): int
    {
        $what = $this->argument('what');
        $path = $this->option('env');
        $env = new EnvFile(is_string($path) ? $path : base_path('.env'));
        if ($what === 'key') {
            $done = $rotate->key($env);
            $this->line(trans_choice('record.rotated.key', $done, ['count' => $done]));
        } elseif ($what === 'database') {
            $rotate->database($env);
            $this->line((string) __('record.rotated.database'));
        } else {
            $this->error((string) __('record.rotated.what'));

            return self::INVALID;
        }
        // A worker or a cached configuration of before would go on with what was.
        if ($this->laravel->configurationIsCached()) {
            $this->callSilently('config:clear');
        }
        $this->callSilently('queue:restart');

        return self::SUCCESS;
    }
}
