<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Debrief\Questions;
use App\Exceptions\ActionException;
use App\Models\DebriefCase;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use App\Sight\RoomSight;
use Illuminate\Support\Facades\DB;

/** Puts a question to the room, closes its vote, opens the second, closes that: one at a time. */
final readonly class AskRoom
{
    public function __construct(private Questions $questions, private RoomSight $sight)
    {
    }

    /**
     * Asked twice it is the same question, where it stands.
     *
     * @throws ActionException
     */
    public function __invoke(DebriefSession $session, DebriefCase $case, VoteKind $kind, string $fault): DebriefQuestion
    {
        return $this->held($session, function (DebriefSession $session) use ($case, $kind, $fault): DebriefQuestion {
            $case = $session->cases()->whereKey($case->id)->firstOrFail();
            $found = $case->questions()->where('kind', $kind)->where('fault', $fault)->first();
            if ($found !== null) {
                return $found;
            }
            $this->ready($session, $case);
            [$options, $answers] = $this->questions->about($case, $kind, $fault)
                ?? throw ActionException::because('refusals.debrief.no-question');
            $question = $case->questions()->create([
                'kind' => $kind,
                'fault' => $fault,
                'options' => $options,
                'answers' => $answers,
                'stage' => VoteStage::Before,
                'asked_at' => now(),
            ]);
            $session->changed();

            return $question;
        });
    }

    /**
     * Takes a question on by one step.
     *
     * @param  VoteStage  $from  where the presenter saw it stand: a second press does nothing
     *
     * @throws ActionException
     */
    public function on(DebriefSession $session, DebriefQuestion $question, VoteStage $from): void
    {
        $this->held($session, function (DebriefSession $session) use ($question, $from): void {
            $question = DebriefQuestion::query()->lockForUpdate()->findOrFail($question->id);
            $case = $session->cases()->whereKey($question->debrief_case_id)->firstOrFail();
            $next = $from->next();
            if ($question->stage !== $from || $next === null) {
                return;
            }
            if ($next->isOpen()) {
                $this->ready($session, $case);
            }
            $question->update(['stage' => $next]);
            $session->changed();
        });
    }

    /**
     * @template T
     *
     * @param  \Closure(DebriefSession): T  $do
     * @return T
     *
     * @throws ActionException
     */
    private function held(DebriefSession $session, \Closure $do): mixed
    {
        return DB::transaction(static function () use ($session, $do): mixed {
            $session = DebriefSession::query()->lockForUpdate()->findOrFail($session->id);
            if (! $session->isOpen()) {
                throw ActionException::because('refusals.debrief.over', status: ActionException::LOCKED);
            }

            return $do($session);
        });
    }

    /** @throws ActionException where another vote is open, or somebody who joined may not see the case */
    private function ready(DebriefSession $session, DebriefCase $case): void
    {
        $open = DebriefQuestion::query()
            ->whereIn('debrief_case_id', $session->cases()->reorder()->select('id'))
            ->whereIn('stage', [VoteStage::Before, VoteStage::After])
            ->exists();
        if ($open) {
            throw ActionException::because('refusals.debrief.vote-open');
        }
        $barred = $this->sight->barred($session, $case);
        if ($barred !== []) {
            throw ActionException::because('refusals.debrief.barred', [
                'who' => implode(', ', array_keys($barred)),
            ], ActionException::CONFLICT);
        }
    }
}
