<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Trace\Series;

/** One coordinate of one body point through time, and which view it was seen in. */
final readonly class Tracked
{
    public function __construct(public Series $series, public View $view)
    {
    }

    public function at(float $t): ?float
    {
        return $this->series->at($t);
    }

    /** Half-width of a 95 % interval of one coordinate, mm. */
    public function noise(): float
    {
        return $this->view->noiseMm();
    }

    /** Speed at a time over ±10 ms, mm/s; 0 where it cannot be had. */
    public function speed(float $t): float
    {
        $h = max(0.010, 1.0 / $this->series->rateHz);
        $after = $this->series->at($t + $h);
        $before = $this->series->at($t - $h);

        return $after === null || $before === null ? 0.0 : ($after - $before) / (2 * $h);
    }

    /** Half-width of a 95 % interval at a station: the point's own and the station's timing times the speed. */
    public function uncertainty(StationTime $time): float
    {
        return hypot($this->noise(), $this->speed($time->t) * $time->uncertainty);
    }
}
