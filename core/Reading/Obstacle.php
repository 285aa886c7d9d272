<?php

declare(strict_types=1);

namespace Core\Reading;

use Core\Remark\RemarkCode;

/** What stands in the way of handing a sheet in. */
enum Obstacle: string implements RemarkCode
{
    /** fault: its name */
    case NoCall = 'obstacle.no-call';
    /** fault */
    case NoSeverity = 'obstacle.no-severity';
    /** fault */
    case NoTrend = 'obstacle.no-trend';
    /** fault */
    case NoTurf = 'obstacle.no-turf';
    case NoBreak = 'obstacle.no-break';
    case WhichOutside = 'obstacle.which-outside';
    case OtherInWords = 'obstacle.other-in-words';
    case CauseNotPresent = 'obstacle.cause-not-present';
    case CauseMissing = 'obstacle.cause-missing';
    /** fault */
    case ChainNotPresent = 'obstacle.chain-not-present';
    case StopMissing = 'obstacle.stop-missing';
    case CueLong = 'obstacle.cue-long';
}
