<?php

declare(strict_types=1);

namespace App\Practice;

use App\Exceptions\ActionException;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Words\Wording;
use Core\Measurement\QualityNote;
use Core\Motion\Station;
use Core\Simulation\ContrastKind;
use Core\Simulation\ContrastSet as Spec;
use Core\Training\Question;

/**
 * What looks like a fault in the trace: did the golfer do it, or the instrument? Made swings only, for of those both
 * are known.
 */
final readonly class GolferOrInstrument implements PracticeMode
{
    private const GOLFER = 'golfer';

    private const INSTRUMENT = 'instrument';

    public function __construct(
        private MadeSwings $made,
        private FaultTruth $truth,
        private Contrasts $contrasts,
        private Wording $words,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        $asked = $this->made->asked($user);
        $sets = [];
        foreach ($this->made->of(ContrastKind::Artefact) as $made) {
            $sets[$made['set']][] = $made;
        }
        $out = [];
        foreach ($sets as $of) {
            $mishap = $of[0]['spec']->mishap;
            $taken = $mishap === null ? null : Spec::MISTAKEN[$mishap] ?? null;
            if ($taken === null || ($fault !== null && $fault !== $taken)) {
                continue;
            }
            foreach (array_slice($of, 0, 2) as $made) {
                $wrong = $made['spec']->mishap !== null;
                // What the program itself does not tell from technique, or takes for the instrument, is not asked.
                if ($wrong === $made['found'] && ($wrong || ($made['settled'][$taken] ?? false))) {
                    $out["made {$made['id']} $mishap"] = new Question(
                        "made {$made['id']} $mishap",
                        "made {$made['id']}",
                        (string) $mishap,
                        $wrong,
                        0.0,
                        $asked["{$made['id']}|$mishap"] ?? 0,
                    );
                }
            }
        }

        return array_values($out);
    }

    public function put(Question $question): array
    {
        return [
            'made_swing_id' => (int) substr($question->swing, 5),
            'fault' => Spec::MISTAKEN[$question->fault],
            'key_entry_id' => null,
            'topic' => [],
        ];
    }

    public function skillName(string $skill): string
    {
        return (string) __("practice.artefact.mishaps.$skill.name");
    }

    public function asks(PracticeAnswer $answer): array
    {
        $fault = $this->truth->fault((string) $answer->fault);

        return [
            'title' => (string) __('practice.artefact.title'),
            'asks' => (string) __('practice.artefact.asks', ['fault' => $fault->name]),
            'look' => (string) __("practice.artefact.mishaps.$answer->skill.look"),
            // Told only with the answer: a fault shows elsewhere than what goes wrong.
            'station' => match (true) {
                $answer->answered_at === null => null,
                self::is($answer) === self::GOLFER => $fault->station->value,
                default => Station::DownswingArm->value,
            },
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        return array_map(static fn (string $who): array => [
            'value' => $who,
            'label' => (string) __("practice.artefact.options.$who"),
        ], [self::GOLFER, self::INSTRUMENT]);
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return $answer->answered_at === null ? [] : $this->contrasts->beside($answer, ContrastKind::Artefact);
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (! in_array($said, [self::GOLFER, self::INSTRUMENT], true)) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => $said === self::is($answer), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $is = self::is($answer);
        $made = $answer->made;
        $at = $made === null ? null : $made->spec()->wrongAt($made->stationTimes());
        $fault = $this->truth->fault((string) $answer->fault);
        $notes = array_map(
            fn (QualityNote $n): string => $this->words->say($n->finding->remark),
            $answer->made?->notes() ?? [],
        );

        return [
            'head' => (string) __($answer->right === true ? 'practice.artefact.right' : 'practice.artefact.wrong', [
                'who' => (string) __("practice.artefact.options.$is"),
            ]),
            'lines' => $is === self::INSTRUMENT
                ? [(string) __("practice.artefact.mishaps.$answer->skill.was"), ...$notes]
                : $this->truth->of($answer, $fault->key, 'present')['lines'],
            'fault' => $is === self::GOLFER ? $fault->key : null,
            'reasons' => $at === null ? [] : [['says' => (string) __('practice.artefact.when'), 'at' => $at]],
            'beside' => null,
            'notes' => [(string) __('practice.artefact.note')],
        ];
    }

    private static function is(PracticeAnswer $answer): string
    {
        return isset($answer->made->spec['mishap']) ? self::INSTRUMENT : self::GOLFER;
    }
}
