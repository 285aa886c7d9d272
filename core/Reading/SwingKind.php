<?php

declare(strict_types=1);

namespace Core\Reading;

/** What a golfer was doing. Only what is played can be held against what is asked of a played swing. */
enum SwingKind: string
{
    case Full = 'full';
    case Part = 'part';
    case Rehearsal = 'rehearsal';
    case Drill = 'drill';
}
