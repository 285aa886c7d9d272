<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Film;
use App\Models\Recording;
use Core\Motion\StationTime;
use Core\Motion\View;
use Core\Trace\DeviceClass;
use Core\Trace\Series;
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
     * @return array<string, mixed>
     */
    public function of(Recording $recording, bool $figure, array $views, bool $withTrace, callable $url): array
    {
        $recording->loadMissing(['golfer', 'stations', ...($figure ? ['motion'] : []), ...($views !== [] ? ['films'] : []), ...($withTrace ? ['channels'] : [])]);
        $stations = $recording->stationTimes();
        $motion = $figure ? $recording->coreMotion() : null;
        $ball = null;
        $im = $stations->all()['IM'] ?? null;
        if ($motion !== null && $im !== null && $motion->has('club_head')) {
            $ball = [round($motion->coordinate('club_head', 0)->at($im->t) ?? 0.0), round(($motion->coordinate('club_head', 1)->at($im->t) ?? 0.0) + 42.0), 21];
        }

        return [
            'hand' => $recording->golfer->handedness,
            't0' => $recording->t0,
            'duration' => round(($recording->samples - 1) / $recording->rate_hz, 4),
            'stations' => array_map(static fn (StationTime $t): float => round($t->t, 4), $stations->all()),
            'stance' => $recording->stance,
            'motion' => $motion === null ? null : [
                'rate' => $motion->rateHz, 't0' => $motion->t0, 'ball' => $ball,
                'points' => array_map(static fn (array $axes): array => array_map(static fn (array $v): array => array_map(static fn (float $x): float => round($x, 1), $v), $axes), $motion->points),
            ],
            'films' => $views === [] ? [] : array_values($recording->films->filter(static fn (Film $f): bool => $f->isReady() && in_array($f->coreView(), $views, true))->map(static fn (Film $f): array => self::film($f, $url))->all()),
            'trace' => $withTrace ? $this->trace($recording->trace()) : null,
        ];
    }

    /**
     * @param  callable(string, string): string  $url
     * @return array<string, mixed>
     */
    private static function film(Film $film, callable $url): array
    {
        $even = ! ($film->facts['uneven'] ?? false);

        return [
            'view' => $film->view, 'url' => $url($film->view, 'stream'),
            'rate' => $film->rate_hz, 'frames' => $film->frames, 'width' => $film->width, 'height' => $film->height,
            'offset' => round($film->offset_s, 6), 'drift' => $film->drift_ppm, 'matched' => $film->clock_by !== null,
            'taken' => $even ? null : array_map(static fn (float $t): float => round($t, 4), $film->taken),
            'stills' => (object) array_combine(array_keys($film->stills), array_map(static fn (string $code): string => $url($film->view, $code), array_keys($film->stills))),
        ];
    }

    /** @return array<string, mixed> */
    private function trace(Trace $trace): array
    {
        [$x, $y] = $trace->cop();
        $feet = [];
        foreach (['lead', 'trail'] as $side) {
            foreach (['copx_mm', 'copy_mm'] as $i => $name) {
                $series = $trace->series($side.'_'.$name);
                if ($series !== null) {
                    $feet[$side][$i] = self::plain($series, 0);
                }
            }
        }
        $share = $trace->leadShare();
        $total = $trace->totalForce();

        return [
            'rate' => $trace->rateHz, 't0' => $trace->t0, 'device' => $trace->device->label(),
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
        foreach ($trace->device === DeviceClass::DualPlate ? ['lead', 'trail'] : ['net'] as $part) {
            [$x, $y] = array_map(static fn (string $axis): ?Series => $part === 'net' ? $trace->netPush($axis) : $trace->footPush($part, $axis), ['x', 'y']);
            if ($x !== null && $y !== null) {
                $out[$part] = [self::plain($x, 1), self::plain($y, 1)];
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
