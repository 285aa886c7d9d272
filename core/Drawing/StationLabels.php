<?php

declare(strict_types=1);

namespace Core\Drawing;

use Core\Motion\StationTime;

/** Names of stations beneath a curve, each at its time. */
final class StationLabels
{
    /** Names nearer to one another than this would touch. */
    private const ROOM = 15.5;

    /**
     * @param  array<string, StationTime>  $stations  by code
     * @param  float  $from  s; what lies before is left out
     * @param  float  $to  s; what lies after is left out
     * @param  callable(float): float  $x  place of a time
     * @return list<Label> without text where a name would touch the one before
     */
    public static function along(array $stations, float $from, float $to, callable $x, float $y): array
    {
        $labels = [];
        $last = -INF;
        foreach ($stations as $code => $station) {
            if ($station->t >= $from && $station->t <= $to) {
                $at = $x($station->t);
                $free = $at - $last > self::ROOM;
                $labels[] = new Label($free ? $code : '', $at, $y);
                $last = $free ? $at : $last;
            }
        }

        return $labels;
    }
}
