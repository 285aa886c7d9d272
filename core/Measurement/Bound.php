<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Remark\RemarkCode;

/** What a censored value is known of: the bound itself. */
enum Bound: string implements RemarkCode
{
    case RecentredFromTheStart = 'bound.recentred-from-the-start';
    case NeverRecentred = 'bound.never-recentred';
    case TrailHeelDown = 'bound.trail-heel-down';
    case LeadHeelUp = 'bound.lead-heel-up';
    case PressureWasThere = 'bound.pressure-was-there';
    case KneeBending = 'bound.knee-bending';
}
