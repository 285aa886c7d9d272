<?php

declare(strict_types=1);

namespace App\Undo\Policies;

use App\Models\Undo;
use App\Models\User;

/** Whoever did it takes it back. */
final class UndoPolicy
{
    public function take(User $user, Undo $undo): bool
    {
        return $undo->user_id === $user->id;
    }
}
