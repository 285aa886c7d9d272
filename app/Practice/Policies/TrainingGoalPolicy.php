<?php

declare(strict_types=1);

namespace App\Practice\Policies;

use App\Models\TrainingGoal;
use App\Models\User;

/** A goal is dropped by who set it and by a head coach, and ticked by whose it is. */
final class TrainingGoalPolicy
{
    public function drop(User $user, TrainingGoal $goal): bool
    {
        return $user->isHeadCoach() || ($goal->user_id === $user->id && $goal->set_by === $user->id);
    }

    public function tick(User $user, TrainingGoal $goal): bool
    {
        return $goal->user_id === $user->id && $goal->dropped_at === null;
    }
}
