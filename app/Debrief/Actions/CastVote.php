<?php

declare(strict_types=1);

namespace App\Debrief\Actions;

use App\Exceptions\ActionException;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\DebriefVote;
use App\Models\User;
use App\Sight\RoomSight;
use Illuminate\Support\Facades\DB;

/** One vote a question and stage, changed as often as one likes while it is open; kept under no name. */
final readonly class CastVote
{
    public function __construct(private RoomSight $sight)
    {
    }

    /** @throws ActionException */
    public function __invoke(DebriefSession $session, DebriefQuestion $question, User $by, string $answer): void
    {
        DB::transaction(function () use ($session, $question, $by, $answer): void {
            // Closing and ending wait for every vote under way.
            $session = DebriefSession::query()->sharedLock()->findOrFail($session->id);
            $question = DebriefQuestion::query()->sharedLock()->findOrFail($question->id);
            $case = $session->cases()->whereKey($question->debrief_case_id)->with('case.swings')->firstOrFail();
            if (! $session->isOpen() || ! $question->stage->isOpen()) {
                throw ActionException::because('refusals.debrief.vote-closed', status: ActionException::LOCKED);
            }
            if (! in_array($answer, $question->options, true)) {
                throw ActionException::because('refusals.debrief.no-answer');
            }
            if ($this->sight->of($case, $by, true)->why !== null || $this->sight->barred($session, $case) !== []) {
                throw ActionException::because('refusals.debrief.not-now', status: ActionException::CONFLICT);
            }
            DebriefVote::query()->upsert([[
                'debrief_question_id' => $question->id,
                'stage' => $question->stage->value,
                'voter' => $session->voter($by),
                'answer' => $answer,
            ]], ['debrief_question_id', 'stage', 'voter'], ['answer']);
        });
    }
}
