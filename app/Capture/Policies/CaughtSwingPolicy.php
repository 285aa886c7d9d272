<?php

declare(strict_types=1);

namespace App\Capture\Policies;

use App\Models\User;

/** Who puts a caught swing on the Shelf or leaves it. */
final class CaughtSwingPolicy
{
    public function keep(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function leave(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
