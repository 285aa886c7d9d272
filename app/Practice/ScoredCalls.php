<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Casts\Cell;
use App\Models\User;
use Core\Training\Answer;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** Calls of published rounds beside the key each was scored against: what rounds tell of people. */
final class ScoredCalls
{
    /** What the key says of the call's fault. */
    public const TRUTH = 'coalesce(key_entries.ruling, key_entries.label)';

    private const DAY_S = 86_400.0;

    /**
     * One person's, the oldest round first, what is told apart by nothing counted together; a round tests, and teaches
     * nothing by itself.
     *
     * @param  list<int>  $hidden  recordings whose key may be told by nothing now
     * @return list<Answer>
     */
    public static function of(User $user, array $hidden): array
    {
        $out = [];
        foreach (self::all()
            ->where('sitting_cases.reserved', false)
            ->where('readings.user_id', $user->id)
            ->where('readings.exposed', false)
            ->whereNotExists(static fn (Builder $q) => $q
                ->selectRaw('1')
                ->from('case_swings')
                ->whereColumn('case_swings.case_id', 'sitting_cases.case_id')
                ->whereIn('case_swings.recording_id', $hidden))
            ->groupBy('sittings.id', 'calls.fault', DB::raw('2'))
            ->orderBy('at')
            ->orderBy('calls.fault')
            ->selectRaw('calls.fault, calls.presence = coalesce(key_entries.ruling, key_entries.label) as "right",
                avg(extract(epoch from readings.handed_in_at)) as at, count(*) as n')
            ->get() as $row) {
            $out[] = new Answer(
                Cell::text($row->fault),
                (bool) $row->right,
                Cell::float($row->at) / self::DAY_S,
                0.0,
                false,
                Cell::int($row->n),
            );
        }

        return $out;
    }

    /**
     * First blind calls beside the key; who could not tell is neither right nor wrong. Kept cases are among them:
     * whoever may be told nothing of them leaves them out.
     */
    public static function all(): Builder
    {
        return DB::table('calls')
            ->join('readings', 'readings.id', '=', 'calls.reading_id')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('key_entries', static fn (JoinClause $j) => $j
                ->on('key_entries.key_version_id', '=', 'sittings.key_version_id')
                ->on('key_entries.case_id', '=', 'sitting_cases.case_id')
                ->on('key_entries.fault', '=', 'calls.fault'))
            ->where('sittings.state', 'published')
            ->where('sittings.kind', 'round')
            ->where('readings.stage', 'blind')
            ->whereNotNull('readings.handed_in_at')
            ->whereNull('sitting_cases.withdrawn_at')
            ->where('sitting_cases.occasion', 1)
            ->where('calls.presence', '<>', 'cannot-tell')
            ->where('key_entries.grade', '<>', 'contested')
            ->whereRaw("(key_entries.grade <> 'conflict' or key_entries.ruling is not null)")
            ->whereRaw(self::TRUTH." <> 'none'");
    }
}
