<?php

declare(strict_types=1);

namespace Core\Prescription;

/** What speaks for a drill or against it. */
enum ReasonCode: string
{
    case FirstCause = 'first-cause';
    case AlsoSeen = 'also-seen';
    case ForNothingSeen = 'for-nothing-seen';
    case OutsideCause = 'outside-cause';
    case LensWay = 'lens-way';
    case LensRefuses = 'lens-refuses';
    case Limit = 'limit';
    case Worsens = 'worsens';
    case HarmList = 'harm-list';
    case BeginsPlain = 'begins-plain';
    case BeginsHigh = 'begins-high';
    case GoesFar = 'goes-far';
    case EndsShort = 'ends-short';

    public function speaksFor(): bool
    {
        return match ($this) {
            self::FirstCause, self::AlsoSeen, self::LensWay, self::BeginsPlain, self::GoesFar => true,
            default => false,
        };
    }

    /** Whether who chooses the drill all the same says why. */
    public function asksWhy(): bool
    {
        return match ($this) {
            self::Limit, self::Worsens, self::HarmList, self::LensRefuses => true,
            default => false,
        };
    }
}
