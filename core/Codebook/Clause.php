<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\RemarkCode;

/**
 * A part of a rule, with what was found where it was asked of measurements. A measure without a station is one of the
 * whole swing.
 */
enum Clause: string implements RemarkCode
{
    /** parts */
    case All = 'clause.all';
    /** parts */
    case Any = 'clause.any';
    /** parts, in the order in which they are asked */
    case First = 'clause.first';
    /** measure, station, op, threshold */
    case Asked = 'clause.asked';
    /** measure, station, op, threshold, value, uncertainty */
    case Found = 'clause.found';
    /** measure, station, op, threshold, word */
    case FoundWord = 'clause.found-word';
    /** measure, station, op, threshold, bound */
    case FoundBound = 'clause.found-bound';
    /** measure, station, value */
    case Value = 'clause.value';
    /** measure, station, why */
    case NotFound = 'clause.not-found';
}
