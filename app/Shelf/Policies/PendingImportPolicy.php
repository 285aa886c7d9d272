<?php

declare(strict_types=1);

namespace App\Shelf\Policies;

use App\Models\User;

/** Who brings a file in, and looks at what was understood of it. */
final class PendingImportPolicy
{
    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function manage(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
