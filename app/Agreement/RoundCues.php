<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Casts\Cell;
use App\Models\Sitting;
use App\Models\SittingArm;
use Core\Agreement\Study\CueResult;
use Core\Agreement\Study\CueStudy;
use Core\Codebook\CuePhrase;
use Core\Codebook\Shown;
use Illuminate\Support\Facades\DB;

/** The cues of a round's first readings, as they were handed in, beside what each reader had been shown. */
final class RoundCues
{
    /**
     * @param  array<string, CuePhrase>  $phrases  of the codebook that the round was read by
     *
     * @throws \Core\CoreException never: counts are of one thing
     */
    public static function ofRound(Sitting $round, array $phrases): CueResult
    {
        return (new CueStudy($phrases))->of(self::said($round));
    }

    /** @return list<array{case: string, golfer: string, rater: string, cue: string, shown: Shown}> */
    public static function said(Sitting $round): array
    {
        $panel = DB::table('seats')
            ->join('key_versions', 'key_versions.sitting_id', '=', 'seats.sitting_id')
            ->where('key_versions.id', $round->key_version_id)
            ->select('seats.user_id');
        $cases = $round->cases()->where('occasion', 1)->with(['recording.films', 'swings'])->get()->keyBy('id');
        $arms = SittingArm::query()->where('sitting_id', $round->id)->get()->keyBy('id');
        $out = $shown = [];
        foreach (RoundInputs::handedIn($round)
            ->where('readings.exposed', false)
            ->where('sitting_cases.occasion', 1)
            ->whereNotIn('readings.user_id', $panel)
            ->orderBy('readings.id')
            ->get(['readings.user_id', 'readings.arm_id', 'readings.sitting_case_id', 'readings.cue']) as $row) {
            [$place, $arm] = [Cell::int($row->sitting_case_id), Cell::int($row->arm_id)];
            $case = $cases->get($place);
            if ($case === null) {
                continue;
            }
            $out[] = [
                'case' => "c$case->case_id",
                'golfer' => "g{$case->recording->golfer_id}",
                'rater' => 'u'.Cell::int($row->user_id),
                'cue' => Cell::text($row->cue),
                'shown' => $shown["$place|$arm"] ??= $case->shown($arms[$arm] ?? null),
            ];
        }

        return $out;
    }
}
