<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\KeyEntry;
use App\Models\Sitting;
use Core\Agreement\Study\SecondLookStudy;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/**
 * What readers of a round called blind, and called of the same case with the ball and the numbers before them. Whoever
 * made the key or had been shown the answer is left out.
 *
 * @phpstan-import-type Pair from SecondLookStudy
 */
final class SecondLooks
{
    public const FIELDS = [
        'second' => [
            'case' => 'string',
            'cluster' => 'string',
            'rater' => 'string',
            'item' => 'string',
            'blind' => 'string',
            'blind_confidence' => 'number',
            'after' => 'string',
            'after_confidence' => 'number',
        ],
    ];

    /** @return list<Pair> calls that are alike counted together */
    public static function pairs(Sitting $round): array
    {
        $out = [];
        foreach (self::calls($round)
            ->leftJoin('key_entries as key', static fn (JoinClause $on): JoinClause => $on
                ->on('key.case_id', '=', 'sitting_cases.case_id')
                ->on('key.fault', '=', 'blind.fault')
                ->where('key.key_version_id', $round->key_version_id))
            ->groupBy('golfer_id', 'readings.user_id', 'blind.fault', 'blind.presence', 'after.presence', 'key.label',
                'key.grade', 'key.ruling')
            ->selectRaw('golfer_id, readings.user_id, blind.fault, blind.presence as blind, after.presence as after,
                key.label, key.grade, key.ruling, count(*) as n')
            ->get() as $row) {
            $out[] = [
                'golfer' => 'g'.Cell::int($row->golfer_id),
                'rater' => 'u'.Cell::int($row->user_id),
                'item' => Cell::text($row->fault),
                'blind' => Cell::text($row->blind),
                'after' => Cell::text($row->after),
                'truth' => $row->label === null ? '' : (string) KeyEntry::labelScored(
                    Cell::text($row->label),
                    Cell::text($row->grade),
                    $row->ruling === null ? null : Cell::text($row->ruling),
                ),
                'n' => Cell::int($row->n),
            ];
        }

        return $out;
    }

    /** @return \Generator<list<string|float|null>> a row a call made twice */
    public static function rows(Sitting $round): \Generator
    {
        $sure = static fn (mixed $percent): ?float => $percent === null ? null : Cell::int($percent) / 100.0;
        foreach (self::calls($round)
            ->orderBy('sitting_cases.case_id')
            ->orderBy('readings.user_id')
            ->orderBy('blind.fault')
            ->get(['sitting_cases.case_id', 'golfer_id', 'readings.user_id', 'blind.fault', 'blind.presence as blind',
                'blind.confidence as blind_sure', 'after.presence as after', 'after.confidence as after_sure',
            ]) as $row) {
            yield [
                'c'.Cell::int($row->case_id),
                'g'.Cell::int($row->golfer_id),
                'u'.Cell::int($row->user_id),
                Cell::text($row->fault),
                Cell::text($row->blind),
                $sure($row->blind_sure),
                Cell::text($row->after),
                $sure($row->after_sure),
            ];
        }
    }

    private static function calls(Sitting $round): Builder
    {
        return RoundInputs::handedIn($round)
            ->join('readings as again', static fn (JoinClause $on): JoinClause => $on
                ->on('again.sitting_case_id', '=', 'readings.sitting_case_id')
                ->on('again.user_id', '=', 'readings.user_id')
                ->where('again.stage', 'reveal')
                ->whereNotNull('again.handed_in_at'))
            ->join('calls as blind', 'blind.reading_id', '=', 'readings.id')
            ->join('calls as after', static fn (JoinClause $on): JoinClause => $on
                ->on('after.reading_id', '=', 'again.id')
                ->on('after.fault', '=', 'blind.fault'))
            ->join('case_swings', static fn (JoinClause $on): JoinClause => $on
                ->on('case_swings.case_id', '=', 'sitting_cases.case_id')
                ->where('case_swings.position', 1))
            ->join('recordings', 'recordings.id', '=', 'case_swings.recording_id')
            ->where('readings.exposed', false)
            ->where('sitting_cases.occasion', 1)
            ->whereNotIn('readings.user_id', DB::table('seats')
                ->join('key_versions', 'key_versions.sitting_id', '=', 'seats.sitting_id')
                ->where('key_versions.id', $round->key_version_id)
                ->select('seats.user_id'));
    }
}
