<?php

declare(strict_types=1);

namespace App\Readiness\Policies;

use App\Models\CheckPlan;
use App\Models\User;

/** Weekly checks are the head coach's to start, to watch and to stop. */
final class CheckPlanPolicy
{
    public function manage(User $user, ?CheckPlan $plan = null): bool
    {
        return $user->isHeadCoach();
    }
}
