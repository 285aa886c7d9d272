<?php

declare(strict_types=1);

namespace Core\Prescription;

/** How far a golfer has come, as far as it bears on what may be asked of them. */
enum Level: string
{
    case New = 'new';
    case Learning = 'learning';
    case Steady = 'steady';
    case Skilled = 'skilled';
}
