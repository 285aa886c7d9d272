<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Operations\Actions\ImportLibrary;
use Core\CoreException;
use Illuminate\Console\Command;

final class ArchiveImport extends Command
{
    use TextOptions;

    protected $signature = 'archive:import {file : zip made by archive:export}';

    protected $description = 'Take in a library archive; started again after a kill, it goes on where it stopped';

    public function handle(ImportLibrary $import): int
    {
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
}
