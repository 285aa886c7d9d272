<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Codebook\Codebooks;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\StationMark;
use App\Models\User;
use App\Works\Works;
use Core\Motion\StationSource;
use Core\Remark\InWords;

/** One recording on the Bench: what was measured, what it says of each fault under a lens, the stations and clocks. */
final class BenchPage
{
    public function __construct(
        private readonly MeasurementRows $rows,
        private readonly Codebooks $codebooks,
        private readonly SeriesSpreads $spreads,
        private readonly Works $works,
        private readonly InWords $words,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Recording $recording, string $lens, User $user): array
    {
        $recording->loadMissing(['golfer', 'films', 'measured', 'stations', 'views', 'motion']);
        $measured = $recording->measured ?? throw new \LogicException('not measured yet');
        $document = $this->codebooks->document();
        $codebook = $this->codebooks->current($lens, $recording->club, $recording->swing);
        $series = $this->spreads->swings($recording, $user);

        return [
            'recording' => $recording,
            'measured' => $measured,
            'anew' => $this->works->underWay(WorkKind::Measure, $recording) !== null,
            'rows' => $this->rows->of($measured, $codebook->lens, $this->spreads->of($series)),
            'verdicts' => $measured->verdicts($lens),
            'notes' => $measured->notes(),
            'codebook' => $codebook,
            'lenses' => $document->lenses(),
            'differs' => collect($codebook->keys())
                ->mapWithKeys(fn (string $key): array => [$key => $document->differingOn($key)])
                ->all(),
            'series' => $series,
            'swings' => $series === null || $series->count() < 2
                    ? []
                    : $series
                        ->map(
                            static fn (Recording $r, int $i): array => [
                                'name' => $i + 1 .($r->is_cold ? ', cold' : ''),
                                'url' => route('bench.evidence', $r, false),
                            ],
                        )
                        ->values()
                        ->all(),
            'marks' => $this->marks($recording),
        ];
    }

    /** Why the program's own time is not to be trusted; what a person marked is not doubted. */
    private function doubt(StationMark $mark): ?string
    {
        $doubt = $mark->source === StationSource::Hand ? null : $mark->doubt();

        return $doubt === null ? null : $this->words->phrase($doubt);
    }

    /**
     * @return array<string, array{t: float, uncertainty: float, source: string, doubt: ?string, others: list<array{
     * t: float, source: string}>}> by station code
     */
    private function marks(Recording $recording): array
    {
        $all = $recording->stations->groupBy('code')->all();

        return $recording
            ->effectiveStations()
            ->map(
                fn (StationMark $m): array => [
                    't' => $m->t_s,
                    'uncertainty' => $m->uncertainty_s,
                    'source' => $m->source->value,
                    'doubt' => $this->doubt($m),
                    'others' => array_values(
                        $all[$m->code]
                            ->filter(static fn (StationMark $o): bool => $o->id !== $m->id)
                            ->map(static fn (StationMark $o): array => ['t' => $o->t_s, 'source' => $o->source->value])
                            ->all(),
                    ),
                ],
            )
            ->all();
    }
}
