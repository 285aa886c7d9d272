<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Shelf\Actions\MeasureRecording;
use Illuminate\Console\Command;

final class RecordingsMeasure extends Command
{
    protected $signature = 'recordings:measure';

    protected $description = 'Measure every recording whose measures are missing or were made by another version';

    public function handle(MeasureRecording $measure): int
    {
        $ids = Recording::query()->orderBy('id')->pluck('id');
        $bar = $this->output->createProgressBar($ids->count());
        foreach ($ids as $id) {
            $measure(Recording::query()->findOrFail(Cell::int($id)));
            $bar->advance();
        }
        $this->newLine();

        return self::SUCCESS;
    }
}
