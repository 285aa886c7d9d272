<?php

declare(strict_types=1);

namespace App\Sight;

use App\Models\DebriefCase;
use App\Models\DebriefSession;
use App\Models\User;
use Core\Sight\Reveal;
use Core\Sight\Sight;
use Core\Sight\Why;

/** What a debrief may show, to one person and to all who have joined. */
final readonly class RoomSight
{
    public function __construct(private Onlookers $onlookers)
    {
    }

    /** Of a case as far as it is shown, to the presenter or somebody who joined: of every swing. */
    public function of(DebriefCase $case, User $user, bool $joined): Sight
    {
        return $this->upTo($case, $user, $joined, $case->revealed);
    }

    /**
     * Who has joined and may not see a case now, and why: it is still to be read blind, or it is their own swing.
     *
     * @return array<string, Why> by name
     */
    public function barred(DebriefSession $session, DebriefCase $case): array
    {
        $out = [];
        foreach ($session->people()->orderBy('name')->orderBy('users.id')->get() as $user) {
            $why = $this->upTo($case, $user, true, Reveal::Swing)->why;
            if ($why !== null) {
                $out[$user->name] = $why;
            }
        }

        return $out;
    }

    /** Why somebody may not join: a case of it may not be seen by them now. */
    public function keepsOut(DebriefSession $session, User $user): ?Why
    {
        foreach ($session->cases()->with('case.swings')->get() as $case) {
            $why = $this->upTo($case, $user, true, Reveal::Swing)->why;
            // What nobody may see any more keeps nobody out.
            if ($why !== null && $why !== Why::Consent && $why !== Why::Erased) {
                return $why;
            }
        }

        return null;
    }

    private function upTo(DebriefCase $case, User $user, bool $joined, Reveal $revealed): Sight
    {
        $onlooker = $this->onlookers->of($user);
        $sights = [];
        foreach ($case->loadMissing('case.swings')->case->swings as $swing) {
            $sights[] = Sight::ofDebrief($onlooker->standing($swing->recording_id), $revealed, $joined);
        }

        return Sight::ofAll($sights);
    }
}
