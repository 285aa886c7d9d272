<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Models\Casts\Cell;
use App\Models\ReadinessRule;
use Core\Training\Alikeness;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/**
 * How alike the calls of one case are in being right, from all published rounds: what a test assumes before it begins.
 */
final class AcademyAlikeness
{
    /** So many of the newest sheets say it. */
    private const SHEETS = 1000;

    /** @param  list<int>  $hidden  recordings that nothing may be told of to who asks */
    public static function of(Criterion $criterion, array $hidden = []): Alikeness
    {
        $label = $criterion->kind === CriterionKind::Sensitivity ? 'present' : 'absent';
        $cases = [];
        // The sheets first: their calls alone are counted.
        $sheets = DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->join('sittings', 'sittings.id', '=', 'sitting_cases.sitting_id')
            ->join('cases', 'cases.id', '=', 'sitting_cases.case_id')
            ->join('case_swings', 'case_swings.case_id', '=', 'sitting_cases.case_id')
            ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
            ->where('sittings.kind', 'round')
            ->where('sittings.state', 'published')
            ->where('readings.stage', 'blind')
            ->where('readings.exposed', false)
            ->whereNotNull('readings.handed_in_at')
            ->where('sitting_cases.occasion', 1)
            ->where('cases.kind', 'single')
            ->whereNotIn('case_swings.recording_id', $hidden)
            ->orderByDesc('readings.id')
            ->limit(self::SHEETS)
            ->select(['readings.id', 'sitting_cases.case_id', 'sittings.key_version_id', 'recordings.golfer_id']);
        foreach (DB::query()
            ->fromSub($sheets, 'sheets')
            ->join('calls', 'calls.reading_id', '=', 'sheets.id')
            ->join('key_entries', static fn (JoinClause $j) => $j
                ->on('key_entries.key_version_id', '=', 'sheets.key_version_id')
                ->on('key_entries.case_id', '=', 'sheets.case_id')
                ->on('key_entries.fault', '=', 'calls.fault'))
            ->whereIn('calls.fault', $criterion->faults)
            ->whereNotIn('key_entries.grade', ['contested', 'conflict'])
            ->whereRaw('coalesce(key_entries.ruling, key_entries.label) = ?', [$label])
            ->groupBy('sheets.id', 'sheets.golfer_id')
            ->orderBy('sheets.id')
            ->selectRaw('sheets.golfer_id, count(*) as n, count(*) filter (where calls.presence = ?) as hits', [$label])
            ->get() as $row) {
            $cases[] = ['g'.Cell::int($row->golfer_id), Cell::int($row->hits), Cell::int($row->n)];
        }

        return Alikeness::of($cases);
    }

    /**
     * Fixed before the first case is read: how many calls a case has, and how alike they are.
     *
     * @param  list<array{calls: list<int>, ...}>  $cases
     * @param  list<int>  $hidden
     * @return list<array{calls: float, alike: float}>
     */
    public static function assumed(ReadinessRule $rule, array $cases, array $hidden = []): array
    {
        $criteria = $rule->toCore()->criteria;

        return array_map(static function (Criterion $of, int $i) use ($cases, $hidden): array {
            $calls = array_filter(
                array_map(static fn (array $c): int => $c['calls'][$i], $cases),
                static fn (int $n): bool => $n > 0,
            );

            return [
                'calls' => $calls === [] ? 1.0 : max(1.0, (float) array_sum($calls) / count($calls)),
                'alike' => self::of($of, $hidden)->over(array_values($calls)),
            ];
        }, $criteria, array_keys($criteria));
    }
}
