<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;

/** Standard errors of a statistic whose cases were sampled and whose raters are as they are. */
final class CaseError
{
    /**
     * A figure whose error comes from centred influence values, summed within cases, with Student's interval on the
     * cases; with one unit a case the error is √(Σd²/(n(n−1))).
     *
     * @param  array<int, float>  $influence  by unit
     * @param  list<int>  $caseOf  by unit
     */
    public static function clustered(
        float $estimate,
        array $influence,
        array $caseOf,
        int $n,
        Confidence $confidence,
    ): Figure {
        $byCase = [];
        foreach ($influence as $u => $d) {
            $case = $caseOf[$u];
            $byCase[$case] = ($byCase[$case] ?? 0.0) + $d;
        }
        $c = count($byCase);
        if ($c < 2) {
            return Figure::estimated($estimate, null, null, null, 'point');
        }
        $squares = 0.0;
        foreach ($byCase as $d) {
            $squares += $d * $d;
        }

        return Figure::around(
            $estimate,
            sqrt(((float) $c / ($c - 1)) * $squares) / $n,
            $confidence->t($c - 1),
            'analytic',
        );
    }

    /**
     * A figure whose error comes from leaving out each case in turn (Efron & Stein 1981), with Student's interval.
     *
     * @param  list<float>  $left  the statistic without each case
     */
    public static function jackknifed(float $estimate, array $left, Confidence $confidence, float $floor = -1.0): Figure
    {
        $n = count($left);
        $mean = $n === 0 ? NAN : array_sum($left) / $n;
        $squares = 0.0;
        foreach ($left as $v) {
            $squares += ($v - $mean) * ($v - $mean);
        }
        if ($n < 2 || is_nan($squares)) {
            return Figure::estimated($estimate, null, null, null, 'point');
        }

        return Figure::around(
            $estimate,
            sqrt(((float) ($n - 1) / $n) * $squares),
            $confidence->t($n - 1),
            'jackknife',
            $floor,
        );
    }

    /** The lower end at perfect agreement: Wilson's bound for n2 of n2, put through the coefficient's own scale. */
    public static function perfectLow(int $n2, float $pe, Confidence $confidence): float
    {
        $z = $confidence->z;
        $l = $n2 / ($n2 + $z * $z);

        return max(-1.0, ($l - $pe) / (1 - $pe));
    }
}
