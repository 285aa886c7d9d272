<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Codebook\Codebooks;
use App\Models\Call;
use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\SittingArm;
use App\Models\SittingCase;
use App\Models\User;
use App\Sight\Onlookers;
use App\Words\Wording;
use Core\Codebook\Codebook;
use Core\Codebook\Observability;
use Core\Codebook\Shown;
use Core\Reading\Presence;
use Core\Sight\Thing;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Facades\DB;

/**
 * The calls behind a round's figures: everybody's on one fault, case by case; of first readings, as they were handed
 * in.
 *
 * @phpstan-type Row array{name: string, url: ?string, key: ?string, grade: ?string, why: string,
 *     cells: list<?CallCell>}
 */
final readonly class CallsBehind
{
    /** So many cases stand on one page. */
    private const ROWS = 25;

    public function __construct(
        private Codebooks $codebooks,
        private Onlookers $onlookers,
        private Wording $words,
    ) {
    }

    /** @return array<string, mixed> */
    public function ofFault(Sitting $round, string $fault, User $user): array
    {
        $codebook = $this->codebooks->of($round);
        $of = $codebook->faults[$fault] ?? abort(404);
        $cases = $this->cases($round, $user);
        [$at, $readers] = self::calls($cases->modelKeys(), $fault);
        $arms = SittingArm::query()->where('sitting_id', $round->id)->get()->keyBy('id');
        $entries = self::entries($round, $cases, $fault);
        $panel = self::panel($round);
        $later = self::later($cases->modelKeys(), $fault);
        $page = max(1, Paginator::resolveCurrentPage());
        $rows = $cells = [];
        foreach ($cases->values() as $i => $case) {
            $entry = $entries->get($case->case_id);
            $seen = [];
            $cells[$i] = array_map(
                static function (int $reader) use ($at, $case, $arms, $entry, $of, $panel, $later, &$seen): ?CallCell {
                    $call = $at[$case->id][$reader] ?? null;
                    if ($call === null) {
                        return null;
                    }
                    // As much as one arm shows of one case it shows to everybody in it.
                    $seen[$call['arm']] ??= $of->observability(
                        $case->shown($arms->get($call['arm'])),
                    ) !== Observability::NotObservable;

                    return CallCell::of(
                        $call['presence'],
                        $call['confidence'],
                        $call['exposed'],
                        $entry,
                        $seen[$call['arm']],
                        isset($panel[$reader]),
                        $later[$case->id][$reader][$of->key] ?? [],
                    );
                },
                array_keys($readers),
            );
            if (intdiv($i, self::ROWS) === $page - 1) {
                $rows[] = $this->row(
                    $case->recording->called(),
                    route('agreement.case', [$round, $case]),
                    $entry,
                    $cells[$i],
                    $of->name,
                );
            }
        }

        return [
            'round' => $round,
            'title' => ucfirst($of->name),
            'about' => ucfirst($of->lookFor).'.',
            'first' => (string) __('agreement.behind.case'),
            'readers' => array_values($readers),
            'rows' => $rows,
            'counts' => self::counts(array_values($cells)),
            'pages' => new LengthAwarePaginator($rows, count($cells), self::ROWS, $page, [
                'path' => route('agreement.fault', [$round, $fault]),
            ]),
        ];
    }

    /**
     * Everybody's calls on one case, fault by fault; faults that nobody called and the key does not have are only
     * named.
     *
     * @return array{readers: list<string>, ways: list<string>, rows: list<Row>, others: list<string>,
     *     counts: list<string>}
     */
    public function ofCase(Sitting $round, SittingCase $case, Codebook $codebook): array
    {
        $readings = self::readings([$case->id]);
        $readers = self::readers($readings);
        $panel = self::panel($round);
        $entries = $round->keyVersion?->entries()->where('case_id', $case->case_id)->get()
            ->keyBy(static fn (KeyEntry $e): string => $e->fault) ?? new Collection();
        $later = self::later([$case->id])[$case->id] ?? [];
        $by = $shown = [];
        foreach ($readings as $reading) {
            $by[$reading->user_id] = $reading;
            $shown[$reading->arm_id] ??= $case->shown($reading->arm);
        }
        $rows = $others = [];
        foreach ($codebook->faults as $key => $fault) {
            $entry = $entries->get($key);
            $seen = array_map(
                static fn (Shown $s): bool => $fault->observability($s) !== Observability::NotObservable,
                $shown,
            );
            $row = $this->row(
                $fault->name,
                route('agreement.fault', [$round, $key]),
                $entry,
                array_map(static fn (int $reader): ?CallCell => self::cell(
                    $by[$reader] ?? null,
                    $key,
                    $entry,
                    $seen[($by[$reader] ?? null)?->arm_id] ?? true,
                    isset($panel[$reader]),
                    $later[$reader][$key] ?? [],
                ), array_keys($readers)),
                $fault->name,
            );
            $called = array_filter(
                $row['cells'],
                static fn (?CallCell $c): bool => $c !== null && $c->presence !== 'absent',
            );
            if ($called === [] && ($entry === null || $entry->scoredLabel() === 'absent')) {
                $others[] = $fault->name;
            } else {
                $rows[] = $row;
            }
        }

        return [
            'readers' => array_values($readers),
            // Where all were shown the same it stands at the head of the page.
            'ways' => $case->arm_id !== null ? [] : array_map(
                static fn (int $reader): string => (string) __(
                    'agreement.arms.'.(($by[$reader] ?? null)->arm->code ?? 'both'),
                ),
                array_keys($readers),
            ),
            'rows' => $rows,
            'others' => $others,
            'counts' => self::counts(array_column($rows, 'cells')),
        ];
    }

    /** @return Collection<int, SittingCase> asked for the first time, not taken out, that this person may see */
    public function cases(Sitting $round, User $user): Collection
    {
        $seen = $this->onlookers->of($user)->seenCases([$round], Thing::Names)[$round->id] ?? [];

        return $round->cases()
            ->where('occasion', 1)
            ->whereNull('withdrawn_at')
            ->whereIn('case_id', array_keys($seen))
            ->with(['arm', 'recording.golfer', 'swings.recording.films'])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  list<?CallCell>  $cells  a reader each
     * @return Row
     */
    private function row(string $name, string $url, ?KeyEntry $entry, array $cells, string $fault): array
    {
        return [
            'name' => $name,
            'url' => $url,
            'key' => $entry === null ? null : $entry->ruling ?? $entry->label,
            'grade' => $entry?->grade,
            'why' => $entry === null ? '' : $this->words->said($entry->measured()->why, ['fault' => $fault]),
            'cells' => $cells,
        ];
    }

    /** @param  array<'again'|'second', Presence>  $later */
    private static function cell(
        ?Reading $reading,
        string $fault,
        ?KeyEntry $entry,
        bool $seen,
        bool $panel,
        array $later,
    ): ?CallCell {
        /** @var Call|null $call */
        $call = $reading?->calls->firstWhere('fault', $fault);

        return $reading === null || $call === null ? null : CallCell::of(
            $call->presence,
            $call->confidence,
            $reading->exposed,
            $entry,
            $seen,
            $panel,
            $later,
        );
    }

    /**
     * What was called of the same cases when they came back unannounced, or with the ball and the numbers in view.
     *
     * @param  array<array-key, mixed>  $cases  places of a round, of first showings
     * @return array<int, array<int, array<string, array<'again'|'second', Presence>>>> by place, reader and fault
     */
    private static function later(array $cases, ?string $fault = null): array
    {
        $out = [];
        foreach (DB::table('sitting_cases as first')
            ->join('sitting_cases as place', static fn (JoinClause $on): JoinClause => $on
                ->on('place.sitting_id', '=', 'first.sitting_id')
                ->on('place.case_id', '=', 'first.case_id'))
            ->join('readings', 'readings.sitting_case_id', '=', 'place.id')
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->whereIn('first.id', $cases)
            ->where(
                static fn (Builder $q): Builder => $q->where('place.occasion', '>', 1)
                    ->orWhere('readings.stage', 'reveal'),
            )
            ->whereNotNull('readings.handed_in_at')
            ->when($fault !== null, static fn ($q) => $q->where('calls.fault', $fault))
            ->orderBy('readings.id')
            ->get(['first.id', 'readings.user_id', 'readings.stage', 'calls.fault', 'calls.presence']) as $row) {
            $when = $row->stage === 'reveal' ? 'second' : 'again';
            $out[Cell::int($row->id)][Cell::int($row->user_id)][Cell::text($row->fault)][$when]
                = Presence::from(Cell::text($row->presence));
        }

        return $out;
    }

    /**
     * Every call on a fault, light: a large round has many thousand.
     *
     * @param  array<array-key, mixed>  $cases
     * @return array{array<int, array<int, array{arm: int, exposed: bool, presence: Presence, confidence: ?int}>>,
     *     array<int, string>} by case and reader; the readers in the order of their names
     */
    private static function calls(array $cases, string $fault): array
    {
        $at = $readers = [];
        foreach (DB::table('readings')
            ->join('calls', 'calls.reading_id', '=', 'readings.id')
            ->join('users', 'users.id', '=', 'readings.user_id')
            ->whereIn('readings.sitting_case_id', $cases)
            ->where('readings.stage', 'blind')
            ->whereNotNull('readings.handed_in_at')
            ->where('calls.fault', $fault)
            ->get(['sitting_case_id', 'user_id', 'arm_id', 'exposed', 'presence', 'confidence', 'users.name']) as $row) {
            $user = Cell::int($row->user_id);
            $readers[$user] = Cell::text($row->name);
            $at[Cell::int($row->sitting_case_id)][$user] = [
                'arm' => Cell::int($row->arm_id),
                'exposed' => (bool) $row->exposed,
                'presence' => Presence::from(Cell::text($row->presence)),
                'confidence' => $row->confidence === null ? null : Cell::int($row->confidence),
            ];
        }
        asort($readers);

        return [$at, $readers];
    }

    /**
     * @param  array<array-key, mixed>  $cases
     * @return Collection<int, Reading>
     */
    private static function readings(array $cases): Collection
    {
        return Reading::query()
            ->whereIn('sitting_case_id', $cases)
            ->where('stage', 'blind')
            ->whereNotNull('handed_in_at')
            ->with(['user', 'arm', 'calls'])
            ->orderBy('id')
            ->get();
    }

    /**
     * @param  Collection<int, Reading>  $readings
     * @return array<int, string> by user, in the order of their names
     */
    private static function readers(Collection $readings): array
    {
        $out = $readings->mapWithKeys(static fn (Reading $r): array => [$r->user_id => $r->user->name])->all();
        asort($out);

        return $out;
    }

    /**
     * @param  Collection<int, SittingCase>  $cases
     * @return Collection<int, KeyEntry> by case
     */
    private static function entries(Sitting $round, Collection $cases, string $fault): Collection
    {
        return $round->keyVersion?->entries()
            ->where('fault', $fault)
            ->whereIn('case_id', $cases->pluck('case_id'))
            ->get()
            ->keyBy(static fn (KeyEntry $e): int => $e->case_id) ?? new Collection();
    }

    /** @return array<int, true> who helped to make the key */
    public static function panel(Sitting $round): array
    {
        $members = DB::table('seats')
            ->join('key_versions', 'key_versions.sitting_id', '=', 'seats.sitting_id')
            ->where('key_versions.id', $round->key_version_id)
            ->pluck('seats.user_id')
            ->map(Cell::int(...))
            ->all();

        return array_fill_keys($members, true);
    }

    /**
     * @param  list<list<?CallCell>>  $rows  a reader each in every row
     * @return list<string> of each reader, how many of those that count were right
     */
    private static function counts(array $rows): array
    {
        $out = [];
        foreach ($rows[0] ?? [] as $i => $_) {
            $right = $scored = 0;
            foreach ($rows as $cells) {
                $right += $cells[$i]?->right === true ? 1 : 0;
                $scored += $cells[$i]?->right === null ? 0 : 1;
            }
            $out[] = $scored === 0 ? (string) __('figures.none') : "$right/$scored";
        }

        return $out;
    }
}
