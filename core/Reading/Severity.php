<?php

declare(strict_types=1);

namespace Core\Reading;

/** How much of a fault there is. */
enum Severity: int
{
    case Slight = 1;
    case Clear = 2;
    case Dominant = 3;
}
