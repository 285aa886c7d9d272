<?php

declare(strict_types=1);

namespace App\Debrief\Policies;

use App\Models\DebriefSession;
use App\Models\User;

/** Who leads a debrief, and who takes part in it. What each may see of a case is Core\Sight's to say. */
final readonly class DebriefSessionPolicy
{
    public function present(User $user, DebriefSession $session): bool
    {
        return $user->can('debrief', $session->loadMissing('sitting')->sitting);
    }

    /** The room's page, and whether there is something new: whoever leads it, and whoever has joined. */
    public function watch(User $user, DebriefSession $session): bool
    {
        return $this->present($user, $session) || $this->takesPart($user, $session);
    }

    public function vote(User $user, DebriefSession $session): bool
    {
        return $this->takesPart($user, $session);
    }

    private function takesPart(User $user, DebriefSession $session): bool
    {
        return $session->people()->whereKey($user->id)->exists();
    }
}
