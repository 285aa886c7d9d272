<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AsksPassphrase;
use App\Console\TextOptions;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Operations\Actions\ImportLibrary;
use App\Operations\Actions\MoveIn;
use Core\CoreException;
use Illuminate\Console\Command;

final class ArchiveImport extends Command
{
    use AsksPassphrase;
    use TextOptions;

    protected $signature = 'archive:import {file : zip made by archive:export}
        {--passphrase-file= : of a whole academy, a file with the passphrase in its first line; else it is asked for}';

    protected $description = 'Take in an archive of a library, or of a whole academy where nobody is yet; '
        .'started again after a kill, it goes on where it stopped';

    public function handle(ImportLibrary $import, MoveIn $move): int
    {
        if (MoveIn::isHouse($this->text('file'))) {
            return $this->house($move);
        }
        $bar = $this->output->createProgressBar();
        try {
            $out = $import($this->text('file'), static function (int $done, int $of) use ($bar): void {
                $bar->setMaxSteps($of);
                $bar->setProgress($done);
            });
        } catch (ActionException|CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e));

            return self::FAILURE;
        }
        $this->newLine();
        foreach ($out['refused'] as $why) {
            $this->output->getErrorStyle()->writeln("refused: $why");
        }
        $this->line(
            sprintf(
                '%d stored, %d were here already, %d refused. Measures are made by the queue, or by '
                    .'recordings:measure.',
                $out['stored'],
                $out['known'],
                count($out['refused']),
            ),
        );

        return $out['refused'] === [] ? self::SUCCESS : self::FAILURE;
    }

    private function house(MoveIn $move): int
    {
        $bar = $this->output->createProgressBar();
        try {
            $told = static function (int $done, int $of) use ($bar): void {
                $bar->setMaxSteps($of);
                $bar->setProgress($done);
            };
            $out = $move($this->text('file'), $this->passphrase(), $told);
        } catch (ActionException|CoreException $e) {
            $this->output->getErrorStyle()->writeln(Refusal::sentenceOf($e));

            return self::FAILURE;
        }
        $this->newLine();
        $this->line($out['came']
            ? "{$out['rows']} rows and {$out['files']} files came in. Everybody logs in as before."
            : 'This archive has come in before; nothing was changed.');

        return self::SUCCESS;
    }
}
