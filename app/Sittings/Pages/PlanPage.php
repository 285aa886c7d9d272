<?php

declare(strict_types=1);

namespace App\Sittings\Pages;

use App\Codebook\Codebooks;
use App\Exceptions\Refusal;
use App\Models\Casts\Cell;
use App\Models\Enums\UserState;
use App\Models\Group;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Sight\Onlookers;
use Core\CoreException;
use Core\Number\Written;
use Core\Planning\CaseSet;
use Core\Sight\Role;
use Core\Sight\SittingKind;
use Core\Sight\SittingState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * Planning a round in steps: which cases, which people, how wide the intervals will be, and a check. A set of cases can
 * be suggested, balanced by what a key says of the Shelf.
 *
 * @phpstan-import-type Chosen from PlanChoices
 */
final readonly class PlanPage
{
    public const STEPS = ['cases', 'people', 'precision', 'check'];

    public function __construct(
        private Onlookers $onlookers,
        private Codebooks $codebooks,
        private CaseSuggestion $suggestion,
        private PlanChoices $choices,
    ) {
    }

    /**
     * @param  array{suggest: ?int, share: int, again: int, seed: int}  $asked
     * @param  Chosen  $chosen  before; what is suggested takes its place
     * @return array<string, mixed>
     */
    public function of(User $user, array $asked, array $chosen): array
    {
        $suggested = $refused = null;
        if ($asked['suggest'] !== null) {
            try {
                $suggested = $this->suggestion->of(
                    $user,
                    $asked['suggest'],
                    $asked['share'] / 100,
                    $asked['again'],
                    $asked['seed'],
                );
            } catch (CoreException $e) {
                $refused = (string) __('plan.refused', ['why' => ucfirst(Refusal::sentenceOf($e))]);
            }
        }

        if ($suggested !== null && $chosen['recordings'] === []) {
            $chosen['recordings'] = $suggested['chosen'];
        }

        return [
            'asked' => $asked,
            'refused' => $refused,
            'suggested' => $suggested === null ? null : $this->told($suggested, $user),
            'lenses' => $this->codebooks->document()->lenses(),
            'choices' => $this->choices->of($user, $chosen),
            'again' => $this->again($user, $suggested['repeats'] ?? []),
            'people' => $this->people(),
            'groups' => self::groups(),
            'kept' => self::kept(),
            'rules' => [
                'majority' => Written::fixed(100.0 * config()->float('academy.majority'), 0),
                'able' => (string) config()->integer('academy.able'),
                'rounds' => (string) config()->integer('academy.following_rounds'),
                'stability' => Written::fixed(100.0 * config()->float('academy.stability'), 0),
            ],
        ];
    }

    /**
     * @param  array{set: CaseSet, chosen: list<int>, repeats: list<int>, key: string, at_hand: int,
     *     expected: list<array{raters: int, agreement: float, width: float}>}  $suggested
     * @return array<string, mixed>
     */
    private function told(array $suggested, User $user): array
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
            'repeats' => implode('; ', array_map(
                static fn (Recording $r): string => $r->called(),
                $this->named($user, $suggested['repeats']),
            )),
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
     * @param  list<int>  $suggested
     * @return list<array{id: int, name: string}>
     */
    private function again(User $user, array $suggested): array
    {
        return array_map(
            static fn (Recording $r): array => ['id' => $r->id, 'name' => $r->called()],
            $this->named($user, array_values(array_map(Cell::int(...), (array) old('repeats', $suggested)))),
        );
    }

    /**
     * @param  list<int>  $ids
     * @return list<Recording> those of them that this person may see
     */
    private function named(User $user, array $ids): array
    {
        return $ids === [] ? [] : array_values(
            $this->onlookers->of($user)->readable()->whereKey($ids)->with('golfer')->orderBy('id')->get()->all(),
        );
    }

    /** @return array<string, string> rounds that kept cases for later ones, the newest first */
    private static function kept(): array
    {
        return Sitting::query()
            ->where('kind', SittingKind::Round)
            ->where('state', '<>', SittingState::Draft)
            ->withCount(['cases as kept' => static fn (Builder $q): Builder => $q
                ->where('reserved', true)
                ->where('occasion', 1)])
            ->orderByDesc('id')
            ->get()
            ->filter(static fn (Sitting $s): bool => Cell::int($s->getAttribute('kept')) > 0)
            ->mapWithKeys(static fn (Sitting $s): array => [$s->public_id => (string) __('plan.kept.of', [
                'round' => $s->name,
                'count' => Cell::int($s->getAttribute('kept')),
            ])])
            ->all();
    }

    /** @return list<array{word: string, people: list<array{id: int, name: string, on: bool}>}> */
    private function people(): array
    {
        $on = array_map(Cell::text(...), (array) old('members', []));
        $by = User::query()
            ->whereIn('state', [UserState::Active, UserState::Invited])
            ->orderBy('name')
            ->orderBy('id')
            ->get()
            ->groupBy(static fn (User $u): string => $u->role->value);

        return array_map(static fn (string $role): array => [
            'word' => (string) __("plan.roles.$role"),
            'people' => array_values(($by->get($role) ?? new Collection())->map(static fn (User $u): array => [
                'id' => $u->id,
                'name' => $u->on_panel && $u->role !== Role::Panel
                    ? (string) __('plan.on-panel', ['name' => $u->name])
                    : $u->name,
                'on' => in_array((string) $u->id, $on, true),
            ])->all()),
        ], ['panel', 'instructor', 'head-coach']);
    }

    /** @return list<array{word: string, of: string}> to tick their people at once: numbers, parted by spaces */
    private static function groups(): array
    {
        return array_values(Group::query()
            ->with('people:id')
            ->orderBy('kind')
            ->orderBy('name')
            ->get()
            ->map(static fn (Group $g): array => [
                'word' => $g->name,
                'of' => implode(' ', array_map(Cell::text(...), $g->people->modelKeys())),
            ])
            ->all());
    }
}
