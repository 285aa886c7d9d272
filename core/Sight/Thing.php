<?php

declare(strict_types=1);

namespace Core\Sight;

/** What there is to be seen of a recording. */
enum Thing: string
{
    case Film = 'film';
    case Trace = 'trace';
    /** Golfer, club, shape and limits. */
    case Context = 'context';
    /** What the ball did. */
    case Flight = 'flight';
    /** Measurements, quality and verdicts. */
    case Numbers = 'numbers';
    case Key = 'key';
    /** What others called it, without their names. */
    case Calls = 'calls';
    /** What others called it, by name. */
    case Names = 'names';
}
