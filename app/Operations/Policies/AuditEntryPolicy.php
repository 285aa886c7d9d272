<?php

declare(strict_types=1);

namespace App\Operations\Policies;

use App\Models\User;

/** Who reads the record of what was done. */
final class AuditEntryPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
