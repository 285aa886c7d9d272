<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** What a room votes on. */
enum VoteKind: string
{
    case Presence = 'presence';
    case Cause = 'cause';
    case Drill = 'drill';
}
