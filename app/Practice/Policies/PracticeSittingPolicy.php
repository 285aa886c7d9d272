<?php

declare(strict_types=1);

namespace App\Practice\Policies;

use App\Models\PracticeSitting;
use App\Models\User;

/** A practice sitting is its own person's, and nobody else's. */
final class PracticeSittingPolicy
{
    public function practise(User $user, PracticeSitting $sitting): bool
    {
        return $sitting->user_id === $user->id;
    }
}
