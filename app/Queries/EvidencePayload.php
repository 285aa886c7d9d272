<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Recording;
use Core\Motion\StationTime;
use Core\Trace\DeviceClass;
use Core\Trace\Series;
use Core\Trace\Trace;

/**
 * What a page draws of one recording: film as body points, trace, stations, stance. Only what is to be shown
 * goes in; measurements, verdicts, names and file facts never do.
 */
final class EvidencePayload
{
    /** @return array<string, mixed> */
    public function of(Recording $recording, bool $film, bool $withTrace): array
    {
        $recording->loadMissing(['golfer', 'stations', ...($film ? ['motion'] : []), ...($withTrace ? ['channels'] : [])]);
        $stations = $recording->stationTimes();
        $motion = $film ? $recording->coreMotion() : null;
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
            'trace' => $withTrace ? $this->trace($recording->trace()) : null,
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
        ];
    }

    /** @return list<float|null> a missing sample is null */
    private static function plain(Series $series, int $digits): array
    {
        return array_map(static fn (float $v): ?float => is_nan($v) ? null : round($v, $digits), $series->values);
    }
}
