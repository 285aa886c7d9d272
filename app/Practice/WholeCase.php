<?php

declare(strict_types=1);

namespace App\Practice;

use App\Codebook\Codebooks;
use App\Exceptions\ActionException;
use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\PracticeAnswer;
use App\Models\User;
use App\Panel\CaseAdvice;
use Core\Chance\Chance;
use Core\Simulation\ContrastKind;
use Core\Training\Question;
use Illuminate\Support\Facades\DB;

/**
 * One case whole, as in a round: a call on each of several faults, and the first cause. What is said is a letter for
 * each fault in order – P, A or C – and after a stroke the place of the cause in its list.
 */
final readonly class WholeCase implements PracticeMode
{
    public const LETTERS = ['P' => 'present', 'A' => 'absent', 'C' => 'cannot-tell'];

    /** So many faults are asked of at most, of which so many are there; fewer than the least make no case. */
    private const FAULTS = 8;

    private const PRESENT = 5;

    private const LEAST = 4;

    /** Answered well with no more than so many calls off. */
    private const OFF = 1;

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
        $asked = $this->asked($user);
        $out = [];
        foreach ($this->faults($user) as $swing => $of) {
            if (count($of) >= self::LEAST) {
                $out[] = new Question((string) $swing, (string) $swing, 'whole', true, 0.0, $asked[$swing] ?? 0);
            }
        }

        return $out;
    }

    public function put(Question $question): array
    {
        $of = $this->settled($question->swing);
        $chance = new Chance("whole $question->id");
        $present = array_slice($chance->shuffled(array_keys($of, true, true)), 0, self::PRESENT);
        $absent = array_slice($chance->shuffled(array_keys($of, false, true)), 0, self::FAULTS - count($present));
        $faults = array_values(array_intersect($this->codebooks->current()->keys(), [...$present, ...$absent]));
        $key = str_starts_with($question->swing, 'made ') ? null : $this->key((int) $question->swing);
        $consensus = $key?->toCore();

        return [
            ...str_starts_with($question->swing, 'made ')
                ? ['made_swing_id' => (int) substr($question->swing, 5)]
                : ['recording_id' => (int) $question->swing],
            'fault' => null,
            'key_entry_id' => $key === null ? null : $this->anEntry($key),
            'topic' => [
                'faults' => $faults,
                'key' => $key?->id,
                'options' => $consensus === null || ($consensus->causes->settled() ?? []) === []
                    ? []
                    : CaseKeys::causes($consensus, $chance),
            ],
        ];
    }

    public function skillName(string $skill): string
    {
        return (string) __('practice.whole.skill');
    }

    public function asks(PracticeAnswer $answer): array
    {
        return [
            'title' => (string) __('practice.whole.title'),
            'asks' => (string) __(
                self::list($answer, 'options') === [] ? 'practice.whole.asks-there' : 'practice.whole.asks',
            ),
            'look' => '',
            'station' => 'AD',
        ];
    }

    public function options(PracticeAnswer $answer): array
    {
        $codebook = $this->codebooks->current();

        return array_map(static fn (string $value): array => [
            'value' => $value,
            'label' => CaseAdvice::finding($value, $codebook),
        ], self::list($answer, 'options'));
    }

    /** @return list<array{fault: string, name: string, station: string}> the faults asked of, in the order of work */
    public function rows(PracticeAnswer $answer): array
    {
        return array_map(function (string $key): array {
            $fault = $this->truth->fault($key);

            return ['fault' => $key, 'name' => ucfirst($fault->name), 'station' => $fault->station->value];
        }, self::list($answer, 'faults'));
    }

    public function shows(PracticeAnswer $answer): array
    {
        return ['film' => true, 'trace' => true, 'stations' => true];
    }

    public function others(PracticeAnswer $answer): array
    {
        return $answer->answered_at === null || $answer->made_swing_id === null
            ? []
            : $this->contrasts->beside($answer, ContrastKind::Fault, ContrastKind::Alike);
    }

    public function judged(PracticeAnswer $answer, string $said): array
    {
        $off = array_filter($this->calls($answer, $said), static fn (array $call): bool => ! $call['right']);

        return ['right' => count($off) <= self::OFF, 'off_ms' => null];
    }

    /**
     * What was said of each, beside what is so.
     *
     * @return list<array{asks: string, fault: string, said: string, told: string, right: bool}>
     *
     * @throws ActionException where it is no answer to this
     */
    public function calls(PracticeAnswer $answer, string $said): array
    {
        $faults = self::list($answer, 'faults');
        $options = self::list($answer, 'options');
        [$letters, $chosen] = [...explode('|', $said, 2), ''];
        if (
            preg_match('/^[PAC]{'.count($faults).'}$/D', $letters) !== 1 ||
            ($options === [] ? $chosen !== '' : ! isset($options[$chosen]) || (string) (int) $chosen !== $chosen)
        ) {
            throw ActionException::because('refusals.practice.no-answer');
        }
        $out = [];
        foreach ($faults as $i => $fault) {
            [$call, $is] = [self::LETTERS[$letters[$i]], $this->truth->label($answer, $fault)];
            $out[] = ['asks' => 'fault', 'fault' => $fault, 'said' => $call, 'told' => $is, 'right' => $call === $is];
        }
        if ($options !== []) {
            $causes = array_values(array_intersect($options, self::keyOf($answer)->toCore()->causes->settled() ?? []));
            $out[] = [
                'asks' => 'cause',
                'fault' => '',
                'said' => $options[(int) $chosen],
                'told' => $causes[0] ?? '',
                'right' => in_array($options[(int) $chosen], $causes, true),
            ];
        }

        return $out;
    }

    public function truth(PracticeAnswer $answer, User $user): array
    {
        $codebook = $this->codebooks->current();
        $lines = $alike = [];
        $shown = null;
        $wrong = 0;
        foreach ($answer->calls as $call) {
            $named = static fn (string $v): string => $call->asks === 'fault'
                ? (string) __("calls.$v")
                : CaseAdvice::finding($v, $codebook);
            $what = $call->asks === 'fault' ? $this->truth->fault($call->fault)->name : (string) __(
                'practice.whole.cause',
            );
            if ($call->right) {
                $alike[$named($call->told)][] = $what;
            } else {
                $lines[] = (string) __('practice.whole.wrong', [
                    'what' => ucfirst($what), 'is' => $named($call->told), 'said' => $named($call->said),
                ]);
            }
            if ($call->asks === 'fault' && ($shown === null || (! $call->right && $wrong === 0))) {
                $shown = $call->fault;
            }
            $wrong += $call->right ? 0 : 1;
        }
        $told = $shown === null ? null : $this->truth->of($answer, $shown, $this->truth->label($answer, $shown));

        return [
            'head' => trans_choice('practice.whole.head', $wrong, [
                'count' => $wrong,
                'of' => (string) count($answer->calls),
            ]),
            'lines' => [
                ...$lines,
                ...array_map(static fn (string $is, array $of): string => (string) __('practice.whole.right', [
                    'what' => ucfirst(implode(', ', $of)), 'is' => $is,
                ]), array_keys($alike), $alike),
                ...$told['lines'] ?? [],
            ],
            'fault' => $shown,
            'reasons' => $told['reasons'] ?? [],
            'beside' => null,
            'notes' => [],
        ];
    }

    /** @return array<string, array<string, bool>> by swing, the faults that are settled in it and can be seen */
    private function faults(User $user): array
    {
        $out = [];
        foreach ($this->pool->of($user) as $question) {
            $out[$question->swing][$question->fault] = $question->present;
        }
        foreach ($this->made->of(ContrastKind::Fault, ContrastKind::Alike) as $made) {
            // A slight one is borderline by design, and no case.
            if ($made['spec']->faults === [] || array_intersect_key($made['settled'], $made['spec']->faults) !== []) {
                $out["made {$made['id']}"] = $this->seen($made);
            }
        }

        return $out;
    }

    /**
     * @param  array{settled: array<string, bool>, shown: \Core\Codebook\Shown, ...}  $made
     * @return array<string, bool>
     */
    private function seen(array $made): array
    {
        $faults = $this->codebooks->current()->faults;

        return array_filter(
            $made['settled'],
            static fn (string $key): bool => ($faults[$key] ?? null)
                ?->observability($made['shown'])
                ->supports() === true,
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return array<string, bool> of a swing that was found to make a case */
    private function settled(string $swing): array
    {
        if (! str_starts_with($swing, 'made ')) {
            return $this->pool->settled((int) $swing);
        }
        foreach ($this->made->of(ContrastKind::Fault, ContrastKind::Alike) as $made) {
            if ("made {$made['id']}" === $swing) {
                return $this->seen($made);
            }
        }

        return [];
    }

    private function key(int $recording): ?KeyCase
    {
        return array_values(CaseKeys::of($this->pool->casesOf($recording)))[0] ?? null;
    }

    private function anEntry(KeyCase $key): int
    {
        return Cell::int(DB::table('key_entries')
            ->where('key_version_id', $key->key_version_id)
            ->where('case_id', $key->case_id)
            ->orderBy('id')
            ->value('id'));
    }

    private static function keyOf(PracticeAnswer $answer): KeyCase
    {
        return KeyCase::query()->findOrFail(Cell::int($answer->topic['key'] ?? 0));
    }

    /** @return list<string> */
    private static function list(PracticeAnswer $answer, string $of): array
    {
        $list = $answer->topic[$of] ?? [];

        return is_array($list) ? array_map(Cell::text(...), array_values($list)) : [];
    }

    /** @return array<int|string, int> how often each swing was asked whole */
    private function asked(User $user): array
    {
        $out = [];
        foreach (DB::table('practice_answers')
            ->join('practice_sittings', 'practice_sittings.id', '=', 'practice_answers.practice_sitting_id')
            ->where('user_id', $user->id)
            ->where('practice_answers.mode', 'whole')
            ->groupBy('recording_id', 'made_swing_id')
            ->selectRaw('recording_id, made_swing_id, count(*) as n')
            ->get() as $row) {
            $swing = $row->made_swing_id === null
                ? (string) Cell::int($row->recording_id)
                : 'made '.Cell::int($row->made_swing_id);
            $out[$swing] = Cell::int($row->n);
        }

        return $out;
    }
}
