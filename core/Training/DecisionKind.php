<?php

declare(strict_types=1);

namespace Core\Training;

/** What is decided, or asked, about somebody's being left alone. */
enum DecisionKind: string
{
    case SignedOff = 'signed-off';
    case Refused = 'refused';
    case Suspended = 'suspended';
    case Reinstated = 'reinstated';
    /** By the person: what was refused or suspended shall be looked at again. */
    case Appealed = 'appealed';
    case Upheld = 'upheld';
    case TurnedDown = 'turned-down';

    /** Whether it is the person's own step; every other is the head coach's. */
    public function isOwn(): bool
    {
        return $this === self::Appealed;
    }
}
