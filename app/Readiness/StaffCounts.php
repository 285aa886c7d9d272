<?php

declare(strict_types=1);

namespace App\Readiness;

use App\Models\ReadinessRule;
use App\Models\User;
use App\Practice\RoundMaps;
use Core\Training\Criterion;
use Core\Training\CriterionKind;

/**
 * Right and wrong calls of the staff by fault, from the published rounds as they were counted: whatever recorded them.
 */
final readonly class StaffCounts
{
    public function __construct(private RoundMaps $maps)
    {
    }

    /**
     * @return array<int, array<string, array{int, int, int, int}>> by person and fault: found, missed, over-called,
     *     left alone
     */
    public function of(ReadinessRule $rule, User $head): array
    {
        $out = [];
        foreach ($this->maps->of($head, $rule->lens) as $map) {
            foreach ($map as $rater => $faults) {
                $person = (int) substr($rater, 1);
                foreach ($faults as $fault => [$found, $missed, $over, $absent]) {
                    $own = $out[$person][$fault] ?? [0, 0, 0, 0];
                    $out[$person][$fault] = [$own[0] + $found, $own[1] + $missed, $own[2] + $over, $own[3] + $absent];
                }
            }
        }

        return $out;
    }

    /**
     * @param  array<string, array{int, int, int, int}>  $of  one person's, by fault
     * @return array{int, int} right calls and all that a criterion counts
     */
    public static function in(array $of, Criterion $criterion): array
    {
        $right = $n = 0;
        foreach ($criterion->faults as $fault) {
            [$found, $missed, $over, $absent] = $of[$fault] ?? [0, 0, 0, 0];
            [$r, $w] = $criterion->kind === CriterionKind::Sensitivity ? [$found, $missed] : [$absent, $over];
            $right += $r;
            $n += $r + $w;
        }

        return [$right, $n];
    }
}
