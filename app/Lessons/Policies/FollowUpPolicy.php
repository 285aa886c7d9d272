<?php

declare(strict_types=1);

namespace App\Lessons\Policies;

use App\Models\FollowUp;
use App\Models\User;
use App\Sight\LessonSight;

/**
 * Who gives both sessions follows one up. The later one's swings are not asked about before the feel is kept: until
 * then nothing of them is shown.
 */
final readonly class FollowUpPolicy
{
    public function __construct(private LessonSight $sight)
    {
    }

    public function take(User $user, FollowUp $followUp): bool
    {
        return $user->can('see', $followUp->prescription)
            && $user->can('give', $followUp->lesson)
            && ($followUp->lesson->awaitsFeel()
                ? $this->sight->agrees($followUp->lesson)
                : $this->sight->isOpen($followUp->lesson, $user));
    }
}
