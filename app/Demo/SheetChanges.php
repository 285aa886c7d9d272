<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\Call;
use App\Models\Reading;
use Core\Motion\View;
use Core\Reading\Call as CoreCall;
use Core\Reading\CaseKind;
use Core\Reading\Presence;
use Core\Reading\Reading as CoreReading;
use Illuminate\Support\Carbon;

/** A reading as a simulated rater made it, in the changes the bench would have sent. */
final class SheetChanges
{
    /** @return array<string, mixed> */
    public static function call(CoreCall $call, CaseKind $kind): array
    {
        $row = array_diff_key(Call::row($call), ['fault' => 0]);

        return $kind === CaseKind::Pair && $call->presence === Presence::Present
            ? [...$row, 'trend' => crc32($call->fault.$call->confidence) % 4 === 0 ? 'same' : 'better']
            : $row;
    }

    /**
     * A reading as its rater would have entered it, one change after the other.
     *
     * @return list<array{id: string, target: string, value: mixed, base: int, at: int}>
     */
    public static function of(CoreReading $core, Reading $reading, string $by): array
    {
        $of = $reading->public_id;
        $kind = $reading->case->kind;
        $out = [];
        $at = Carbon::now()->getTimestampMs() - 200_000;
        $add = static function (string $target, mixed $value) use (&$out, &$at, $of): void {
            $at += 6_000;
            $out[] = [
                'id' => substr($of, 0, 20).'-'.count($out),
                'target' => $target,
                'value' => $value,
                'base' => count($out),
                'at' => $at,
            ];
        };
        foreach ($core->calls as $fault => $call) {
            $add("call:$fault", self::call($call, $kind));
        }
        $add('causes', $core->firstCauses);
        $add('misses', $core->misses->percent);
        if ($core->breaks !== null) {
            $add('breaks', $core->breaks);
        }
        if ($core->chain->links !== []) {
            $add('chain', $core->chain->links);
        }
        if ($core->drill !== null) {
            $add('drill', ['key' => $core->drill, 'stop' => $core->stop?->value]);
        }
        if ($kind === CaseKind::Single) {
            foreach ($core->marks as $station => $t) {
                $add("mark:$station", $t);
            }
        }
        $cued = array_intersect($core->firstCauses, array_keys(Fernhollow::CUES));
        $cause = (string) reset($cued);
        // One in four says what provokes it, or what nobody was shown.
        $cue = $cued === [] ? '' : (crc32("cue|$by|$reading->position") % 4 === 0
            ? Behind::POOR_CUES[$cause] ?? Fernhollow::CUES[$cause]
            : Fernhollow::CUES[$cause]);
        if ($cue !== '') {
            $add('cue', $cue);
        }
        $drawn = Fernhollow::drawnBy($by, $reading->case->recording->golfer->handedness);
        if ($drawn !== [] && in_array(View::FaceOn, $reading->filmViews(), true)) {
            $add('aids', $drawn);
        }
        $add('time', 4_000 * count($out) + 1_000 * (crc32($of) % 60));

        return $out;
    }
}
