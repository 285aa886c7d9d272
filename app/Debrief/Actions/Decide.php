<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Debrief\Events\DecisionDone;
use App\Debrief\Events\DecisionTaken;
use App\Exceptions\ActionException;
use App\Models\DebriefCase;
use App\Models\DebriefDecision;
use App\Models\DebriefSession;
use App\Models\User;
use Core\Consensus\LiesIn;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Writes down what a debrief decided, and later that it is done. */
final readonly class Decide
{
    /**
     * @param  DebriefCase|null  $case  it is about; none of what is about them all
     *
     * @throws ActionException
     */
    public function __invoke(
        DebriefSession $session,
        ?DebriefCase $case,
        LiesIn $lies,
        string $what,
        User $owner,
        ?Carbon $due,
        User $by,
    ): DebriefDecision {
        return DB::transaction(static function () use (
            $session, $case, $lies, $what, $owner, $due, $by,
        ): DebriefDecision {
            $session = DebriefSession::query()->sharedLock()->findOrFail($session->id);
            $case = $case === null ? null : $session->cases()->whereKey($case->id)->firstOrFail();
            // The same sent twice is one decision.
            $decision = DebriefDecision::query()->firstOrCreate([
                'debrief_session_id' => $session->id,
                'debrief_case_id' => $case?->id,
                'lies' => $lies,
                'what' => $what,
                'owner_id' => $owner->id,
            ], ['fault' => (string) $case?->topic, 'due_on' => $due, 'decided_at' => now()]);
            if ($decision->wasRecentlyCreated) {
                event(new DecisionTaken($session, $decision, $by));
            }

            return $decision;
        });
    }

    /** @throws ActionException */
    public function done(DebriefDecision $decision, string $outcome, User $by): void
    {
        DB::transaction(static function () use ($decision, $outcome, $by): void {
            $decision = DebriefDecision::query()->lockForUpdate()->findOrFail($decision->id);
            if ($decision->done_at !== null) {
                throw ActionException::because('refusals.debrief.done-already');
            }
            $decision->update(['done_at' => now(), 'done_by' => $by->id, 'outcome' => $outcome]);
            event(new DecisionDone($decision, $by));
        });
    }
}
