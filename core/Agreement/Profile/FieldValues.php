<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Figure;
use Core\Agreement\Undefined;

/**
 * Predictive values where the fault is as common as stated, not as in the set: by Bayes from sensitivity S and
 * specificity C, PPV = 1/(1 + ((1−C)/S)(1−π)/π), NPV = 1/(1 + ((1−S)/C) π/(1−π)). The interval is that of the ratio of
 * two proportions, from the intervals of each (Donner & Zou 2012).
 */
final readonly class FieldValues
{
    /** @param  float  $prevalence  π in (0, 1) */
    public function __construct(private Figure $sensitivity, private Figure $specificity, private float $prevalence)
    {
    }

    /** @return array{ppv_field: Figure, npv_field: Figure} */
    public function figures(): array
    {
        $odds = (1.0 - $this->prevalence) / $this->prevalence;

        return [
            'ppv_field' => self::predictive($this->specificity, $this->sensitivity, $odds,
                Undefined::NoneCalledPositive),
            'npv_field' => self::predictive($this->sensitivity, $this->specificity, 1.0 / $odds,
                Undefined::NoneCalledNegative),
        ];
    }

    /** 1/(1 + odds·(1 − wrong)/right) */
    private static function predictive(Figure $wrong, Figure $right, float $odds, Undefined $whenNone): Figure
    {
        if ($wrong->estimate === null || $right->estimate === null) {
            return $wrong->estimate === null ? $wrong : $right;
        }
        [$f, $s] = [1.0 - $wrong->estimate, $right->estimate];
        if ($f <= 0.0 && $s <= 0.0) {
            return Figure::undefined($whenNone);
        }
        $value = $s / ($s + $odds * $f);
        if ($wrong->low === null || $wrong->high === null || $right->low === null || $right->high === null) {
            return Figure::estimated($value, null, null, null, 'point');
        }
        $share = [$f, 1.0 - $wrong->high, 1.0 - $wrong->low];
        $of = [$s, $right->low, $right->high];
        // The ratio whose denominator is the larger, so that it exists.
        if ($s >= $f) {
            [$least, $most] = self::ratio($share, $of);
            $ends = [1.0 / (1.0 + $odds * $most), 1.0 / (1.0 + $odds * $least)];
        } else {
            [$least, $most] = self::ratio($of, $share);
            $ends = [$least / ($least + $odds), $most === INF ? 1.0 : $most / ($most + $odds)];
        }

        return Figure::estimated($value, null, $ends[0], $ends[1], 'donner-zou');
    }

    /**
     * @param  array{float, float, float}  $a  estimate, low and high
     * @param  array{float, float, float}  $b  the same; its estimate above 0
     * @return array{float, float} the ends of a/b
     */
    private static function ratio(array $a, array $b): array
    {
        [[$p, $pl, $pu], [$q, $ql, $qu]] = [$a, $b];
        $both = $p * $q;
        $low = max(0.0, $both - sqrt(max(0.0, $both * $both - $pl * $qu * (2 * $p - $pl) * (2 * $q - $qu))));
        $high = $both + sqrt(max(0.0, $both * $both - $pu * $ql * (2 * $p - $pu) * (2 * $q - $ql)));
        $below = $qu * (2 * $q - $qu);
        $above = $ql * (2 * $q - $ql);

        return [$below > 0.0 ? $low / $below : 0.0, $above > 0.0 ? $high / $above : INF];
    }
}
