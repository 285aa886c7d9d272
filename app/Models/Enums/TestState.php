<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How far a test of readiness is; its ends are named as the sequential test names them. */
enum TestState: string
{
    case Asked = 'asked';
    case Declined = 'declined';
    case Open = 'open';
    case SignedOff = 'signed off';
    case Refused = 'refused';
    case Undecided = 'not signed off';
    case Stopped = 'stopped';

    public function isOver(): bool
    {
        return $this !== self::Asked && $this !== self::Open;
    }

    /** Whether it came to an end of its own. */
    public function isDecided(): bool
    {
        return in_array($this, [self::SignedOff, self::Refused, self::Undecided], true);
    }
}
