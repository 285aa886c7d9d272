<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Trace\Noise;
use Core\Trace\Series;

/** One coordinate of one body point through time, and which view it was seen in. */
final readonly class Tracked
{
    public function __construct(public Series $series, public View $view, public Noise $sensor)
    {
    }

    public function at(float $t): ?float
    {
        return $this->series->at($t);
    }

    /** Half-width of the 95 % range of the error of a value between two samples, mm. */
    public function noise(): float
    {
        return $this->sensor->between();
    }

    /** Speed at a time over ±10 ms, mm/s; 0 where it cannot be had. */
    public function speed(float $t): float
    {
        return self::speedOf($this->series, $t);
    }

    /** The same of any coordinate. */
    public static function speedOf(Series $series, float $t): float
    {
        $h = max(0.010, 1.0 / $series->rateHz);
        $after = $series->at($t + $h);
        $before = $series->at($t - $h);

        return $after === null || $before === null ? 0.0 : ($after - $before) / (2 * $h);
    }

    /** Half-width of a 95 % interval at a station: noise, and the station's timing times the speed. */
    public function uncertainty(StationTime $time): float
    {
        return hypot($this->noise(), $this->speed($time->t) * $time->uncertainty);
    }

    /** The same of where it is, not of how far it went: with the point's place on the body. */
    public function absolute(StationTime $time): float
    {
        return hypot($this->view->placementMm(), $this->uncertainty($time));
    }
}
