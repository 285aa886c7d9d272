<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\Exposure;
use App\Models\KeyCase;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Panel\CaseAdvice;
use Core\Chance\Chance;
use Core\Codebook\Codebook;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Reading\Decision;
use Core\Reading\Stop;
use Core\Training\Question;

/** What to do with a swing, beside what a panel settled: the first cause, now or later, a drill for this body. */
final readonly class WhatHelps implements PracticeMode
{
    public function __construct(
        private PracticeSwings $swings,
        private Codebooks $codebooks,
        private FaultTruth $truth,
        private CaseAdvice $advice,
    ) {
    }

    public function questions(User $user, ?string $fault): array
    {
        $places = $this->swings->of($user);
        // That a fault is there is told with the question what to do with it: only to who has been told before.
        $told = Exposure::query()->where('user_id', $user->id)->where('what', 'key')->pluck('recording_id')->flip();
        $out = [];
        foreach (CaseKeys::of(array_keys($places)) as $case => $key) {
            $swing = (string) $places[$case]->recording->id;
            $consensus = $key->toCore();
            if (($consensus->causes->settled() ?? []) !== []) {
                $out[] = new Question("$key->id cause", $swing, 'cause', true);
            }
            foreach ($told->has((int) $swing) ? $consensus->decisions : [] as $of => $tally) {
                if ($tally->settled !== null && ($fault === null || $fault === $of)) {
                    $out[] = new Question("$key->id decision $of", $swing, 'decision', $tally->settled === 'now');
                }
            }
            foreach (Stop::cases() as $rung) {
                $would = self::would($consensus, $rung);
                if (in_array('helps', $would, true) && count(array_diff($would, ['helps'])) >= 1) {
                    $out[] = new Question("$key->id drill $rung->value", $swing, 'drill', true);
                }
            }
        }

        return $out;
    }

    public function put(Question $question): array
    {
        [$id, $asks, $of] = [...explode(' ', $question->id, 3), null];
        $key = KeyCase::query()->findOrFail((int) $id);
        $consensus = $key->toCore();
        $chance = new Chance("what to do $question->id");
        $options = match ($asks) {
            'cause' => CaseKeys::causes($consensus, $chance),
            'decision' => array_map(static fn (Decision $d): string => $d->value, Decision::cases()),
            default => self::drills($consensus, Stop::from((string) $of), $chance),
        };

        return [
            'recording_id' => (int) $question->swing,
            'fault' => $asks === 'decision' ? $of : null,
            'key_entry_id' => null,
            'topic' => [
                'key' => $key->id,
                'asks' => $asks,
                'rung' => $asks === 'drill' ? $of : null,
                'options' => $options,
            ],
        ];
    }

    public function skillName(string $skill): string
    {
        return (string) __("practice.advice.skills.$skill");
    }

    public function asks(PracticeAnswer $answer): array
    {
        $asks = self::topic($answer, 'asks');
        $fault = $answer->fault === null ? null : $this->truth->fault($answer->fault);

        return [
            'title' => (string) __("practice.advice.titles.$asks", ['fault' => $fault->name ?? '']),
            'asks' => (string) __("practice.advice.asks.$asks", [
                'rung' => $asks === 'drill' ? (string) __('reading.stops.'.self::topic($answer, 'rung')) : '',
            ]),
            'look' => $fault->lookFor ?? '',
            'station' => $fault?->station->value,
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        $asks = self::topic($answer, 'asks');
        $codebook = $this->codebooks->current();
        $options = $answer->topic['options'] ?? [];

        return array_map(static fn (mixed $value): array => [
            'value' => Cell::text($value),
            'label' => self::label($asks, Cell::text($value), $codebook),
        ], is_array($options) ? array_values($options) : []);
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return [];
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        if (! in_array($said, array_column($this->options($answer), 'value'), true)) {
            throw ActionException::because('refusals.practice.no-answer');
        }

        return ['right' => in_array($said, $this->right($answer), true), 'off_ms' => null];
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $asks = self::topic($answer, 'asks');
        $codebook = $this->codebooks->current();
        $consensus = self::key($answer)->toCore();
        $says = static fn (string $value): string => self::label($asks, $value, $codebook);
        $told = $this->advice->of($consensus, $codebook);
        $lines = match ($asks) {
            'cause' => array_map(static fn (array $s): string => trim("{$s['words']} {$s['of']}"), $told['causes']),
            'decision' => array_map(
                static fn (string $d, int $n): string => (string) __('practice.advice.of', [
                    'says' => $says($d), 'n' => (string) $n, 'all' => (string) $consensus->decisions[$answer->fault]->n,
                ]),
                array_keys($consensus->decisions[(string) $answer->fault]->counts),
                $consensus->decisions[(string) $answer->fault]->counts,
            ),
            default => $this->drillLines($answer, $consensus, $codebook),
        };

        return [
            'head' => (string) __($answer->right === true ? 'practice.advice.right' : 'practice.advice.wrong', [
                'label' => implode(', ', array_map($says, $this->right($answer))),
                'said' => $says((string) $answer->said),
            ]),
            'lines' => $lines,
            'fault' => $answer->fault,
            'reasons' => [],
            'beside' => null,
            'notes' => $asks === 'drill' ? [(string) __('cautions.drills')] : [],
        ];
    }

    /** @return list<string> what each drill would do, and when it is not to be used */
    private function drillLines(PracticeAnswer $answer, CaseConsensus $consensus, Codebook $codebook): array
    {
        $would = self::would($consensus, Stop::from(self::topic($answer, 'rung')));
        $out = [];
        foreach ($this->options($answer) as ['value' => $drill, 'label' => $name]) {
            $caution = $codebook->drills()[$drill]->caution ?? '';
            $out[] = (string) __('practice.advice.drill', [
                'drill' => ucfirst($name),
                'would' => (string) __('agreement.behind.advice.would.'.($would[$drill] ?? 'uncertain')),
            ]).($caution === '' ? '' : " $caution");
        }

        return $out;
    }

    /** @return list<string> */
    private function right(PracticeAnswer $answer): array
    {
        $consensus = self::key($answer)->toCore();
        $options = array_column($this->options($answer), 'value');

        return match (self::topic($answer, 'asks')) {
            'cause' => array_values(array_intersect($options, $consensus->causes->settled() ?? [])),
            'decision' => array_values(array_intersect($options, [
                $consensus->decisions[(string) $answer->fault]->settled ?? '',
            ])),
            default => array_values(array_intersect($options, array_keys(
                self::would($consensus, Stop::from(self::topic($answer, 'rung'))),
                'helps',
                true,
            ))),
        };
    }

    /** @return list<string> one that helps, and others that the panel says would not */
    private static function drills(CaseConsensus $consensus, Stop $rung, Chance $chance): array
    {
        $would = self::would($consensus, $rung);
        $helps = $chance->shuffled(array_keys($would, 'helps', true));
        $not = $chance->shuffled(array_keys(array_diff($would, ['helps'])));

        return $chance->shuffled([$helps[0], ...array_slice($not, 0, CaseKeys::CHOICES - 1)]);
    }

    /** @return array<string, string> what each drill that the panel judged on this rung would do */
    private static function would(CaseConsensus $consensus, Stop $rung): array
    {
        $out = [];
        foreach (array_keys($consensus->judged) as $drill) {
            $would = $consensus->appropriateness((string) $drill, $rung);
            if ($would !== null && $would !== Appropriateness::Uncertain) {
                $out[(string) $drill] = $would->value;
            }
        }

        return $out;
    }

    private static function label(string $asks, string $value, Codebook $codebook): string
    {
        return match ($asks) {
            'cause' => CaseAdvice::finding($value, $codebook),
            'decision' => (string) __("agreement.behind.advice.decision.$value"),
            default => $codebook->drills()[$value]->name ?? $value,
        };
    }

    private static function key(PracticeAnswer $answer): KeyCase
    {
        return KeyCase::query()->findOrFail(Cell::int($answer->topic['key'] ?? 0));
    }

    private static function topic(PracticeAnswer $answer, string $of): string
    {
        $value = $answer->topic[$of] ?? '';

        return is_string($value) ? $value : '';
    }
}
