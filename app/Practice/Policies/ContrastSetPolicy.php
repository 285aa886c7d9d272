<?php

declare(strict_types=1);

namespace App\Practice\Policies;

use App\Models\ContrastSet;
use App\Models\User;

/** Swings that were made are nobody's: whoever trains or runs the training looks at them. */
final class ContrastSetPolicy
{
    public function view(User $user, ContrastSet $set): bool
    {
        return $user->isActive();
    }
}
