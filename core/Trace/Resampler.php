<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/** A series at another rate. */
final class Resampler
{
    /**
     * At another rate without aliasing: a Blackman-windowed sinc whose cut-off is 0.45 of the lower of the two
     * rates, eight lobes each side, its weights scaled to sum to one (Smith 2002, "Digital audio resampling").
     * Missing samples count for nothing; a value resting on less than half its weights is missing.
     *
     * @throws CoreException
     */
    public static function at(Series $series, float $rateHz): Series
    {
        if (abs($rateHz - $series->rateHz) < 1e-9) {
            return $series;
        }
        $cut = 0.9 * min(1.0, $rateHz / $series->rateHz);
        $reach = 8.0 / $cut;
        $last = count($series->values) - 1;
        $n = (int) floor($last * $rateHz / $series->rateHz + 1e-9) + 1;
        $out = [];
        for ($i = 0; $i < $n; $i++) {
            $centre = $i * $series->rateHz / $rateHz;
            $sum = $weights = $full = 0.0;
            $to = min($last, (int) floor($centre + $reach));
            for ($k = max(0, (int) ceil($centre - $reach)); $k <= $to; $k++) {
                $d = $k - $centre;
                $x = M_PI * $cut * $d;
                $u = M_PI * $d / $reach;
                $w = (abs($x) < 1e-12 ? 1.0 : sin($x) / $x) * (0.42 + 0.5 * cos($u) + 0.08 * cos(2 * $u));
                $full += $w;
                if (! is_nan($series->values[$k])) {
                    $weights += $w;
                    $sum += $w * $series->values[$k];
                }
            }
            $out[] = $full > 0.0 && $weights > 0.5 * $full ? $sum / $weights : NAN;
        }

        return new Series($rateHz, $out, $series->t0);
    }
}
