<?php

declare(strict_types=1);

namespace App\Panel\Policies;

use App\Models\KeyEntry;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Sight\SittingState;

final readonly class KeyEntryPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** A head coach who still has to read the case is a reader there; somebody else rules. */
    public function rule(User $user, KeyEntry $entry): bool
    {
        $panel = $entry->keyVersion->sitting;

        return $user->isHeadCoach() &&
            in_array($panel->state, [SittingState::Closed, SittingState::Published], true) &&
            $this->onlookers->of($user)->seesEntry($entry, $panel);
    }
}
