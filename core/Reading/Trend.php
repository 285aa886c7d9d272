<?php

declare(strict_types=1);

namespace Core\Reading;

/** What became of a fault between the two swings of a pair. */
enum Trend: string
{
    case Better = 'better';
    case Same = 'same';
    case Worse = 'worse';
}
