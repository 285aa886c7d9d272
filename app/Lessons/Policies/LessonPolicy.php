<?php

declare(strict_types=1);

namespace App\Lessons\Policies;

use App\Models\Lesson;
use App\Models\User;
use App\Sight\LessonSight;

/** A session is its giver's and the head coach's. */
final readonly class LessonPolicy
{
    public function __construct(private LessonSight $sight)
    {
    }

    public function give(User $user, Lesson $lesson): bool
    {
        return $lesson->golfer->erased_at === null && ($user->isHeadCoach() || $lesson->given_by === $user->id);
    }

    /** Something is prescribed once the feel is said, while nothing of its swings is hidden from who gives it. */
    public function prescribe(User $user, Lesson $lesson): bool
    {
        return $this->give($user, $lesson) && $this->sight->isOpen($lesson, $user);
    }
}
