<?php

declare(strict_types=1);

namespace App\Agreement;

use App\Models\Reading;
use Core\Agreement\Study\CueResult;
use Core\Agreement\Study\CueStudy;
use Core\Codebook\CuePhrase;
use Core\Codebook\Shown;

/** The cues of a round's first readings, as they were handed in, beside what each reader had been shown. */
final class RoundCues
{
    /**
     * @param  array<string, CuePhrase>  $phrases  of the codebook that the round was read by
     *
     * @throws \Core\CoreException never: counts are of one thing
     */
    public static function ofRound(RoundInputs $inputs, array $phrases): CueResult
    {
        return (new CueStudy($phrases))->of(self::said($inputs));
    }

    /** @return list<array{case: string, golfer: string, rater: string, cue: string, shown: Shown}> */
    public static function said(RoundInputs $inputs): array
    {
        $panel = array_fill_keys($inputs->panel, true);
        $first = array_filter(
            $inputs->readings,
            static fn (array $r): bool => $inputs->cases[$r['case']]->occasion === 1 && ! isset($panel[$r['user']]),
        );
        $cues = Reading::query()->whereKey(array_column($first, 'id'))->pluck('cue', 'id');
        $out = $shown = [];
        foreach ($first as $reading) {
            $case = $inputs->cases[$reading['case']];
            $cue = $cues->get($reading['id']);
            $out[] = [
                'case' => "c$case->case_id",
                'golfer' => $inputs->golfers[$case->case_id] ?? "c$case->case_id",
                'rater' => "u{$reading['user']}",
                'cue' => is_string($cue) ? $cue : '',
                'shown' => $shown["{$reading['case']}|{$reading['arm']}"] ??= $case->shown($inputs->arms[$reading['arm']] ?? null),
            ];
        }

        return $out;
    }
}
