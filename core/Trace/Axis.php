<?php

declare(strict_types=1);

namespace Core\Trace;

/**
 * An axis of the stance's frame: x to the target, y to the toes, z up. The value is its place in a list of coordinates.
 */
enum Axis: int
{
    case X = 0;
    case Y = 1;
    case Z = 2;

    public function letter(): string
    {
        return ['x', 'y', 'z'][$this->value];
    }
}
