<?php

declare(strict_types=1);

namespace App\Readiness\Pages;

use App\Models\Casts\Cell;
use App\Models\Check;
use App\Models\CheckLook;
use App\Models\CheckPlan;
use App\Models\User;
use App\Readiness\CheckCases;
use App\Readiness\CheckUnits;
use Core\Agreement\Profile\StaffWatch;
use Core\Agreement\Profile\WeeklyWatch;
use Core\Drawing\WatchPlot;
use Core\Number\Written;
use Illuminate\Support\Facades\DB;

/** The weekly checks as the head coach sees them: who has read this week, and who has moved against the others. */
final readonly class ChecksPage
{
    public function __construct(private CheckUnits $units)
    {
    }

    /** @return array<string, mixed> */
    public function of(): array
    {
        $plan = CheckPlan::query()->running()->with('keyVersion.sitting')->first();

        return $plan === null
            ? ['plan' => null, 'keys' => self::keys(), 'weekdays' => self::weekdays(), 'least' => CheckCases::LEAST]
            : ['plan' => $plan, ...$this->running($plan)];
    }

    /** @return array<string, mixed> */
    private function running(CheckPlan $plan): array
    {
        $checks = $plan->checks()->with('sitting')->get();
        $last = $checks->last();
        $units = array_map(count(...), StaffWatch::units($this->units->of($plan)));
        $looks = CheckLook::query()->whereIn('check_id', $checks->modelKeys())->orderBy('check_id')->get()
            ->groupBy('user_id');
        $read = self::read($last);
        $people = [];
        foreach (CheckCases::staff() as $person) {
            $own = array_values($looks->get($person->id)?->all() ?? []);
            $people[] = self::person($person, $read[$person->id] ?? null, $units[$person->id] ?? 0, $own);
        }
        $moved = count(array_filter($people, static fn (array $p): bool => $p['beyond']));

        return [
            'title' => trans_choice('readiness.checks.title', $moved, ['count' => $moved]),
            'about' => (string) __('readiness.checks.about', [
                'panel' => $plan->keyVersion->sitting->name,
                'cases' => count($plan->cases),
                'day' => self::weekdays()[$plan->weekday],
                'weeks' => $checks->count(),
            ]),
            'now' => $last === null
                ? (string) __('readiness.checks.none-yet', ['day' => self::weekdays()[$plan->weekday]])
                : $last->sitting->name,
            'people' => $people,
            'least' => WeeklyWatch::LEAST,
            'window' => WeeklyWatch::WINDOW,
        ];
    }

    /**
     * @param  array{int, int}|null  $read
     * @param  list<CheckLook>  $looks
     * @return array{name: string, read: string, units: int, says: string, beyond: bool, plot: ?WatchPlot}
     */
    private static function person(User $person, ?array $read, int $units, array $looks): array
    {
        $last = $looks === [] ? null : $looks[count($looks) - 1];

        return [
            'name' => $person->name,
            'read' => $read === null ? '–' : "$read[0]/$read[1]",
            'units' => $units,
            'says' => match (true) {
                $last === null => trans_choice('readiness.checks.more', max(0, WeeklyWatch::LEAST - $units), [
                    'count' => max(0, WeeklyWatch::LEAST - $units),
                ]),
                $last->beyond => (string) __('readiness.checks.moved.'.self::how($last)),
                default => (string) __('readiness.checks.steady', [
                    'right' => Written::fixed($last->z_right, 1),
                    'present' => Written::fixed($last->z_present, 1),
                    'limit' => Written::fixed($last->z_limit, 1),
                ]),
            },
            'beyond' => $last !== null && $last->beyond,
            'plot' => WatchPlot::of(array_map(static fn (CheckLook $l): array => [
                'right' => $l->z_right, 'present' => $l->z_present, 'limit' => $l->z_limit,
            ], $looks)),
        ];
    }

    /** Which of the two lines moved the farther, and which way. */
    private static function how(CheckLook $of): string
    {
        return abs($of->z_right) >= abs($of->z_present)
            ? ($of->z_right < 0.0 ? 'less-right' : 'more-right')
            : ($of->z_present < 0.0 ? 'fewer' : 'more');
    }

    /** @return array<int, array{int, int}> handed in, of how many, by person */
    private static function read(?Check $check): array
    {
        $out = [];
        foreach ($check === null ? [] : DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $check->sitting_id)
            ->groupBy('readings.user_id')
            ->selectRaw('user_id, count(handed_in_at) as done, count(*) as n')
            ->get() as $row) {
            $out[Cell::int($row->user_id)] = [Cell::int($row->done), Cell::int($row->n)];
        }

        return $out;
    }

    /** @return array<int, string> panels that hold enough, by key */
    private static function keys(): array
    {
        $out = [];
        foreach (CheckCases::keys() as $key) {
            $out[$key->id] = (string) __('readiness.checks.panel', [
                'panel' => $key->sitting->name, 'cases' => count(CheckCases::of($key)),
            ]);
        }

        return $out;
    }

    /** @return array<int, string> */
    private static function weekdays(): array
    {
        return array_combine(range(1, 7), array_map(
            static fn (int $day): string => (string) __("readiness.checks.days.$day"),
            range(1, 7),
        ));
    }
}
