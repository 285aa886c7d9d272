<?php

declare(strict_types=1);

namespace App\Shelf\Policies;

use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\Thing;

/** Who may put a recording on the Bench with its measurements, and who may change what is held of it. */
final readonly class RecordingPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    public function viewAny(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function create(User $user): bool
    {
        return $user->isHeadCoach();
    }

    public function view(User $user, Recording $recording): bool
    {
        return $this->onlookers->of($user)->sees($recording, Thing::Numbers);
    }

    /** One's own swing, alone. */
    public function review(User $user, Recording $recording): bool
    {
        return $this->onlookers->of($user)->mayReview($recording->id);
    }

    public function update(User $user, Recording $recording): bool
    {
        return $user->isHeadCoach() && $this->view($user, $recording);
    }
}
