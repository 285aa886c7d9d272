<?php

declare(strict_types=1);

namespace App\Capture\Policies;

use App\Models\User;

/** Who watches a device while it sends, and arms it. */
final class CaptureSessionPolicy
{
    public function view(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function arm(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
