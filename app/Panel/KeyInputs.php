<?php

declare(strict_types=1);

namespace App\Panel;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use Core\Reading\Stage;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What a panel's key is made from: hand-ins, what later steps said, and what was measured of every swing. */
final class KeyInputs
{
    /** What a key made now would be made from, as a checksum: hand-ins, and what was measured of every swing. */
    public static function checksum(Sitting $panel): string
    {
        $hash = hash_init('sha256');
        $rules = $panel->panelRules();
        [$later, $judged] = [self::later($panel), Judgings::stamp($panel)];
        hash_update(
            $hash,
            json_encode(
                [$panel->lens, $panel->codebook_version, $rules->majority, $rules->able,
                    ...$later === [] ? [] : [$later], ...$judged === '' ? [] : [$judged]],
                JSON_THROW_ON_ERROR,
            ),
        );
        [$readings, $swings] = [self::readings($panel), self::swings($panel)];
        foreach ($panel->cases()->where('occasion', 1)->orderBy('id')->get(['id', 'case_id']) as $case) {
            hash_update($hash, json_encode(
                [$case->case_id, $readings[$case->id] ?? [], $swings[$case->case_id] ?? []],
                JSON_THROW_ON_ERROR,
            ));
        }

        return hash_final($hash);
    }

    /** @return list<array{int, string, int, string, ?int, ?string}> what following rounds changed */
    private static function later(Sitting $panel): array
    {
        $out = [];
        foreach (FollowingRounds::said($panel) as $case => $faults) {
            foreach ($faults as $fault => $members) {
                foreach ($members as $member => $a) {
                    $out[] = [$case, $fault, $member, $a->presence->value, $a->severity?->value, $a->onset?->value];
                }
            }
        }
        sort($out);

        return $out;
    }

    /** @return array<int, list<array{int, int}>> readings handed in and their versions, by place */
    private static function readings(Sitting $panel): array
    {
        $out = [];
        $rows = self::handedIn($panel)->orderBy('readings.id')->get([
            'readings.id',
            'readings.version',
            'readings.sitting_case_id',
        ]);
        foreach ($rows as $row) {
            $out[Cell::int($row->sitting_case_id)][] = [Cell::int($row->id), Cell::int($row->version)];
        }

        return $out;
    }

    /** @return array<int, list<array{int, ?string, ?string}>> swings and what they were measured from, by case */
    private static function swings(Sitting $panel): array
    {
        $text = static fn (mixed $v): ?string => $v === null ? null : Cell::text($v);
        $out = [];
        $rows = DB::table('case_swings')
            ->leftJoin('measurement_sets', 'measurement_sets.recording_id', '=', 'case_swings.recording_id')
            ->whereIn('case_swings.case_id', $panel->cases()->where('occasion', 1)->select('case_id'))
            ->orderBy('case_swings.position')
            ->get(['case_id', 'case_swings.recording_id', 'inputs_checksum', 'core_version']);
        foreach ($rows as $row) {
            $out[Cell::int($row->case_id)][] = [
                Cell::int($row->recording_id),
                $text($row->inputs_checksum),
                $text($row->core_version),
            ];
        }

        return $out;
    }

    /** Readings that are handed in, of a first occasion. */
    public static function handedIn(Sitting $panel): Builder
    {
        return DB::table('readings')
            ->join('sitting_cases', 'sitting_cases.id', '=', 'readings.sitting_case_id')
            ->where('sitting_cases.sitting_id', $panel->id)
            ->where('sitting_cases.occasion', 1)
            ->where('readings.stage', Stage::Blind->value)
            ->whereNotNull('readings.handed_in_at');
    }
}
