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
    /** x_percent, y_percent: net push at the stillest moment, %BW */
    case PushAtRest = 'flaw.push-at-rest';
    /** per_kg: net twist at the stillest moment, N·m/kg */
    case TwistAtRest = 'flaw.twist-at-rest';
    /** channel, percent: what a plate shows while its foot is off it, %BW */
    case PushWithoutFoot = 'flaw.push-without-foot';
    /** shift_mm: how far the centre of pressure goes for a whole shift of the share */
    case CopInCentimetres = 'flaw.cop-in-centimetres';
    /** x_mm, y_mm: where the pressure lies at rest, from the middle between the feet */
    case OriginElsewhere = 'flaw.origin-elsewhere';
    /** foot (lead or trail), percent: of the time that it carries weight */
    case OutsideSole = 'flaw.outside-sole';
    /** sum: of the two shares */
    case SharesDoNotAddUp = 'flaw.shares-do-not-add-up';
    case SharesAreParts = 'flaw.shares-are-parts';
    /** hz, percent: of the weight, where it is a force */
    case Hum = 'flaw.hum';
    case HeelAndToePerhaps = 'flaw.heel-and-toe-perhaps';
    case HeelAndToeExchanged = 'flaw.heel-and-toe-exchanged';
    /** duration_s: of what is told as seconds */
    case TimeInMilliseconds = 'flaw.time-in-milliseconds';
    /** channel, at_s, step_mm */
    case CopStays = 'flaw.cop-stays';
    /** channels, from_s, to_s */
    case BendsAtItsEnd = 'flaw.bends-at-its-end';
    /** percent: of the weight, on average */
    case WeightLacks = 'flaw.weight-lacks';
    case WeightTooMuch = 'flaw.weight-too-much';
    /** at_s, step_percent */
    case ShareSteps = 'flaw.share-steps';
    /** at_s */
    case StretchLost = 'flaw.stretch-lost';
    case NoSwing = 'flaw.no-swing';
    /** count, times: of the moments they are known by, s */
    case SeveralSwings = 'flaw.several-swings';
    /** down_ms: from top to impact */
    case ComesDownSlowly = 'flaw.comes-down-slowly';
    /** back_s: from address to top */
    case GoesBackSlowly = 'flaw.goes-back-slowly';
}
