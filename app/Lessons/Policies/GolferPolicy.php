<?php

declare(strict_types=1);

namespace App\Lessons\Policies;

use App\Models\Golfer;
use App\Models\Lesson;
use App\Models\User;

/** Who teaches a golfer: the head coach, and whoever has given a session. */
final class GolferPolicy
{
    public function teach(User $user, Golfer $golfer): bool
    {
        return $user->isHeadCoach()
            || Lesson::query()->where('golfer_id', $golfer->id)->where('given_by', $user->id)->exists();
    }
}
