<?php

declare(strict_types=1);

namespace Core\Reading;

/** How far a drill is taken before the student comes back. */
enum Stop: string
{
    case Rehearsal = 'rehearsal';
    case ShortIron = 'short-iron';
    case LongerClubs = 'longer-clubs';
    case FullSpeed = 'full-speed';
}
