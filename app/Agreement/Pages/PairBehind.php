<?php

declare(strict_types=1);

namespace App\Agreement\Pages;

use App\Agreement\RoundInputs;
use App\Codebook\Codebooks;
use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\User;
use Core\Reading\Presence;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Pagination\Paginator;

/** The calls behind how far two people call the same: those in which they differ. */
final readonly class PairBehind
{
    /** So many calls stand on one page. */
    private const ROWS = 40;

    public function __construct(private Codebooks $codebooks, private CallsBehind $calls)
    {
    }

    /** @return array<string, mixed> */
    public function of(Sitting $round, User $a, User $b, User $user): array
    {
        $codebook = $this->codebooks->of($round);
        $cases = $this->calls->cases($round, $user)->keyBy('id')->all();
        $told = self::told($round, $a, $b, array_keys($cases));
        $differ = (clone $told)
            ->whereColumn('one.presence', '<>', 'other.presence')
            ->leftJoin('key_entries', static fn (JoinClause $on): JoinClause => $on
                ->on('key_entries.case_id', '=', 'sitting_cases.case_id')
                ->on('key_entries.fault', '=', 'one.fault')
                ->where('key_entries.key_version_id', $round->key_version_id));
        $n = $told->count();
        $apart = (clone $differ)->count();
        $page = max(1, Paginator::resolveCurrentPage());
        $rows = array_map(static fn (\stdClass $row): array => [
            'case' => $cases[Cell::int($row->id)]->called(),
            'caseUrl' => route('agreement.case', [$round, Cell::int($row->id)]),
            'fault' => $codebook->faults[Cell::text($row->fault)]->name ?? Cell::text($row->fault),
            'faultUrl' => route('agreement.fault', [$round, Cell::text($row->fault)]),
            'key' => $row->key === null || $row->key === 'none' ? null : Cell::text($row->key),
            'one' => Cell::text($row->one),
            'oneSure' => self::sure($row->one_sure),
            'other' => Cell::text($row->other),
            'otherSure' => self::sure($row->other_sure),
        ], array_values($differ
            ->orderBy('sitting_cases.id')
            ->orderBy('one.fault')
            ->forPage($page, self::ROWS)
            ->selectRaw('sitting_cases.id, one.fault, one.presence as one, one.confidence as one_sure,
                other.presence as other, other.confidence as other_sure,
                coalesce(key_entries.ruling, key_entries.label) as key')
            ->get()
            ->all()));

        return [
            'round' => $round,
            'a' => $a->name,
            'b' => $b->name,
            'finding' => trans_choice('agreement.behind.pair.finding', $apart, [
                'count' => (string) $apart, 'n' => (string) $n, 'a' => $a->name, 'b' => $b->name,
            ]),
            'n' => $n,
            'apart' => $apart,
            'rows' => $rows,
            'pages' => new LengthAwarePaginator($rows, $apart, self::ROWS, $page, [
                'path' => route('agreement.pair', [$round, $a->id, $b->id]),
            ]),
        ];
    }

    /**
     * First calls both made, neither of them “cannot tell”.
     *
     * @param  list<int>  $cases  places of the round
     */
    private static function told(Sitting $round, User $a, User $b, array $cases): Builder
    {
        $untold = Presence::CannotTell->value;
        $theirs = RoundInputs::handedIn($round)
            ->where('readings.user_id', $b->id)
            ->where('readings.exposed', false)
            ->select(['readings.id', 'readings.sitting_case_id']);

        return RoundInputs::handedIn($round)
            ->joinSub($theirs, 'theirs', 'theirs.sitting_case_id', '=', 'readings.sitting_case_id')
            ->join('calls as one', 'one.reading_id', '=', 'readings.id')
            ->join('calls as other', static fn (JoinClause $on): JoinClause => $on
                ->on('other.reading_id', '=', 'theirs.id')
                ->on('other.fault', '=', 'one.fault'))
            ->where('readings.user_id', $a->id)
            ->where('readings.exposed', false)
            ->where('sitting_cases.occasion', 1)
            ->whereIn('sitting_cases.id', $cases)
            ->where('one.presence', '<>', $untold)
            ->where('other.presence', '<>', $untold);
    }

    private static function sure(mixed $percent): string
    {
        return $percent === null ? '' : Cell::int($percent).' %';
    }
}
