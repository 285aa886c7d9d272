<?php

declare(strict_types=1);

namespace Core\Prescription;

/** Whether what a prescription expected is what was seen. */
enum Outcome: string
{
    case AsExpected = 'as-expected';
    case NoChange = 'no-change';
    case Against = 'against';
    case CannotBeSaid = 'cannot-be-said';

    /** @param  list<Seen>  $seen  of the measures that were expected to change */
    public static function of(array $seen): self
    {
        return match (true) {
            in_array(Seen::Worse, $seen, true) => self::Against,
            in_array(Seen::Better, $seen, true) => self::AsExpected,
            $seen !== [] && ! in_array(Seen::CannotBeSaid, $seen, true) => self::NoChange,
            default => self::CannotBeSaid,
        };
    }
}
