<?php

declare(strict_types=1);

namespace App\Capture\Policies;

use App\Models\User;

/** Who lets devices send, sees which may, and ends that. */
final class DevicePolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function check(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function revoke(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
