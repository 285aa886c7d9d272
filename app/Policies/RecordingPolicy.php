<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Recording;
use App\Models\User;

/** Who may put a recording on the Bench with its measurements. */
final class RecordingPolicy
{
    public function viewAny(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    /** The head coach always; others what is open to them on the Bench. */
    public function view(User $user, Recording $recording): bool
    {
        return $user->isHeadCoach() || Recording::viewableBy($user)->whereKey($recording->id)->exists();
    }
}
