<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\MadeSwing;
use App\Models\PracticeAnswer;
use App\Models\User;
use Core\Simulation\ContrastKind;
use Core\Training\Question;

/**
 * The same golfer easy and at full speed, one after the other at the same station: in which of them is the fault?
 * Faults hide at low speed and come back with it.
 */
final readonly class EasyAndFull implements PracticeMode
{
    private const OPTIONS = ['both', 'full', 'easy', 'neither'];

    public function __construct(
        private MadeSwings $made,
        private Codebooks $codebooks,
        private FaultTruth $truth,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        $asked = $this->made->asked($user);
        $sets = [];
        foreach ($this->made->of(ContrastKind::Speed) as $made) {
            $sets[$made['set']][$made['spec']->isEasy ? 'easy' : 'full'][] = $made;
        }
        $out = [];
        foreach ($sets as $of) {
            $planted = [];
            foreach ($of['full'] ?? [] as $full) {
                $planted = [...$planted, ...array_keys($full['spec']->faults)];
            }
            foreach ($planted === [] ? [] : [$planted[0]] as $key) {
                if (($fault !== null && $fault !== $key) || ! isset($this->codebooks->current()->faults[$key])) {
                    continue;
                }
                foreach ($of['full'] ?? [] as $full) {
                    foreach ($of['easy'] ?? [] as $easy) {
                        // Both settled, and to be seen with what recorded them.
                        $seen = $this->codebooks->current()->faults[$key]->observability($full['shown'])->supports();
                        if (isset($full['settled'][$key], $easy['settled'][$key]) && $seen) {
                            $out["made {$full['id']} {$easy['id']} $key"] = new Question(
                                "made {$full['id']} {$easy['id']} $key",
                                "made {$full['id']}",
                                $key,
                                $full['settled'][$key] || $easy['settled'][$key],
                                0.0,
                                $asked["{$full['id']}|$key"] ?? 0,
                            );
                        }
                    }
                }
            }
        }

        return array_values($out);
    }

    public function put(Question $question): array
    {
        [, $full, $easy, $fault] = explode(' ', $question->id);

        return [
            'made_swing_id' => (int) $full,
            'fault' => $fault,
            'key_entry_id' => null,
            'topic' => ['easy' => (int) $easy],
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
            'title' => (string) __('practice.speed.title', ['fault' => ucfirst($fault->name)]),
            'asks' => (string) __('practice.speed.asks'),
            'look' => $fault->lookFor,
            'station' => $fault->station->value,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        return array_map(static fn (string $of): array => [
            'value' => $of,
            'label' => (string) __("practice.speed.options.$of"),
        ], self::OPTIONS);
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return [['made' => self::easy($answer), 'name' => (string) __('practice.speed.easy')]];
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (! in_array($said, self::OPTIONS, true)) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === $this->is($answer), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $fault = $this->truth->fault((string) $answer->fault);
        $lines = [];
        foreach ($this->both($answer) as $way => $label) {
            $verdict = $way === 'easy'
                ? $this->truth->verdictOf(self::easySwing($answer), $fault->key)
                : $this->truth->verdict($answer, $fault->key);
            $lines[] = (string) __("practice.speed.in.$way", [
                'label' => (string) __("calls.$label"),
                'why' => $this->truth->says($verdict, $fault),
            ]);
        }

        return [
            'head' => (string) __($answer->right === true ? 'practice.right' : 'practice.wrong', [
                'label' => (string) __('practice.speed.options.'.$this->is($answer)),
                'said' => (string) __("practice.speed.options.$answer->said"),
            ]),
            'lines' => $lines,
            'fault' => $fault->key,
            'reasons' => [],
            'beside' => null,
            'notes' => [(string) __('practice.speed.note')],
        ];
    }

    private function is(PracticeAnswer $answer): string
    {
        return match (array_map(static fn (string $l): bool => $l === 'present', array_values($this->both($answer)))) {
            [true, true] => 'both',
            [false, true] => 'full',
            [true, false] => 'easy',
            default => 'neither',
        };
    }

    /** @return array{easy: string, full: string} present or absent in each */
    private function both(PracticeAnswer $answer): array
    {
        $key = (string) $answer->fault;

        return [
            'easy' => $this->truth->labelOf(self::easySwing($answer), $key),
            'full' => $this->truth->label($answer, $key),
        ];
    }

    private static function easySwing(PracticeAnswer $answer): MadeSwing
    {
        return MadeSwing::query()->findOrFail(self::easy($answer));
    }

    private static function easy(PracticeAnswer $answer): int
    {
        return Cell::int($answer->topic['easy'] ?? 0);
    }
}
