<?php

declare(strict_types=1);

namespace App\Debrief\Policies;

use App\Models\DebriefDecision;
use App\Models\User;

/** Who may say that what was decided is done: who sees to it, and whoever leads. */
final class DebriefDecisionPolicy
{
    public function finish(User $user, DebriefDecision $decision): bool
    {
        return $user->isHeadCoach() || $decision->owner_id === $user->id;
    }
}
