<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Undefined;
use Core\Number\Distribution;

/**
 * Sensitivity d′ and criterion c of an observer with the log-linear correction (Hautus 1995); variance by the delta
 * method (Gourevitch & Galanter 1967). A positive c is a reluctance to call, a negative one over-calling.
 */
final readonly class SignalDetection
{
    public Figure $dPrime;

    public Figure $criterion;

    /** c alone; null where there are no positives or no negatives. */
    public static function criterionOf(int $tp, int $fn, int $fp, int $tn): ?float
    {
        return $tp + $fn === 0 || $fp + $tn === 0
            ? null
            : -(Distribution::normalQuantile(($tp + 0.5) / ($tp + $fn + 1)) +
                Distribution::normalQuantile(($fp + 0.5) / ($fp + $tn + 1))) / 2;
    }

    /** @param  int  $tp  hits, then misses, false alarms and correct rejections */
    public function __construct(int $tp, int $fn, int $fp, int $tn, Confidence $confidence = new Confidence)
    {
        $p = $tp + $fn;
        $q = $fp + $tn;
        if ($p === 0 || $q === 0) {
            $this->dPrime = $this->criterion = Figure::undefined(Undefined::OneSidedKey);

            return;
        }
        $h = ($tp + 0.5) / ($p + 1);
        $f = ($fp + 0.5) / ($q + 1);
        $zh = Distribution::normalQuantile($h);
        $zf = Distribution::normalQuantile($f);
        $se = sqrt(
            ($h * (1 - $h)) / ($p * Distribution::normalDensity($zh) ** 2) +
                ($f * (1 - $f)) / ($q * Distribution::normalDensity($zf) ** 2),
        );
        $this->dPrime = Figure::around($zh - $zf, $se, $confidence->z, 'analytic', -INF, INF);
        $this->criterion = Figure::around(-($zh + $zf) / 2, $se / 2, $confidence->z, 'analytic', -INF, INF);
    }
}
