<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\PracticeAnswer;
use App\Models\User;
use Core\Reading\Presence;
use Core\Training\Question;

/** Whether one fault is there in one swing. */
final readonly class IsItThere implements PracticeMode
{
    public function __construct(
        private PracticePool $pool,
        private Codebooks $codebooks,
        private FaultTruth $truth,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        return $this->pool->of($user, $fault);
    }

    public function put(Question $question): array
    {
        return [
            'recording_id' => (int) $question->swing,
            'fault' => $question->fault,
            'key_entry_id' => (int) $question->id,
            'topic' => [],
        ];
    }

    public function skillName(string $skill): string
    {
        return $this->codebooks->current()->faults[$skill]->name ?? $skill;
    }

    public function asks(PracticeAnswer $answer): array
    {
        $fault = $this->truth->fault((string) $answer->fault);

        return [
            'title' => ucfirst($fault->name),
            'asks' => (string) __('practice.ask'),
            'look' => $fault->lookFor,
            'station' => $fault->station->value,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        return array_map(static fn (Presence $p): array => [
            'value' => $p->value,
            'label' => (string) __("calls.$p->value"),
        ], [Presence::Present, Presence::Absent, Presence::CannotTell]);
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (Presence::tryFrom($said) === null) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === $answer->entry?->scoredLabel(), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $fault = $this->truth->fault((string) $answer->fault);
        $label = $answer->entry?->scoredLabel() ?? '';
        $told = $this->truth->of($answer, $fault->key, $label);

        return [
            'head' => (string) __($answer->right === true ? 'practice.right' : 'practice.wrong', [
                'label' => __("calls.$label"),
                'said' => __("calls.$answer->said"),
            ]),
            'lines' => $told['lines'],
            'fault' => $fault->key,
            'reasons' => $told['reasons'],
            'beside' => $this->truth->beside($answer, $fault->key, $label, $user),
            'notes' => $fault->confusedWith === [] ? [] : [(string) __('practice.confused', [
                'what' => implode(', ', $fault->confusedWith),
            ])],
        ];
    }
}
