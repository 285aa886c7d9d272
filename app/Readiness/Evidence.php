<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\KeyCase;
use App\Models\KeyEntry;
use App\Models\ReadinessRule;
use App\Models\Reading;
use App\Models\User;
use App\Sight\Onlookers;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Core\Agreement\Wilson;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Motion\Station;
use Core\Number\Median;
use Core\Reading\Presence;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\BarStanding;
use Core\Training\Criterion;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What published rounds and tests tell of one person beside a rule: of the cases read last, on its instrument, under
 * its key. Nobody is told anything of a case that he or she has still to read.
 *
 * @phpstan-type Shown array{cases: int, since: ?string, criteria: list<array{right: int, calls: int, figure: Figure}>,
 *     bars: array<string, BarStanding>}
 */
final readonly class Evidence
{
    /** So many of the cases read last are looked at. */
    public const CASES = 60;

    public function __construct(private Codebooks $codebooks, private Onlookers $onlookers)
    {
    }

    /** @return Shown */
    public function of(User $user, ReadinessRule $rule, User $asking): array
    {
        $core = $rule->toCore();
        $readings = $this->readings($user, $rule, $asking);
        $keys = self::keys($readings);
        $labels = self::labels($readings);
        $counted = array_fill(0, count($core->criteria), []);
        $bars = array_fill_keys(array_map(static fn (BarKind $k): string => $k->value, BarKind::cases()), [0, 0]);
        $off = [];
        foreach ($readings as $reading) {
            $place = $reading->case;
            $codebook = $this->codebooks->of($place->sitting);
            $shown = $place->shown($reading->arm);
            $said = [];
            foreach ($reading->calls as $call) {
                $said[$call->fault] = $call->presence->value;
                if (! isset($codebook->faults[$call->fault])) {
                    continue;
                }
                $seen = $codebook->faults[$call->fault]->observability($shown)->supports();
                $told = $call->presence !== Presence::CannotTell;
                self::count($bars, BarKind::Unsupported, $told, ! $seen);
                self::count($bars, BarKind::CannotTell, ! $seen, ! $told);
            }
            $key = "{$place->sitting->key_version_id}|$place->case_id";
            $is = array_filter(
                $labels[$key] ?? [],
                static fn (string $fault): bool => ($codebook->faults[$fault] ?? null)
                    ?->observability($shown)->supports() === true,
                ARRAY_FILTER_USE_KEY,
            );
            $golfer = $place->recording->golfer_id;
            foreach ($core->criteria as $i => $criterion) {
                [$right, $calls] = $criterion->counted($is, $said);
                $own = $counted[$i][$golfer] ?? [0, 0];
                $counted[$i][$golfer] = [$own[0] + $right, $own[1] + $calls];
            }
            self::advice($bars, $reading, $keys[$key] ?? null, $core->bars[BarKind::Unsafe->value]->of ?? 0);
            $off = [...$off, ...self::off($reading)];
        }
        $bars[BarKind::Self->value] = $this->twice($user, $readings);

        return [
            'cases' => $readings->count(),
            'since' => $readings->last()?->handed_in_at?->format('Y-m-d'),
            'criteria' => array_map(static fn (array $by): array => [
                'right' => array_sum(array_column($by, 0)),
                'calls' => array_sum(array_column($by, 1)),
                'figure' => Wilson::clustered(array_values($by), new Confidence, Undefined::NothingScored),
            ], $counted),
            'bars' => array_map(static fn (Bar $bar): BarStanding => $bar->stands(
                $bars[$bar->kind->value][0],
                $bar->kind === BarKind::Timing ? count($off) : $bars[$bar->kind->value][1],
                match ($bar->kind) {
                    BarKind::Timing => Median::of($off),
                    BarKind::Recency => self::daysSince($user),
                    default => null,
                },
            ), $core->bars),
        ];
    }

    /** @return Collection<int, Reading> first looks at single cases, the newest first */
    private function readings(User $user, ReadinessRule $rule, User $asking): Collection
    {
        $hidden = $this->onlookers->of($asking)->hidden();

        /** @var Collection<int, Reading> */
        return Reading::query()
            ->where('user_id', $user->id)
            ->where('stage', 'blind')
            ->where('exposed', false)
            ->whereNotNull('handed_in_at')
            ->whereHas('case', static fn ($q) => $q
                ->where('occasion', 1)
                ->where('reserved', false)
                ->whereNull('withdrawn_at')
                ->whereHas('rated', static fn ($q) => $q->where('kind', 'single'))
                ->whereHas('swings.recording', static fn ($q) => $q
                    ->whereNotIn('recordings.id', $hidden)
                    ->when($rule->device, static fn ($q, $device) => $q->where('device_class', $device)))
                ->whereHas('sitting', static fn ($q) => $q
                    ->where('kind', 'round')
                    ->where('state', 'published')
                    ->where('lens', $rule->lens)))
            ->with(['arm', 'calls', 'case.sitting', 'case.recording.stations', 'case.swings.recording.films'])
            ->orderByDesc('handed_in_at')
            ->orderByDesc('id')
            ->limit(self::CASES)
            ->get();
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array<string, array<string, bool>> by key and case, by fault
     */
    private static function labels(Collection $readings): array
    {
        $out = [];
        foreach (KeyEntry::query()
            ->whereIn(
                'key_version_id',
                $readings->map(static fn (Reading $r): ?int => $r->case->sitting->key_version_id)->unique(),
            )
            ->whereIn('case_id', $readings->map(static fn (Reading $r): int => $r->case->case_id))
            ->get(['id', 'key_version_id', 'case_id', 'fault', 'label', 'grade', 'ruling']) as $entry) {
            $label = $entry->scoredLabel();
            if ($label !== null) {
                $out["$entry->key_version_id|$entry->case_id"][$entry->fault] = $label === 'present';
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array<string, CaseConsensus> by key and case
     */
    private static function keys(Collection $readings): array
    {
        $out = [];
        foreach (KeyCase::query()
            ->whereIn(
                'key_version_id',
                $readings->map(static fn (Reading $r): ?int => $r->case->sitting->key_version_id)->unique(),
            )
            ->whereIn('case_id', $readings->map(static fn (Reading $r): int => $r->case->case_id))
            ->get() as $key) {
            $out["$key->key_version_id|$key->case_id"] = $key->toCore();
        }

        return $out;
    }

    /** @param  array<string, array{int, int}>  $bars */
    private static function count(array &$bars, BarKind $kind, bool $asked, bool $so): void
    {
        if ($asked) {
            $bars[$kind->value] = [$bars[$kind->value][0] + ($so ? 1 : 0), $bars[$kind->value][1] + 1];
        }
    }

    /**
     * @param  array<string, array{int, int}>  $bars
     * @param  int  $last  so many drills prescribed last are looked at
     */
    private static function advice(array &$bars, Reading $reading, ?CaseConsensus $key, int $last): void
    {
        if ($key === null || $reading->sheet < Reading::CODED) {
            return;
        }
        $core = $reading->toCore();
        $causes = $key->causes->settled() ?? [];
        self::count(
            $bars,
            BarKind::Cause,
            $causes !== [],
            array_intersect(CaseConsensus::causes($core), $causes) !== [],
        );
        $would = $core->drill === null
            || $core->stop === null ? null : $key->appropriateness($core->drill, $core->stop);
        self::count(
            $bars,
            BarKind::Unsafe,
            $would !== null && $bars[BarKind::Unsafe->value][1] < $last,
            $would === Appropriateness::Unsafe,
        );
    }

    /** @return list<float> how far top and impact are marked from where they are, ms */
    private static function off(Reading $reading): array
    {
        $out = [];
        $true = $reading->case->recording->stationTimes();
        foreach ([Station::Top, Station::Impact] as $station) {
            $own = $reading->marks[$station->value] ?? null;
            $at = $true->t($station);
            if ($own !== null && $at !== null) {
                $out[] = abs(1000.0 * ((float) $own - $at));
            }
        }

        return $out;
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array{int, int} the same calls of those made twice, in the rounds of these readings
     */
    private function twice(User $user, Collection $readings): array
    {
        $row = DB::table('readings as first')
            ->join('sitting_cases as one', 'one.id', '=', 'first.sitting_case_id')
            ->join('sitting_cases as two', static fn (\Illuminate\Database\Query\JoinClause $j) => $j
                ->on('two.sitting_id', '=', 'one.sitting_id')
                ->on('two.case_id', '=', 'one.case_id')
                ->where('two.occasion', 2))
            ->join('readings as again', 'again.sitting_case_id', '=', 'two.id')
            ->join('calls as a', 'a.reading_id', '=', 'first.id')
            ->join('calls as b', static fn (\Illuminate\Database\Query\JoinClause $j) => $j
                ->on('b.reading_id', '=', 'again.id')
                ->on('b.fault', '=', 'a.fault'))
            ->where('one.occasion', 1)
            ->whereIn('one.sitting_id', $readings->map(static fn (Reading $r): int => $r->case->sitting_id)->unique())
            ->where('first.user_id', $user->id)
            ->where('again.user_id', $user->id)
            ->where('first.stage', 'blind')
            ->where('again.stage', 'blind')
            ->where('first.exposed', false)
            ->where('again.exposed', false)
            ->whereNotNull('first.handed_in_at')
            ->whereNotNull('again.handed_in_at')
            ->selectRaw('count(*) as n, count(*) filter (where a.presence = b.presence) as same')
            ->first();

        return [Cell::int($row->same ?? 0), Cell::int($row->n ?? 0)];
    }

    /** Of a round, a check or a test. */
    private static function daysSince(User $user): ?float
    {
        $at = Standings::lastRead([$user->id])[$user->id] ?? null;

        return $at === null ? null : floor($at->diffInDays(Carbon::now()));
    }

    /**
     * Whether the evidence reaches every bar, and the test's criteria stand where they must.
     *
     * @param  Shown  $shown
     */
    public static function reaches(array $shown): bool
    {
        foreach ($shown['bars'] as $standing) {
            if ($standing->verdict !== \Core\Training\BarVerdict::Met) {
                return false;
            }
        }

        return true;
    }

    /**
     * As it is kept with a decision.
     *
     * @param  Shown  $shown
     * @return array<string, mixed>
     */
    public static function kept(array $shown, ReadinessRule $rule): array
    {
        $criteria = $rule->toCore()->criteria;

        return [
            'cases' => $shown['cases'],
            'since' => $shown['since'],
            'criteria' => array_map(static fn (array $c, Criterion $of): array => [
                'name' => $of->name,
                'kind' => $of->kind->value,
                'right' => $c['right'],
                'calls' => $c['calls'],
                'low' => $c['figure']->low,
                'high' => $c['figure']->high,
            ], $shown['criteria'], $criteria),
            'bars' => array_map(static fn (BarStanding $b): array => [
                'verdict' => $b->verdict->value,
                'value' => $b->value,
                'n' => $b->n,
            ], $shown['bars']),
        ];
    }
}
