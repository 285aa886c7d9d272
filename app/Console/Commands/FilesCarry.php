<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operations\Actions\CarryFiles;
use Illuminate\Console\Command;

/** From the folders of one machine to the store that several share. */
final class FilesCarry extends Command
{
    protected $signature = 'files:carry';

    protected $description = 'Carries films and what else lies in this machine\'s folders to the disk that is configured, each compared by its sum';

    public function handle(CarryFiles $carry): int
    {
        $done = $carry(function (string $name, bool $carried): void {
            if ($carried && $this->output->isVerbose()) {
                $this->line($name);
            }
        });
        $this->line((string) __('backup.carried', $done));

        return self::SUCCESS;
    }
}
