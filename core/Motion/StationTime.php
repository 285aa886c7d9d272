<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Limits;

/** When a station was reached, how well that is known (half-width of a 95 % interval, s) and who said so. */
final readonly class StationTime
{
    /** @throws CoreException when a time is not finite or beyond any recording */
    public function __construct(public float $t, public float $uncertainty, public StationSource $source)
    {
        Limits::within($t, -Limits::TIME_S, Limits::TIME_S, 'station-time');
        Limits::within($uncertainty, 0.0, Limits::TIME_S, 'station-uncertainty');
    }
}
