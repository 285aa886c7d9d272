<?php

declare(strict_types=1);

namespace App\Sittings\Policies;

use App\Models\Reading;
use App\Models\User;

/** A reading belongs to its rater alone; nobody else opens it, not even the head coach. */
final class ReadingPolicy
{
    public function view(User $user, Reading $reading): bool
    {
        return $reading->user_id === $user->id;
    }

    public function update(User $user, Reading $reading): bool
    {
        return $reading->user_id === $user->id;
    }
}
