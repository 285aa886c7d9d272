<?php

declare(strict_types=1);

namespace App\Academy\Policies;

use App\Models\User;

/** Who runs the academy: its people, groups, golfers, letters and itself. */
final class AcademyPolicy
{
    public function manage(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
