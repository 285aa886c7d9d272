<?php

declare(strict_types=1);

namespace App\Readiness\Pages;

use App\Codebook\Codebooks;
use App\Models\ReadinessRule;
use App\Models\User;
use App\Readiness\AcademyAlikeness;
use App\Readiness\RuleWords;
use App\Readiness\StaffCounts;
use App\Readiness\TestCases;
use App\Sight\Onlookers;
use App\Words\Term;
use Core\Agreement\Wilson;
use Core\Codebook\StandardLenses;
use Core\Number\Written;
use Core\Sight\Role;
use Core\Trace\DeviceClass;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\ReadinessRule as CoreRule;

/**
 * A rule on its page: what it asks, what a test by it takes, whether the academy can give it, and how the staff stand.
 */
final readonly class RulePage
{
    /** So many criteria can be filled in. */
    public const CRITERIA = 4;

    /** What an academy may begin with. */
    private const BARS = [
        BarKind::Cause->value => [0.6, 8],
        BarKind::Unsafe->value => [0.0, 10],
        BarKind::CannotTell->value => [0.5, 6],
        BarKind::Unsupported->value => [0.1, 20],
        BarKind::Timing->value => [25.0, 8],
        BarKind::Self->value => [0.8, 20],
        BarKind::Recency->value => [120.0, 0],
    ];

    public function __construct(
        private Codebooks $codebooks,
        private TestCases $cases,
        private StaffCounts $staff,
        private RuleWords $words,
        private Onlookers $onlookers,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(?ReadinessRule $rule, User $head): array
    {
        $core = $rule?->toCore();
        $faults = [];
        foreach ($this->codebooks->current($rule->lens ?? StandardLenses::DEFAULT)->faults as $key => $fault) {
            $faults[$key] = ucfirst($fault->name);
        }

        return [
            'rule' => $rule,
            'about' => $rule === null ? '' : $this->words->about($rule),
            'name' => $rule->name ?? '',
            'device' => $rule?->device->value ?? '',
            'devices' => ['' => (string) __('readiness.any-device'), ...array_combine(
                array_column(DeviceClass::cases(), 'value'),
                array_map(Term::device(...), DeviceClass::cases()),
            )],
            'lens' => $rule->lens ?? StandardLenses::DEFAULT,
            'lenses' => $this->codebooks->document()->lenses(),
            'months' => $core->months ?? 12,
            'faults' => $faults,
            'kinds' => array_combine(
                array_column(CriterionKind::cases(), 'value'),
                array_map(static fn (CriterionKind $k): string => (string) __("readiness.kinds.$k->value"), CriterionKind::cases()),
            ),
            'criteria' => array_map(
                fn (int $i): array => self::criterion($core?->criteria[$i] ?? null, $i),
                range(0, self::CRITERIA - 1),
            ),
            'bars' => array_map(static fn (BarKind $kind): array => self::bar($kind, $core), BarKind::cases()),
            'takes' => $rule === null ? [] : $this->takes($rule, $this->onlookers->of($head)->hidden()),
            'staff' => $rule === null ? [] : $this->preview($rule, $head),
            'versions' => $rule === null ? [] : array_values($rule->versions()->get()->map(static fn (ReadinessRule $v): array => [
                'version' => $v->version,
                'url' => route('readiness.rules.show', $v),
                'date' => $v->created_at->format('j M Y'),
                'now' => $v->is($rule),
            ])->all()),
        ];
    }

    /** @return array<string, mixed> */
    private static function criterion(?Criterion $of, int $i): array
    {
        return [
            'i' => $i,
            'name' => $of->name ?? '',
            'kind' => $of?->kind->value ?? CriterionKind::cases()[$i % 2]->value,
            'faults' => $of->faults ?? [],
            'bar' => Written::fixed(100.0 * ($of->bar ?? CoreRule::BAR), 0),
            'good' => Written::fixed(100.0 * ($of->good ?? CoreRule::GOOD), 0),
        ];
    }

    /** @return array<string, mixed> */
    private static function bar(BarKind $kind, ?CoreRule $rule): array
    {
        $bar = $rule?->bars[$kind->value] ?? null;
        $usual = new Bar($kind, ...self::BARS[$kind->value]);

        return [
            'kind' => $kind->value,
            'name' => (string) __("readiness.bars.$kind->value.name"),
            'unit' => (string) __("readiness.bars.$kind->value.unit"),
            'asked' => $rule === null || $bar !== null,
            'limit' => Written::fixed(($kind->isShare() ? 100.0 : 1.0) * ($bar ?? $usual)->limit, 0),
            'of' => ($bar ?? $usual)->of,
            'counts' => $kind !== BarKind::Recency,
        ];
    }

    /**
     * What a test of each criterion takes, with the cases that are fresh for the person who has most left.
     *
     * @param  list<int>  $hidden  from the one who looks
     * @return list<array{name: string, fixed: string, bar: string, good: string, most: string, alike: string,
     *     calls: string, golfers: int, enough: bool}>
     */
    private function takes(ReadinessRule $rule, array $hidden): array
    {
        $best = [];
        $staff = self::staff();
        foreach ($staff === [] ? [] : $this->cases->bestOf($staff, $rule, $hidden) as [, $cases]) {
            $best = count($cases) > count($best) ? $cases : $best;
        }
        $assumed = AcademyAlikeness::assumed($rule, $best, $hidden);
        $out = [];
        foreach ($rule->toCore()->criteria as $i => $criterion) {
            $test = $rule->toCore()->signOff($criterion, $assumed[$i]['calls'], $assumed[$i]['alike']);
            [$bar, $good] = $test->usualCases();
            $golfers = count(array_unique(array_column(array_filter(
                $best,
                static fn (array $c): bool => $c['calls'][$i] > 0,
            ), 'golfer')));
            $out[] = [
                'name' => self::named($criterion),
                'fixed' => (string) $test->fixedCases,
                'bar' => Written::fixed($bar, 0),
                'good' => Written::fixed($good, 0),
                'most' => (string) $test->mostCases(),
                'alike' => Written::fixed($assumed[$i]['alike'], 2),
                'calls' => Written::fixed($assumed[$i]['calls'], 1),
                'golfers' => $golfers,
                'enough' => $golfers >= $good,
            ];
        }

        return $out;
    }

    /** @return list<array{name: string, url: string, cells: list<array{says: string, side: string}>}> */
    private function preview(ReadinessRule $rule, User $head): array
    {
        $counts = $this->staff->of($rule, $head);
        $out = [];
        foreach (self::staff() as $person) {
            $cells = [];
            foreach ($rule->toCore()->criteria as $criterion) {
                [$right, $n] = StaffCounts::in($counts[$person->id] ?? [], $criterion);
                [$low, $high] = Wilson::interval($right, $n);
                $cells[] = [
                    'says' => $n === 0 ? (string) __('readiness.nothing') : (string) __('readiness.share', [
                        'share' => Written::fixed(100.0 * $right / $n, 0),
                        'n' => (string) $n,
                        'low' => Written::fixed(100.0 * $low, 0),
                        'high' => Written::fixed(100.0 * $high, 0),
                    ]),
                    'side' => match (true) {
                        $n === 0 => '',
                        $high < $criterion->good
                            && $low < $criterion->bar
                            && (float) $right / $n < $criterion->bar => 'below',
                        $low > $criterion->bar => 'above',
                        default => 'between',
                    },
                ];
            }
            $out[] = ['name' => $person->name, 'url' => route('readiness.show', [$rule, $person]), 'cells' => $cells];
        }

        return $out;
    }

    public static function named(Criterion $criterion): string
    {
        return (string) __('readiness.criterion', [
            'name' => $criterion->name,
            'kind' => (string) __("readiness.kinds.{$criterion->kind->value}"),
        ]);
    }

    /** @return list<User> */
    private static function staff(): array
    {
        return array_values(User::query()
            ->where('role', Role::Instructor)
            ->where('state', 'active')
            ->orderBy('name')
            ->orderBy('id')
            ->get()
            ->all());
    }
}
