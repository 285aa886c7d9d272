<?php

declare(strict_types=1);

namespace Core\Reading;

/** What is put before a reader as one case. */
enum CaseKind: string
{
    case Single = 'single';
    case Series = 'series';
    case Pair = 'pair';
    /** One golfer before a change, then at each step of taking it further. */
    case Ladder = 'ladder';
}
