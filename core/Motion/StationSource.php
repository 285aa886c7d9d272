<?php

declare(strict_types=1);

namespace Core\Motion;

/**
 * Who said when a station was reached, the least trusted first: a person's mark counts before a file's, and that before
 * the program's.
 */
enum StationSource: string
{
    case Trace = 'trace';
    case Motion = 'motion';
    case File = 'file';
    case Hand = 'hand';

    /** The larger, the more it counts. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
