<?php

declare(strict_types=1);

namespace App\Readiness\Policies;

use App\Models\ReadinessDecision;
use App\Models\User;

/** A statement is its own person’s, and the head coach’s. */
final class ReadinessDecisionPolicy
{
    public function view(User $user, ReadinessDecision $decision): bool
    {
        return $user->isHeadCoach() || $decision->user_id === $user->id;
    }
}
