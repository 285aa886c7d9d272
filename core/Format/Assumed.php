<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Remark\RemarkCode;

/** What was assumed where a file does not say it. */
enum Assumed: string implements RemarkCode
{
    case LeadIsNearer = 'assumed.lead-is-nearer';
    case MassUnknown = 'assumed.mass-unknown';
    /** mass, kg */
    case MassStanding = 'assumed.mass-standing';
    case FeetFromPoints = 'assumed.feet-from-points';
    case FeetFromPressure = 'assumed.feet-from-pressure';
    /** labels: of events that stand in no order a swing has */
    case EventsOutOfOrder = 'assumed.events-out-of-order';
    /** mass, kg */
    case MassStated = 'assumed.mass-stated';
    /** stated_hz, clock_hz */
    case ClockOverRate = 'assumed.clock-over-rate';
    /** source */
    case ErrorsStated = 'assumed.errors-stated';
    case FeetUnknown = 'assumed.feet-unknown';
}
