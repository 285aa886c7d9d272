<?php

declare(strict_types=1);

namespace Core\Motion;

enum Handedness: string
{
    case Right = 'right';
    case Left = 'left';

    /** The side of the body nearer the target. */
    public function leadSide(): string
    {
        return $this === self::Right ? 'left' : 'right';
    }

    public function trailSide(): string
    {
        return $this === self::Right ? 'right' : 'left';
    }
}
