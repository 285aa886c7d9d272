<?php

declare(strict_types=1);

namespace App\Readiness\Policies;

use App\Models\ReadinessTest;
use App\Models\User;

/** Tests are begun and ended by head coaches, and never one’s own. */
final class ReadinessTestPolicy
{
    public function manage(User $user, ReadinessTest $test): bool
    {
        return $user->isHeadCoach() && $test->user_id !== $user->id;
    }
}
