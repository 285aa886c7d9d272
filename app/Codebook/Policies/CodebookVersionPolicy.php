<?php

declare(strict_types=1);

namespace App\Codebook\Policies;

use App\Models\User;

/** The codebook is everybody's to read; who takes up another version of it. */
final class CodebookVersionPolicy
{
    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }
}
