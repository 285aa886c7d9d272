<?php

declare(strict_types=1);

namespace App\Lessons\Policies;

use App\Models\Prescription;
use App\Models\User;
use App\Sight\LessonSight;

/** Who gives the session sees what was prescribed in it, while nothing of its swings is hidden from them. */
final readonly class PrescriptionPolicy
{
    public function __construct(private LessonSight $sight)
    {
    }

    public function see(User $user, Prescription $prescription): bool
    {
        return $user->can('give', $prescription->lesson) && $this->sight->isOpen($prescription->lesson, $user);
    }
}
