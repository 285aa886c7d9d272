<?php

declare(strict_types=1);

namespace Core\Motion;

/** Where body points come from, and so which of their coordinates are known. */
enum View: string
{
    case Points = 'points';
    case FaceOn = 'face-on';
    case DownTheLine = 'down-the-line';

    public function label(): string
    {
        return match ($this) {
            self::Points => '3-D points',
            self::FaceOn => 'face-on film',
            self::DownTheLine => 'down-the-line film',
        };
    }

    /** @param  0|1|2  $axis x, y or z */
    public function sees(int $axis): bool
    {
        return match ($this) {
            self::Points => true,
            self::FaceOn => $axis !== 1,
            self::DownTheLine => $axis !== 0,
        };
    }

    /** Half-width of a 95 % interval of one coordinate, mm: skin and marker for points, picture scale and blur for film. */
    public function noiseMm(): float
    {
        return $this === self::Points ? 6.0 : 12.0;
    }
}
