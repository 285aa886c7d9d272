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

    /** Standard deviation of one coordinate from sample to sample, mm, where a recording does not tell its own. */
    public function sampleSd(): float
    {
        return $this === self::Points ? 1.5 : 4.0;
    }

    /**
     * Half-width of the 95 % range of where a point sits on the body, mm: skin and marker for points, what is taken for
     * the joint on film. The same throughout a swing, it is in no difference within one.
     */
    public function placementMm(): float
    {
        return $this === self::Points ? 4.0 : 8.0;
    }
}
