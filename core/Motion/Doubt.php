<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Remark\RemarkCode;

/** Why the time found of a station is not to be trusted. */
enum Doubt: string implements RemarkCode
{
    case OutOfOrder = 'doubt.out-of-order';
    case NotFound = 'doubt.not-found';
    /** down_ms: from top to impact */
    case OddDownswing = 'doubt.odd-downswing';
    /** back_s: from address to top */
    case OddBackswing = 'doubt.odd-backswing';
    case FilmedAlongTheLine = 'doubt.filmed-along-the-line';
    case NeverStill = 'doubt.never-still';
    /** rest_ms: how long the shaft rests */
    case RestsAtTheTop = 'doubt.rests-at-the-top';
    /** gap_ms: how long the club is not seen */
    case ClubNotSeen = 'doubt.club-not-seen';
    case ComesToRestSlowly = 'doubt.comes-to-rest-slowly';
    case LowestPoint = 'doubt.lowest-point';
    case FromTheTraceAlone = 'doubt.from-the-trace-alone';
}
