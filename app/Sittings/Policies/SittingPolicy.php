<?php

declare(strict_types=1);

namespace App\Sittings\Policies;

use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use App\Sight\PanelSight;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;

final readonly class SittingPolicy
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    public function manage(User $user): bool
    {
        return $user->isHeadCoach();
    }

    /** Who reads in it while it is open, and is not left out. */
    public function attend(User $user, Sitting $round): bool
    {
        return $round->state === SittingState::Open &&
            $round->members()->whereKey($user->id)->wherePivotNull('left_out_at')->exists();
    }

    /** The agreement figures of a staff round: everybody in it, once it is published. */
    public function viewResult(User $user, Sitting $round): bool
    {
        return ! $round->isPanel() && $round->state === SittingState::Published
            && ($user->isHeadCoach() || $round->seats($user));
    }

    /** The round gone through with the staff: what everybody said, beside the key. */
    public function debrief(User $user, Sitting $round): bool
    {
        return $user->isHeadCoach() && $this->viewResult($user, $round);
    }

    /** The round as files, with everybody's calls. */
    public function export(User $user, Sitting $round): bool
    {
        return $user->isHeadCoach() && $this->viewResult($user, $round);
    }

    /** One person's page: the head coach's, and one's own. */
    public function viewPerson(User $user, Sitting $round, User $member): bool
    {
        return $this->viewResult($user, $round) &&
            ($user->isHeadCoach() || $user->is($member)) &&
            $round->seats($member);
    }

    /** The key of a panel study: the head coach once it is closed, the panel once it is published. */
    public function viewKey(User $user, Sitting $round): bool
    {
        if (! $round->isPanel()) {
            return false;
        }

        return $user->isHeadCoach()
            ? in_array($round->state, [SittingState::Closed, SittingState::Published], true)
            : $round->state === SittingState::Published && $round->seats($user);
    }

    /** A following round: whoever was asked, and reads none of its swings blind elsewhere. */
    public function follow(User $user, Sitting $following): bool
    {
        return $following->kind === SittingKind::Following && $following->seats($user) &&
            ! (new PanelSight($this->onlookers->of($user)))->isAwaited($following);
    }

    public function rule(User $user, Sitting $round): bool
    {
        return $user->isHeadCoach() &&
            $round->isPanel() &&
            in_array($round->state, [SittingState::Closed, SittingState::Published], true);
    }
}
