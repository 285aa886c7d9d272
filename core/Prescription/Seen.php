<?php

declare(strict_types=1);

namespace Core\Prescription;

/** What became of a measure from one series to the next; also what a golfer felt of it, and what who teaches thinks. */
enum Seen: string
{
    case Better = 'better';
    case Same = 'same';
    case Worse = 'worse';
    /** Too few swings, or too wide a spread, for any of the others. */
    case CannotBeSaid = 'cannot-be-said';

    /** @return list<self> what somebody may say */
    public static function said(): array
    {
        return [self::Better, self::Same, self::Worse];
    }
}
