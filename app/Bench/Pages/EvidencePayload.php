<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\Film;
use App\Models\Recording;
use App\Models\Rendition;
use App\Words\Term;
use Core\Format\Json\StanceJson;
use Core\Motion\Motion as CoreMotion;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * What a page draws of one recording: film as body points, trace, stations, stance. Only what is to be shown
 * goes in; measurements, verdicts, names and file facts never do.
 */
final class EvidencePayload
{
    /**
     * @param  bool  $figure  whether the body points are given
     * @param  list<View>  $views  the filmed views that are given
     * @param  callable(string, string): string  $url  of a part of a filmed view, for the one who asks
     * @param  Rendition|null  $as  where the swing is shown on a clock of its own
     * @return array<string, mixed>
     */
    public function of(
        Recording $recording,
        bool $figure,
        array $views,
        bool $withTrace,
        callable $url,
        ?Rendition $as = null,
    ): array {
        $recording->loadMissing([
            'golfer',
            'stations',
            ...$figure ? ['motion'] : [],
            ...$views !== [] ? ['films'] : [],
            ...$withTrace ? ['channels'] : [],
        ]);
        $core = $as?->toCore();
        $stations = $core === null ? $recording->stationTimes() : $core->stations($recording->stationTimes());
        $motion = $figure ? $recording->coreMotion() : null;
        $motion = $motion === null || $core === null ? $motion : $core->motion($motion);
        $stance = $recording->stance;
        $stance = $stance === null || $core === null ? $stance : $core->stance($stance);

        return self::drawn(
            $recording->golfer->handedness,
            $core === null ? $recording->t0 : 0.0,
            $core === null ? ($recording->samples - 1) / $recording->rate_hz : $core->duration(),
            $stations,
            $stance,
            $motion,
            $views === []
                ? []
                : array_values(
                    $recording->films
                        ->filter(
                            static fn (Film $f): bool => $f->isReady() && in_array($f->coreView(), $views, true),
                        )
                        ->map(static fn (Film $f): array => self::film($f, $url, $as))
                        ->all(),
                ),
            match (true) {
                ! $withTrace => null,
                $core === null => $recording->trace(),
                default => $core->trace($recording->trace()),
            },
        );
    }

    /**
     * What is drawn of a swing, recorded or made.
     *
     * @param  string  $hand  'right' or 'left'
     * @param  float  $t0  of the recording's clock, s
     * @param  float  $duration  s
     * @param  list<array<string, mixed>>  $films
     * @return array<string, mixed>
     */
    public static function drawn(
        string $hand,
        float $t0,
        float $duration,
        StationTimes $stations,
        ?Stance $stance,
        ?CoreMotion $motion,
        array $films,
        ?Trace $trace,
    ): array {
        $ball = null;
        $im = $stations->t(Station::Impact);
        if ($motion !== null && $im !== null && $motion->has('club_head')) {
            $ball = [
                round($motion->coordinate('club_head', Axis::X)->at($im) ?? 0.0),
                round(($motion->coordinate('club_head', Axis::Y)->at($im) ?? 0.0) + 42.0),
                21,
            ];
        }

        return [
            'hand' => $hand,
            't0' => $t0,
            'duration' => round($duration, 4),
            'stations' => array_map(static fn (StationTime $t): float => round($t->t, 4), $stations->all()),
            'stance' => StanceJson::orNull($stance),
            'motion' => $motion === null
                    ? null
                    : [
                        'rate' => $motion->rateHz,
                        't0' => $motion->t0,
                        'ball' => $ball,
                        'points' => array_map(
                            static fn (array $axes): array => array_map(
                                static fn (array $v): array => array_map(
                                    static fn (float $x): ?float => is_nan($x) ? null : round($x, 1),
                                    $v,
                                ),
                                $axes,
                            ),
                            $motion->points,
                        ),
                    ],
            'films' => $films,
            'trace' => $trace === null ? null : self::trace($trace),
        ];
    }

    /**
     * @param  callable(string, string): string  $url
     * @return array<string, mixed>
     */
    private static function film(Film $film, callable $url, ?Rendition $as): array
    {
        $even = ($film->facts['uneven'] ?? false) !== true;
        $made = $as?->films[$film->view] ?? null;
        $first = $made['first'] ?? 0;
        $frames = $made === null ? (int) $film->frames : $made['last'] - $first + 1;
        // Where the first frame shown stands on the clock it is shown by.
        $clock = $as === null
            ? $film->clock()
            : $as->toCore()->filmClock($film->clock(), $first, $frames, (float) $film->rate_hz);
        $taken = $even
            ? null
            : array_map(
                static fn (float $t): float => round($t - $film->taken[$first], 4),
                array_slice($film->taken, $first, $frames),
            );
        $stills = array_keys($made['stills'] ?? $film->stills);

        return [
            'view' => $film->view, 'url' => $url($film->view, 'stream'),
            'rate' => $film->rate_hz, 'frames' => $frames, 'width' => $film->width, 'height' => $film->height,
            'offset' => round($clock->offsetS, 6), 'drift' => $clock->driftPpm, 'matched' => $film->clock_by !== null,
            'taken' => $taken,
            'stills' => (object) array_combine(
                $stills,
                array_map(static fn (string $code): string => $url($film->view, $code), $stills),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function trace(Trace $trace): array
    {
        [$x, $y] = $trace->cop();
        $feet = [];
        foreach (Side::cases() as $side) {
            foreach (['copx_mm', 'copy_mm'] as $i => $name) {
                $series = $trace->series($side->name($name));
                if ($series !== null) {
                    $feet[$side->value][$i] = self::plain($series, 0);
                }
            }
        }
        $share = $trace->leadShare();
        $total = $trace->totalForce();

        return [
            'rate' => $trace->rateHz, 't0' => $trace->t0, 'device' => Term::device($trace->device),
            'derived' => $trace->device === DeviceClass::Plate,
            'share' => $share === null ? null : self::plain($share, 1),
            'total' => $total === null ? null : self::plain($total, 1),
            'cop' => [self::plain($x, 0), self::plain($y, 0)],
            'feet' => $feet === [] ? null : $feet,
            'push' => self::push($trace),
        ];
    }

    /**
     * Horizontal push of the ground on the golfer, % of body weight, x and y, where the device has a direction: of
     * each foot, or the net one.
     *
     * @return array<string, array{list<float|null>, list<float|null>}>|null
     */
    private static function push(Trace $trace): ?array
    {
        if (! $trace->device->measuresForce()) {
            return null;
        }
        $out = [];
        foreach ($trace->device === DeviceClass::DualPlate ? Side::cases() : [null] as $side) {
            [$x, $y] = array_map(
                static fn (Axis $axis): ?Series => $side === null
                    ? $trace->netPush($axis)
                    : $trace->footPush($side, $axis),
                [Axis::X, Axis::Y],
            );
            if ($x !== null && $y !== null) {
                $out[$side === null ? 'net' : $side->value] = [self::plain($x, 1), self::plain($y, 1)];
            }
        }

        return $out === [] ? null : $out;
    }

    /** @return list<float|null> a missing sample is null */
    private static function plain(Series $series, int $digits): array
    {
        return array_map(static fn (float $v): ?float => is_nan($v) ? null : round($v, $digits), $series->values);
    }
}
