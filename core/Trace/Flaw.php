<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Remark\RemarkCode;

/** What is wrong with a recording. Channels without a name mean all of them. */
enum Flaw: string implements RemarkCode
{
    /** channels, from_s, to_s */
    case Saturated = 'flaw.saturated';
    /** channels, from_s, to_s */
    case Stuck = 'flaw.stuck';
    /** channels, length_ms, from_s */
    case Gap = 'flaw.gap';
    /** channels, count */
    case SingleSamples = 'flaw.single-samples';
    /** off_ms */
    case UnevenClock = 'flaw.uneven-clock';
    /** channel, at_s */
    case CopLeaps = 'flaw.cop-leaps';
    /** channel, at_s */
    case TwistBursts = 'flaw.twist-bursts';
    /** at_s */
    case FootOff = 'flaw.foot-off';
    case PlacesExchanged = 'flaw.places-exchanged';
    case SharesExchanged = 'flaw.shares-exchanged';
    case ShiftExchanged = 'flaw.shift-exchanged';
    /** standing: what the force columns say */
    case ForceInKilograms = 'flaw.force-in-kilograms';
    case CopInMetres = 'flaw.cop-in-metres';
    /** standing_percent: of the weight of the stated mass */
    case MassDoesNotFit = 'flaw.mass-does-not-fit';
    /** rate_hz */
    case SlowRate = 'flaw.slow-rate';
}
