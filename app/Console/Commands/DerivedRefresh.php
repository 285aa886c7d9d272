<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Agreement\Actions\ComputeResult;
use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Enums\WorkKind;
use App\Models\NormSnapshot;
use App\Models\Recording;
use App\Models\Sitting;
use App\Shelf\Actions\MeasureRecording;
use App\Shelf\Actions\TakeNorms;
use App\Works\Works;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Core\Version;
use Illuminate\Console\Command;

/** What follows from the recordings and readings, made anew where another version of the program made it. */
final class DerivedRefresh extends Command
{
    protected $signature = 'derived:refresh {--norms : take a new snapshot of the academy\'s norms, and measure '
        .'everything against it}';

    protected $description = 'Measure, and work out published figures, where they are missing or were made by another '
        .'version';

    public function handle(
        MeasureRecording $measure,
        ComputeResult $compute,
        TakeNorms $norms,
        Codebooks $codebooks,
        Works $works,
    ): int {
        $measured = $this->measure($measure, $codebooks->document()->version(), false);
        $first = NormSnapshot::query()->doesntExist() && Recording::query()->exists();
        if ($first || $this->option('norms')) {
            $norms();
            $measured += $this->measure($measure, '', true);
        }
        $figures = 0;
        foreach (
            Sitting::query()
                ->where('kind', SittingKind::Round)
                ->where('state', SittingState::Published)
                ->orderBy('id')
                ->get() as $round
        ) {
            if (! $compute->isCurrent($round, $round->result()->first())) {
                $works->ask(WorkKind::Figures, $round, null);
                $figures++;
            }
        }
        if ($measured + $figures > 0) {
            $this->line("measured $measured recordings anew, asked for the figures of $figures rounds");
        }

        return self::SUCCESS;
    }

    private function measure(MeasureRecording $measure, string $codebook, bool $all): int
    {
        $ids = Recording::query()
            ->whereNull('erased_at')
            ->when(
                ! $all,
                static fn ($q) => $q->whereDoesntHave(
                    'measured',
                    static fn ($m) => $m
                        ->where('core_version', Version::CURRENT)
                        ->where('codebook_version', $codebook)
                        ->whereNotNull('held'),
                ),
            )
            ->orderBy('id')
            ->pluck('id');
        foreach ($ids as $id) {
            $measure(Recording::query()->findOrFail(Cell::int($id)));
        }

        return $ids->count();
    }
}
