<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Remark\RemarkCode;

/** What the cases at hand cannot give to a set. */
enum Shortage: string implements RemarkCode
{
    /** fault: its key, found, wanted */
    case Present = 'shortage.present';
    /** fault: its key, found, wanted */
    case Absent = 'shortage.absent';
    /** between, cases, room */
    case Repeats = 'shortage.repeats';
}
