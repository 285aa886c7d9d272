<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Trace;

/** Finds the stations of a swing from the best that is held: body points, else the trace alone. */
final class StationFinder
{
    /** @throws CoreException */
    public static function find(Views $views, ?Trace $trace): ?FoundStations
    {
        return StationsFromMotion::find($views) ?? ($trace === null ? null : StationsFromTrace::find($trace));
    }
}
