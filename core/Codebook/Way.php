<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Which way a measure is to go where a drill works. */
enum Way: string
{
    case Larger = 'larger';
    case Smaller = 'smaller';
    case Toward = 'toward';
}
