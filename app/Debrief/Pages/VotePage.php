<?php

declare(strict_types=1);

namespace App\Debrief\Pages;

use App\Codebook\Codebooks;
use App\Debrief\Questions;
use App\Models\DebriefCase;
use App\Models\DebriefQuestion;
use App\Models\DebriefSession;
use App\Models\DebriefVote;
use App\Models\Enums\VoteKind;
use App\Models\Enums\VoteStage;
use App\Models\User;
use App\Words\Term;
use Core\Agreement\Profile\VoteChange;
use Core\Number\Written;
use Core\Reading\Outside;
use Core\Sight\Reveal;

/** Questions to a room: what it is asked now, how many have voted, and in numbers only how it voted. */
final readonly class VotePage
{
    public function __construct(private Codebooks $codebooks)
    {
    }

    /**
     * The newest question of the case that is shown, for the room: totals once a vote is closed, nobody's name, and
     * nothing of the key before the presenter has shown what the panel says.
     *
     * @return array<string, mixed>|null
     */
    public function shown(DebriefSession $session, DebriefCase $case): ?array
    {
        $question = $case->questions()->with('votes')->reorder()
            ->orderByRaw("stage in ('before', 'after') desc, id desc")->first();

        return $question === null ? null : $this->of($session, $question, $case->revealed->covers(Reveal::Panel));
    }

    /**
     * @param  bool  $key  whether what the key says may be told
     * @return array{question: DebriefQuestion, asks: string, open: bool, stage: string, voted: int,
     *     results: list<array{ answer: string, before: int, after: int|null, most: int, right: bool}>, change: string}
     */
    public function of(DebriefSession $session, DebriefQuestion $question, bool $key): array
    {
        $right = $key ? $question->answers : null;
        $votes = static fn (VoteStage $stage): array => $question->votes->where('stage', $stage)
            ->mapWithKeys(static fn (DebriefVote $v): array => [$v->voter => $v->answer])->all();
        [$before, $after] = [$votes(VoteStage::Before), $votes(VoteStage::After)];
        $over = $question->stage === VoteStage::Done;
        $change = VoteChange::of($before, $over ? $after : [], $right);

        return [
            'question' => $question,
            'asks' => $this->asks($session, $question),
            'open' => $question->stage->isOpen(),
            'stage' => (string) __("debrief.votes.stages.{$question->stage->value}"),
            'voted' => $question->stage === VoteStage::After || $over ? count($after) : count($before),
            'results' => $question->stage === VoteStage::Before ? [] : array_map(fn (string $answer): array => [
                'answer' => $this->answer($session, $question, $answer),
                'before' => $change->before[$answer] ?? 0,
                'after' => $over ? $change->after[$answer] ?? 0 : null,
                'most' => max(1, count($before), count($after)),
                'right' => $over && in_array($answer, $right ?? [], true),
            ], $question->options),
            'change' => $over ? self::told($change, $key) : '',
        ];
    }

    /**
     * What somebody who joined sees: the question that is open, its answers, the own one.
     *
     * @return array{question: DebriefQuestion, asks: string, stage: string, options: list<array{key: string,
     *     words: string, own: bool}>, voted: bool}|null
     */
    public function ofVoter(DebriefSession $session, DebriefCase $case, User $user): ?array
    {
        $question = $case->questions()->whereIn('stage', [VoteStage::Before, VoteStage::After])->first();
        if ($question === null) {
            return null;
        }
        $own = DebriefVote::query()
            ->where('debrief_question_id', $question->id)
            ->where('stage', $question->stage)
            ->where('voter', $session->voter($user))
            ->value('answer');

        return [
            'question' => $question,
            'asks' => $this->asks($session, $question),
            'stage' => (string) __("debrief.votes.stages.{$question->stage->value}"),
            'options' => array_map(fn (string $answer): array => [
                'key' => $answer,
                'words' => $this->answer($session, $question, $answer),
                'own' => $answer === $own,
            ], $question->options),
            'voted' => $own !== null,
        ];
    }

    /** How many votes have been given in a debrief, and how many have joined: what a page that counts looks at. */
    public function given(DebriefSession $session): string
    {
        $n = DebriefVote::query()->whereIn('debrief_question_id', DebriefQuestion::query()
            ->whereIn('debrief_case_id', $session->cases()->reorder()->select('id'))
            ->select('id'))->count();

        return $n.'/'.$session->people()->count();
    }

    private function asks(DebriefSession $session, DebriefQuestion $question): string
    {
        $codebook = $this->codebooks->of($session->loadMissing('sitting')->sitting);

        return (string) __("debrief.votes.asks.{$question->kind->value}", [
            'fault' => $codebook->faults[$question->fault]->name ?? $question->fault,
        ]);
    }

    private function answer(DebriefSession $session, DebriefQuestion $question, string $answer): string
    {
        $codebook = $this->codebooks->of($session->loadMissing('sitting')->sitting);
        $other = Outside::Other->value.' ';

        return match (true) {
            $question->kind === VoteKind::Presence => (string) __("calls.$answer"),
            $answer === Questions::NONE => (string) __('debrief.votes.none'),
            $question->kind === VoteKind::Drill => $codebook->drills()[$answer]->name ?? $answer,
            str_starts_with($answer, $other) => substr($answer, strlen($other)),
            default => Term::finding($answer, $codebook),
        };
    }

    /** How it changed, in a sentence; of few voters only that they are few. */
    private static function told(VoteChange $c, bool $key): string
    {
        if (! $c->isTold()) {
            return trans_choice('debrief.votes.few', VoteChange::VOTERS, ['count' => VoteChange::VOTERS]);
        }

        return (string) match (true) {
            $c->won === null => __($key ? 'debrief.votes.changed-no-key' : 'debrief.votes.changed', [
                'changed' => $c->changed,
                'of' => $c->both,
            ]),
            $c->p === null => __('debrief.votes.stayed', ['of' => $c->both]),
            default => __($c->p < 0.05 ? 'debrief.votes.sides' : 'debrief.votes.sides-chance', [
                'won' => $c->won,
                'lost' => $c->lost,
                'of' => $c->both,
                'p' => Written::fixed($c->p, 3),
            ]),
        };
    }
}
