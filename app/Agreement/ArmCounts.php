<?php

declare(strict_types=1);

namespace App\Agreement;

use Core\Reading\Presence;

/** Calls beside the key by what was shown, where cases are shown by turns. */
final class ArmCounts
{
    /**
     * First readings of cases shown by turns, beside the key.
     *
     * @return array<string, array<string, array{int, int, int, int}>> found, missed, over-called and rightly absent, by
     *     what was shown and golfer
     */
    public static function of(RoundRatings $ratings): array
    {
        $out = [];
        foreach ($ratings->said->raterNames() as $rater) {
            if (in_array((int) substr($rater, 1), $ratings->inputs->panel, true)) {
                continue;
            }
            foreach ($ratings->said->ratingsOf($rater, RoundRatings::FIRST) as $case => $of) {
                $reading = $ratings->readings["$case|$rater|".RoundRatings::FIRST];
                if ($ratings->inputs->cases[$reading['case']]->arm_id !== null) {
                    continue;
                }
                $arm = $ratings->inputs->arms[$reading['arm']]->code;
                $golfer = $ratings->said->clusterOf((string) $case) ?? (string) $case;
                $counts = $out[$arm][$golfer] ?? [0, 0, 0, 0];
                foreach ($of as $fault => [$presence]) {
                    $truth = $ratings->key[$case][$fault] ?? '';
                    if ($truth !== '' && $presence !== Presence::CannotTell->value &&
                        isset($ratings->inputs->seen[$reading['case']][$reading['arm']][$fault])) {
                        $present = $presence === Presence::Present->value;
                        $counts[($truth === Presence::Present->value ? 0 : 2) + ($present ? 0 : 1)]++;
                    }
                }
                $out[$arm][$golfer] = $counts;
            }
        }

        return $out;
    }
}
