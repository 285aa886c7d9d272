<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Trace\Axis;

/** Where body points come from, and so which of their coordinates are known. */
enum View: string
{
    case Points = 'points';
    case FaceOn = 'face-on';
    case DownTheLine = 'down-the-line';

    /** Whether this view knows the coordinates along an axis. */
    public function sees(Axis $axis): bool
    {
        return match ($this) {
            self::Points => true,
            self::FaceOn => $axis !== Axis::Y,
            self::DownTheLine => $axis !== Axis::X,
        };
    }

    /**
     * Half-width of a 95 % interval of one coordinate, mm: skin and marker for points, picture scale and blur for film.
     */
    public function noiseMm(): float
    {
        return $this === self::Points ? 6.0 : 12.0;
    }
}
