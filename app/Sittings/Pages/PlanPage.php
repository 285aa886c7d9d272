<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Codebook\Codebooks;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Recording;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\CoreException;
use Core\Number\Written;
use Core\Planning\CaseSet;
use Illuminate\Database\Eloquent\Collection;

/**
 * Planning a round in steps: which cases, which people, how wide the intervals will be, and a check. A set of cases can
 * be suggested, balanced by what a key says of the Shelf.
 */
final readonly class PlanPage
{
    public const STEPS = ['cases', 'people', 'precision', 'check'];

    private const PAIRS = ['first', 'second', 'third'];

    public function __construct(
        private Onlookers $onlookers,
        private Codebooks $codebooks,
        private CaseSuggestion $suggestion,
    ) {
    }

    /**
     * @param  array{suggest: ?int, share: int, again: int, seed: int}  $asked
     * @return array<string, mixed>
     */
    public function of(User $user, array $asked): array
    {
        $recordings = $this->onlookers->of($user)->recordings()->with('golfer')->orderBy('id')->get();
        $suggested = $refused = null;
        if ($asked['suggest'] !== null) {
            try {
                $suggested = $this->suggestion->of(
                    $recordings,
                    $asked['suggest'],
                    $asked['share'] / 100,
                    $asked['again'],
                    $asked['seed'],
                );
            } catch (CoreException $e) {
                $refused = (string) __('plan.refused', ['why' => ucfirst(Refusal::sentenceOf($e))]);
            }
        }

        return [
            'asked' => $asked,
            'refused' => $refused,
            'suggested' => $suggested === null ? null : $this->told($suggested),
            'lenses' => $this->codebooks->document()->lenses(),
            'recordings' => $this->recordings($recordings, $suggested['chosen'] ?? []),
            'again' => $this->again($recordings, $suggested['repeats'] ?? []),
            'series' => $this->series($recordings),
            'swings' => array_values($recordings->map(self::swing(...))->all()),
            'pairs' => self::PAIRS,
            'people' => $this->people(),
        ];
    }

    /**
     * @param  array{set: CaseSet, chosen: list<int>, repeats: list<Recording>, key: string, at_hand: int,
     *     expected: list<array{raters: int, agreement: float, width: float}>}  $suggested
     * @return array<string, mixed>
     */
    private function told(array $suggested): array
    {
        $names = $this->codebooks->current()->faults;
        $faults = [];
        foreach ($suggested['set']->faults as $fault => $b) {
            $faults[] = ['name' => $names[$fault]->name, 'short' => $b['present'] < $b['wanted'], ...$b];
        }
        $short = count($suggested['set']->short);

        return [
            'says' => (string) __('plan.suggested', [
                'chosen' => count($suggested['chosen']),
                'at' => $suggested['at_hand'],
                'key' => $suggested['key'],
            ]),
            'faults' => $faults,
            'traits' => self::traits($suggested['set']->traits),
            'expected' => array_map(static fn (array $e): array => [
                'width' => Written::fixed($e['width'], 2),
                'readers' => (string) __('plan.expected-of', [
                    'raters' => $e['raters'],
                    'agreement' => Written::fixed(100.0 * $e['agreement'], 0),
                ]),
            ], $suggested['expected']),
            'repeats' => implode('; ', array_map(self::name(...), $suggested['repeats'])),
            'short' => $short === 0 ? null : (string) __('plan.short', ['n' => $short]),
        ];
    }

    /**
     * @param  array<string, array<string, array{chosen: int, at_hand: int}>>  $traits
     * @return list<array{trait: string, value: string, chosen: int, at_hand: int}>
     */
    private static function traits(array $traits): array
    {
        $out = [];
        foreach ($traits as $trait => $values) {
            if ($trait === 'difficulty') {
                // As hard as they are, not as they are spelt.
                $rank = array_flip(['easy', 'middling', 'hard']);
                uksort($values, static fn (string $a, string $b): int => ($rank[$a] ?? 9) <=> ($rank[$b] ?? 9));
            }
            $first = true;
            foreach ($values as $value => $n) {
                $out[] = ['trait' => $first ? $trait : '', 'value' => (string) $value, ...$n];
                $first = false;
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Recording>  $recordings
     * @param  list<int>  $chosen
     * @return list<array{id: int, name: string, device: string, on: bool}>
     */
    private function recordings(Collection $recordings, array $chosen): array
    {
        $on = array_map(Cell::text(...), (array) old('recordings', $chosen));

        return array_values($recordings->map(static fn (Recording $r): array => [
            'id' => $r->id,
            'name' => self::name($r),
            'device' => Term::device($r->deviceClass()),
            'on' => in_array((string) $r->id, $on, true),
        ])->all());
    }

    /**
     * @param  Collection<int, Recording>  $recordings
     * @param  list<Recording>  $repeats
     * @return list<array{id: int, name: string}>
     */
    private function again(Collection $recordings, array $repeats): array
    {
        $ids = array_map(
            Cell::int(...),
            (array) old('repeats', array_map(static fn (Recording $r): int => $r->id, $repeats)),
        );

        return array_values($recordings->whereIn('id', $ids)->map(static fn (Recording $r): array => [
            'id' => $r->id,
            'name' => self::name($r),
        ])->all());
    }

    /**
     * @param  Collection<int, Recording>  $recordings
     * @return list<array{ids: string, name: string, about: string, on: bool}>
     */
    private function series(Collection $recordings): array
    {
        $on = (array) old('series', []);

        return array_values($recordings
            ->whereNotNull('series')
            ->groupBy(static fn (Recording $r): string => "$r->golfer_id|$r->device_class|$r->series")
            ->filter(static fn (Collection $swings): bool => $swings->count() >= 3)
            ->map(static function (Collection $swings) use ($on): array {
                $swings = $swings->take(6);
                $first = $swings->firstOrFail();
                $ids = $swings->pluck('id')->implode(',');
                $cold = $swings->where('is_cold', true)->count();

                return [
                    'ids' => $ids,
                    'name' => "{$first->golfer->pseudonym}, $first->series",
                    'about' => __('plan.series-about', [
                        'n' => $swings->count(),
                        'device' => Term::device($first->deviceClass()),
                    ]).($cold === 0 ? '' : __('plan.series-cold', ['n' => $cold])),
                    'on' => in_array($ids, $on, true),
                ];
            })
            ->all());
    }

    /** @return array{id: int, name: string} */
    private static function swing(Recording $r): array
    {
        $day = $r->created_at->timezone(config()->string('academy.zone'))->format('j M');
        $session = $r->series === null ? '' : " · $r->series";

        return ['id' => $r->id, 'name' => self::name($r).", $day$session"];
    }

    private static function name(Recording $r): string
    {
        return "{$r->golfer->pseudonym}, $r->club";
    }

    /** @return list<array{word: string, people: list<array{id: int, name: string, on: bool}>}> */
    private function people(): array
    {
        $on = array_map(Cell::text(...), (array) old('members', []));
        $by = User::query()->orderBy('name')->get()->groupBy(static fn (User $u): string => $u->role->value);

        return array_map(static fn (string $role): array => [
            'word' => (string) __("plan.roles.$role"),
            'people' => array_values(($by->get($role) ?? new Collection())->map(static fn (User $u): array => [
                'id' => $u->id,
                'name' => $u->name,
                'on' => in_array((string) $u->id, $on, true),
            ])->all()),
        ], ['panel', 'instructor', 'head-coach']);
    }
}
