<?php

declare(strict_types=1);

namespace Core\Training;

/** Where somebody stands beside one rule. */
enum ReadinessState: string
{
    case None = 'none';
    case SignedOff = 'signed-off';
    case Refused = 'refused';
    case Suspended = 'suspended';
    /** It held until its day. */
    case Expired = 'expired';
    /** It holds, but nothing was read for longer than the rule allows. */
    case Recheck = 'recheck';
}
