<?php

declare(strict_types=1);

namespace Core\Trace;

/** What a person may do about a trace that says something else than its columns do. */
enum RepairKind: string
{
    case PlacesInMetres = 'places-in-metres';
    case PlacesInCentimetres = 'places-in-centimetres';
    case ForcesInKilograms = 'forces-in-kilograms';
    case SharesAsParts = 'shares-as-parts';
    case TimesInMilliseconds = 'times-in-milliseconds';
    case OtherOrigin = 'other-origin';
    case FeetExchanged = 'feet-exchanged';
    case SharesExchanged = 'shares-exchanged';
    case SidesMirrored = 'sides-mirrored';
    case HeelAndToeExchanged = 'heel-and-toe-exchanged';

    /** Whether marks, and films on the recording's clock, stay where they were. */
    public function keepsTime(): bool
    {
        return $this !== self::TimesInMilliseconds;
    }
}
