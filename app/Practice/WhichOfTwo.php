<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\PracticeAnswer;
use App\Models\User;
use Core\Simulation\ContrastKind;
use Core\Training\LookAlikes;
use Core\Training\Question;

/** Which of two faults that are taken for one another it is: the one, the other, both or neither. */
final readonly class WhichOfTwo implements PracticeMode
{
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
        $pairs = array_values(array_filter(
            LookAlikes::among($this->codebooks->current()->keys()),
            static fn (array $pair): bool => $fault === null || in_array($fault, $pair, true),
        ));

        return [...$this->made($user, $pairs), ...array_map(static fn (array $of): Question => new Question(
            "{$of['entry']} {$of['one']} {$of['other']}",
            (string) $of['recording'],
            LookAlikes::skill($of['one'], $of['other']),
            in_array('present', $of['labels'], true),
        ), $this->pool->pairs($user, $pairs))];
    }

    /**
     * @param  list<array{string, string}>  $pairs
     * @return list<Question> of made swings that settle both
     */
    private function made(User $user, array $pairs): array
    {
        $asked = $this->made->asked($user);
        $out = [];
        foreach ($this->made->of(ContrastKind::Alike) as $made) {
            foreach ($pairs as [$one, $other]) {
                $faults = $this->codebooks->current()->faults;
                if (
                    isset($made['settled'][$one], $made['settled'][$other]) &&
                    $faults[$one]->observability($made['shown'])->supports() &&
                    $faults[$other]->observability($made['shown'])->supports()
                ) {
                    $skill = LookAlikes::skill($one, $other);
                    $out["made {$made['id']} $one $other"] = new Question(
                        "made {$made['id']} $one $other",
                        "made {$made['id']}",
                        $skill,
                        $made['settled'][$one] || $made['settled'][$other],
                        0.0,
                        $asked["{$made['id']}|$skill"] ?? 0,
                    );
                }
            }
        }

        return array_values($out);
    }

    public function put(Question $question): array
    {
        if (str_starts_with($question->id, 'made ')) {
            [, $made, $one, $other] = explode(' ', $question->id);

            return [
                'made_swing_id' => (int) $made,
                'fault' => $one,
                'key_entry_id' => null,
                'topic' => ['other' => $other],
            ];
        }
        [$entry, $one, $other] = explode(' ', $question->id);

        return [
            'recording_id' => (int) $question->swing,
            'fault' => $one,
            'key_entry_id' => (int) $entry,
            'topic' => ['other' => $other],
        ];
    }

    public function skillName(string $skill): string
    {
        return (string) __('practice.alike.skill', array_combine(['one', 'other'], array_map(
            fn (string $key): string => $this->codebooks->current()->faults[$key]->name ?? $key,
            explode(' or ', $skill, 2),
        )));
    }

    public function asks(PracticeAnswer $answer): array
    {
        [$one, $other] = $this->both($answer);

        return [
            'title' => (string) __('practice.alike.title', ['one' => ucfirst($one->name), 'other' => $other->name]),
            'asks' => (string) __('practice.alike.asks'),
            'look' => (string) __('practice.alike.look', [
                'one' => $one->name, 'first' => $one->lookFor, 'other' => $other->name, 'second' => $other->lookFor,
            ]),
            'station' => $one->station->value,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        [$one, $other] = $this->both($answer);

        return [
            ['value' => $one->key, 'label' => $one->name],
            ['value' => $other->key, 'label' => $other->name],
            ['value' => 'both', 'label' => (string) __('practice.alike.both')],
            ['value' => 'neither', 'label' => (string) __('practice.alike.neither')],
        ];
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return $answer->answered_at === null ? [] : $this->contrasts->beside($answer, ContrastKind::Alike);
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (! in_array($said, array_column($this->options($answer), 'value'), true)) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === $this->is($answer), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $labels = $this->labels($answer);
        $names = array_column($this->options($answer), 'label', 'value');
        $lines = $reasons = [];
        foreach ($this->both($answer) as $i => $fault) {
            $told = $this->truth->of($answer, $fault->key, $labels[$i]);
            $lines[] = ucfirst($fault->name).': '.implode(' ', $told['lines']);
            $reasons = [...$reasons, ...$labels[$i] === 'present' ? $told['reasons'] : []];
        }
        // The curve of what is there.
        $shown = $this->both($answer)[$labels[1] === 'present' && $labels[0] !== 'present' ? 1 : 0];

        return [
            'head' => (string) __($answer->right === true ? 'practice.right' : 'practice.wrong', [
                'label' => $names[$this->is($answer)],
                'said' => $names[(string) $answer->said] ?? '',
            ]),
            'lines' => $lines,
            'fault' => $shown->key,
            'reasons' => $reasons,
            'beside' => $this->truth->beside(
                $answer,
                $shown->key,
                $labels[$shown->key === $answer->fault ? 0 : 1],
                $user,
            ),
            'notes' => [],
        ];
    }

    /** The right answer. */
    private function is(PracticeAnswer $answer): string
    {
        [$one, $other] = $this->both($answer);

        return match (array_map(static fn (string $l): bool => $l === 'present', $this->labels($answer))) {
            [true, true] => 'both',
            [true, false] => $one->key,
            [false, true] => $other->key,
            default => 'neither',
        };
    }

    /** @return array{\Core\Codebook\Fault, \Core\Codebook\Fault} */
    private function both(PracticeAnswer $answer): array
    {
        return [
            $this->truth->fault((string) $answer->fault),
            $this->truth->fault(Cell::text($answer->topic['other'] ?? '')),
        ];
    }

    /** @return array{string, string} what the key says of the one and of the other */
    private function labels(PracticeAnswer $answer): array
    {
        return [
            $this->truth->label($answer, (string) $answer->fault),
            $this->truth->label($answer, Cell::text($answer->topic['other'] ?? '')),
        ];
    }
}
