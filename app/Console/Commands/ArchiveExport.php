<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AsksPassphrase;
use App\Console\TextOptions;
use App\Exceptions\ActionException;
use App\Operations\Actions\ExportLibrary;
use App\Operations\Actions\PackHouse;
use Illuminate\Console\Command;

final class ArchiveExport extends Command
{
    use AsksPassphrase;
    use TextOptions;

    protected $signature = 'archive:export {file : zip to write}
        {--recording= : only this one, by its identifier}
        {--whole : the whole academy, for another machine: people, rounds, readings, keys and figures as well}
        {--passphrase-file= : with --whole, a file with the passphrase in its first line; else it is asked for}';

    protected $description = 'Write the library of recordings, or the whole academy, as one archive';

    public function handle(ExportLibrary $export, PackHouse $pack): int
    {
        if ($this->option('whole')) {
            return $this->house($pack);
        }
        $bar = $this->output->createProgressBar();
        try {
            $n = $export($this->text('file'), static function (int $done, int $of) use ($bar): void {
                $bar->setMaxSteps($of);
                $bar->setProgress($done);
            }, $this->given('recording'));
        } catch (ActionException $e) {
            $this->output->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $this->newLine();
        $this->line("{$n['written']} recordings written");
        if ($n['not_agreed'] > 0) {
            $this->line("{$n['not_agreed']} recordings stay: their golfers have not agreed that they leave the "
                .'academy');
        }
        foreach ($n['left_out'] as $id => $why) {
            $this->line("left out: $id. $why");
        }

        return self::SUCCESS;
    }

    private function house(PackHouse $pack): int
    {
        $bar = $this->output->createProgressBar(100);
        try {
            $out = $pack(
                $this->text('file'),
                $this->passphrase(),
                static fn (float $part) => $bar->setProgress((int) round(100 * $part)),
            );
        } catch (ActionException $e) {
            $this->output->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $this->newLine();
        $this->line("{$out['rows']} rows and {$out['files']} files written, {$out['bytes']} bytes. It holds "
            .'everything, what is still hidden from readers too: it is nobody’s to read. Keep the passphrase apart '
            .'from it.');

        return self::SUCCESS;
    }
}
