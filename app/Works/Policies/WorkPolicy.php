<?php

declare(strict_types=1);

namespace App\Works\Policies;

use App\Models\User;
use App\Models\Work;
use App\Sight\Onlookers;

/**
 * Long work is watched and cancelled by head coaches, as far as its recording is in their sight; swings made for
 * practice by who asked for them.
 */
final readonly class WorkPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    public function watch(User $user, Work $work): bool
    {
        // Whoever practises waits for swings that are made for it.
        return $work->contrast_set_id === null
            ? $user->isHeadCoach() &&
                ($work->recording_id === null || $this->onlookers->of($user)->sees($work->recording_id))
            : $work->asked_by === $user->id || $user->isHeadCoach();
    }
}
