<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\PracticeAnswer;
use App\Models\User;
use Core\Reading\Presence;
use Core\Simulation\ContrastKind;
use Core\Training\Question;

/** Whether one fault is there in one swing. */
final readonly class IsItThere implements PracticeMode
{
    /** Made swings stand in where there are fewer recorded ones in which a fault is there, or is not. */
    private const ENOUGH = 3;

    public function __construct(
        private PracticePool $pool,
        private MadeSwings $made,
        private Codebooks $codebooks,
        private FaultTruth $truth,
        private Contrasts $contrasts,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        $recorded = $this->pool->of($user, $fault);

        return [...$recorded, ...$this->made($user, $fault, $recorded)];
    }

    /**
     * Of made swings, where there are few recorded ones, or all alike: an academy with five recordings can train.
     *
     * @param  list<Question>  $recorded
     * @return list<Question>
     */
    private function made(User $user, ?string $fault, array $recorded): array
    {
        $held = [];
        foreach ($recorded as $question) {
            $held[$question->fault][(int) $question->present] = ($held[$question->fault][(int) $question->present] ?? 0) + 1;
        }
        $asked = $this->made->asked($user);
        $out = [];
        foreach ($this->made->of(ContrastKind::Fault, ContrastKind::Alike) as $made) {
            foreach ($made['settled'] as $of => $present) {
                if (
                    ($fault === null || $of === $fault) && ($held[$of][(int) $present] ?? 0) < self::ENOUGH &&
                    ($this->codebooks->current()->faults[$of] ?? null)
                        ?->observability($made['shown'])
                        ->supports() === true
                ) {
                    $out["made {$made['id']} $of"] = new Question(
                        "made {$made['id']} $of",
                        "made {$made['id']}",
                        $of,
                        $present,
                        MadeSwings::difficulty($made['spec'], $of),
                        $asked["{$made['id']}|$of"] ?? 0,
                    );
                }
            }
        }

        return array_values($out);
    }

    public function put(Question $question): array
    {
        if (str_starts_with($question->id, 'made ')) {
            return [
                'made_swing_id' => (int) substr($question->swing, 5),
                'fault' => $question->fault,
                'key_entry_id' => null,
                'topic' => [],
            ];
        }

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

    public function others(PracticeAnswer $answer): array
    {
        return $answer->answered_at === null
            ? []
            : $this->contrasts->beside($answer, ContrastKind::Alike, ContrastKind::Fault);
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (Presence::tryFrom($said) === null) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === $this->truth->label($answer, (string) $answer->fault), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $fault = $this->truth->fault((string) $answer->fault);
        $label = $this->truth->label($answer, $fault->key);
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
