<?php

declare(strict_types=1);

namespace App\Panel\Actions;

use App\Exceptions\ActionException;
use App\Models\FollowingAnswer;
use App\Models\Sitting;
use App\Models\User;
use App\Panel\FollowingRounds;
use App\Panel\PanelSheets;
use Core\Consensus\LiesIn;
use Core\Motion\Station;
use Core\Reading\Presence;
use Core\Reading\Severity;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** What a member says of one question of a following round; said again it takes the place of what was said. */
final readonly class AnswerFollowing
{
    /**
     * @param  Severity|null  $severity  of what is called present now; as it was where it was called so before
     *
     * @throws ActionException
     */
    public function __invoke(
        Sitting $following,
        User $by,
        int $case,
        string $fault,
        Presence $presence,
        ?Severity $severity,
        ?Station $onset,
        string $reason,
        LiesIn $lies,
    ): FollowingAnswer {
        return DB::transaction(static function () use (
            $following, $by, $case, $fault, $presence, $severity, $onset, $reason, $lies,
        ): FollowingAnswer {
            $following = FollowingRounds::all()->sharedLock()->findOrFail($following->id);
            if ($following->state !== SittingState::Open) {
                throw ActionException::because('refusals.panel.following-over', status: ActionException::LOCKED);
            }
            if (! in_array($fault, FollowingRounds::questions($following, $by->id)[$case] ?? [], true)) {
                throw ActionException::because('refusals.panel.following-not-asked');
            }
            $panel = Sitting::query()->findOrFail((int) $following->parent_id);
            $own = PanelSheets::ofMember($panel, $by->id)[$case]->calls()->where('fault', $fault)->firstOrFail();
            $before = FollowingRounds::said($panel)[$case][$fault][$by->id] ?? null;
            $was = $before->presence ?? $own->presence;
            $reason = trim($reason);
            if ($presence !== $was && mb_strlen($reason) < 3) {
                throw ActionException::because('refusals.panel.following-reason');
            }
            $here = $presence === Presence::Present;
            if ($here && $severity === null) {
                $severity = $was === Presence::Present ? $before->severity ?? $own->severity : null;
            }
            if ($here && $severity === null) {
                throw ActionException::because('refusals.panel.following-severity');
            }

            return FollowingAnswer::query()->updateOrCreate(
                ['sitting_id' => $following->id, 'user_id' => $by->id, 'case_id' => $case, 'fault' => $fault],
                [
                    'was' => $was,
                    'presence' => $presence,
                    'severity' => $here ? $severity : null,
                    'onset' => $here ? $onset ?? $before->onset ?? $own->onset : null,
                    'reason' => $reason,
                    'lies' => $lies,
                    'answered_at' => now(),
                ],
            );
        });
    }
}
