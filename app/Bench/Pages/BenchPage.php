<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Codebook\Codebooks;
use App\Models\Enums\WorkKind;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Pages\FilmRows;
use App\Sight\Onlookers;
use App\Words\Term;
use App\Works\Works;
use Core\Codebook\Codebook;
use Core\Codebook\SwingSize;
use Core\Drawing\FlightShape;
use Core\Motion\Handedness;
use Core\Number\Written;
use Core\Sight\Thing;
use Core\Trace\Repair;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;

/** One recording on the Bench: what was measured, what it says of each fault under a lens, the stations and clocks. */
final readonly class BenchPage
{
    public function __construct(
        private MeasurementRows $rows,
        private BenchVerdicts $verdicts,
        private BenchFindings $findings,
        private BenchLeanings $leanings,
        private BenchStations $stations,
        private Comparison $comparison,
        private Codebooks $codebooks,
        private SeriesSpreads $spreads,
        private Works $works,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Recording $recording, string $lens, User $user): array
    {
        $recording->loadMissing(['golfer.limitsInForce', 'films', 'measured', 'stations', 'views', 'motion']);
        $measured = $recording->measured ?? throw new \LogicException('not measured yet');
        $codebook = $this->codebooks->current(
            $lens,
            $recording->club,
            $recording->swing,
            SwingSize::ofSwing($recording->size, $recording->club),
        );
        $series = $this->spreads->swings($recording, $user);
        $seesFlight = $this->onlookers->of($user)->sees($recording, Thing::Flight);

        return [
            'recording' => $recording,
            'mayMark' => Gate::forUser($user)->allows('update', $recording),
            'about' => self::about($recording, $series),
            'film' => $recording->motion !== null || $recording->filmedViews() !== [],
            'fetch' => self::fetch($recording),
            'pictures' => self::pictures($recording),
            'traceTitle' => TraceTitle::ofRecording($recording),
            'swings' => self::swings($series),
            'anew' => $this->works->underWay(WorkKind::Measure, $recording) !== null,
            'findings' => $this->findings->of($measured->notes(), $recording->deviceClass()),
            'repairs' => array_map(
                static fn (Repair $r): string => (string) __("import.repairs.{$r->kind->value}.is"),
                $recording->repairsMade(),
            ),
            'checked' => $recording->constantErrors()?->source,
            'lenses' => $this->lenses($recording, $codebook),
            'verdicts' => $this->verdicts->of($recording, $codebook),
            'leanings' => $this->leanings->of($recording, $measured, $seesFlight),
            'candidates' => $this->comparison->candidates($recording, $user),
            'rows' => array_map(
                MeasurementPrint::row(...),
                $this->rows->of(
                    $measured,
                    $codebook->lens,
                    $this->spreads->of($series),
                    $codebook->scale($recording->stationTimes()),
                    $this->codebooks->document()->disagreements(),
                ),
            ),
            'stations' => $this->stations->of($recording),
            'clock' => BenchClock::ofRecording($recording),
            'films' => FilmRows::ofRecording($recording),
            'flight' => $seesFlight ? self::flight($recording) : null,
        ];
    }

    /** @param  Collection<int, Recording>|null  $series */
    private static function about(Recording $recording, ?Collection $series): string
    {
        $golfer = $recording->golfer;

        return implode(' · ', array_filter([
            (string) __("bench.about.hand.$golfer->handedness"),
            (string) __('bench.about.swing', ['swing' => $recording->swing]),
            (string) $recording->shape === '' ? null : (string) __('bench.about.plays', ['shape' => $recording->shape]),
            Term::limits($golfer),
            (string) __('bench.about.device', [
                'device' => Term::device($recording->deviceClass()),
                'rate' => Written::fixed($recording->rate_hz, 0),
            ]),
            $series === null
                ? null
                : (string) __('bench.about.series', ['series' => $recording->series, 'count' => $series->count()]),
        ], static fn (?string $part): bool => $part !== null && $part !== ''));
    }

    /** @return array{shape: FlightShape, says: string}|null */
    private static function flight(Recording $recording): ?array
    {
        $flight = $recording->flight();

        return $flight === null ? null : [
            'shape' => FlightShape::ofFlight($flight, Handedness::from($recording->golfer->handedness)),
            'says' => ucfirst(Term::flight($flight)).'.',
        ];
    }

    /** @return list<string> addresses of what the page will ask for */
    private static function fetch(Recording $recording): array
    {
        $out = [route('bench.evidence', $recording, false)];
        foreach ($recording->filmedViews() as $view) {
            $out[] = route('bench.film', [$recording, $view->value, 'stream'], false);
        }

        return $out;
    }

    /** @return list<string> addresses of the stills it opens with */
    private static function pictures(Recording $recording): array
    {
        $out = [];
        foreach ($recording->filmedViews() as $view) {
            $still = $recording->openingStill($view);
            if ($still !== null) {
                $out[] = route('bench.film', [$recording, $view->value, $still], false);
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Recording>|null  $series
     * @return list<array{name: string, url: string}>
     */
    private static function swings(?Collection $series): array
    {
        return $series === null || $series->count() < 2 ? [] : array_values(
            $series
                ->values()
                ->map(static fn (Recording $r, int $i): array => [
                    'name' => $i + 1 .($r->is_cold ? ', '.__('bench.cold') : ''),
                    'url' => route('bench.evidence', $r, false),
                ])
                ->all(),
        );
    }

    /** @return list<array{name: string, url: string, here: bool}> */
    private function lenses(Recording $recording, Codebook $codebook): array
    {
        $out = [];
        foreach ($this->codebooks->document()->lenses() as $key => $name) {
            $out[] = [
                'name' => $name,
                'url' => route('bench', [$recording, 'lens' => $key]),
                'here' => $key === $codebook->lens->key,
            ];
        }

        return $out;
    }
}
