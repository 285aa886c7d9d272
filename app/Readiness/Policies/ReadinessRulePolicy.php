<?php

declare(strict_types=1);

namespace App\Readiness\Policies;

use App\Models\ReadinessRule;
use App\Models\User;

/** Rules are made by head coaches; what they ask is told to everybody who works under them. */
final class ReadinessRulePolicy
{
    public function manage(User $user, ?ReadinessRule $rule = null): bool
    {
        return $user->isHeadCoach();
    }

    public function see(User $user, ReadinessRule $rule): bool
    {
        return $user->isActive();
    }
}
