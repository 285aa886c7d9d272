<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\TextOptions;
use App\Exceptions\ActionException;
use App\Operations\Actions\ExportLibrary;
use Illuminate\Console\Command;

final class ArchiveExport extends Command
{
    use TextOptions;

    protected $signature = 'archive:export {file : zip to write}';

    protected $description = 'Write the whole library of recordings as one archive';

    public function handle(ExportLibrary $export): int
    {
        $bar = $this->output->createProgressBar();
        try {
            $n = $export($this->text('file'), static function (int $done, int $of) use ($bar): void {
                $bar->setMaxSteps($of);
                $bar->setProgress($done);
            });
        } catch (ActionException $e) {
            $this->output->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $this->newLine();
        $this->line("{$n['written']} recordings written");
        foreach ($n['left_out'] as $id => $why) {
            $this->line("left out: $id. $why");
        }

        return self::SUCCESS;
    }
}
