<?php

declare(strict_types=1);

namespace Core\Planning;

/** Where a sign-off stands; undecided at its end is not signed off. */
enum SignOffDecision: string
{
    case GoesOn = 'goes on';
    case SignedOff = 'signed off';
    case Refused = 'refused';
    case Undecided = 'not signed off';
}
