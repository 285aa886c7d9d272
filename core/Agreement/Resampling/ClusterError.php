<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;

/** Standard errors of a statistic whose clusters of cases were sampled and whose raters are as they are. */
final class ClusterError
{
    /**
     * Of a figure whose clusters hold a unit each, from its centred influences: √(Σψ²/(n(n−1))), with Student's
     * interval on the units.
     *
     * @param  iterable<int, float>  $influences  n·ψ of n units; of units that are not among them 0
     * @param  list<int>|null  $times  how often each is there; once where null
     */
    public static function linear(
        float $estimate,
        iterable $influences,
        int $n,
        Confidence $confidence,
        ?array $times = null,
    ): Figure {
        if ($n < 2) {
            return Figure::estimated($estimate, null, null, null, 'point');
        }
        $squares = 0.0;
        foreach ($influences as $i => $d) {
            $squares += ($times[$i] ?? 1) * $d * $d;
        }

        return Figure::around($estimate, sqrt($squares / ($n * ($n - 1.0))), $confidence->t($n - 1), 'analytic');
    }

    /**
     * A figure whose error comes from leaving out each case in turn (Efron & Stein 1981), with Student's interval; each
     * case is its own cluster.
     *
     * @param  list<float>  $left  the statistic without each case
     * @param  list<int>|null  $times  how often each is there; once where null
     */
    public static function jackknifed(
        float $estimate,
        array $left,
        Confidence $confidence,
        float $floor = -1.0,
        ?array $times = null,
    ): Figure {
        $n = $times === null ? count($left) : array_sum($times);
        $sum = $squares = 0.0;
        foreach ($left as $i => $v) {
            $sum += ($times[$i] ?? 1) * $v;
        }
        $mean = $n === 0 ? NAN : $sum / $n;
        foreach ($left as $i => $v) {
            $squares += ($times[$i] ?? 1) * ($v - $mean) * ($v - $mean);
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

    /**
     * A figure over clusters of several units: se² = ((G−1)/G) Σ_g (θ_(−g) − θ)², its interval θ ± t(G_e − 1) se. Where
     * it is undefined without some cluster, the linear se² = G/(G−1) Σ_g (Σ_{u∈g} ψ_u)²/N².
     *
     * @param  iterable<float>  $left  the statistic without each cluster that has a part in it; NAN where undefined
     * @param  \Closure(): (iterable<float>|null)  $linear  Σ_{u∈g} ψ_u/N of each cluster
     */
    public static function clustered(
        float $estimate,
        iterable $left,
        Clusters $clusters,
        Confidence $confidence,
        \Closure $linear,
        float $floor = -1.0,
        float $ceiling = 1.0,
    ): Figure {
        return self::spread(
            $estimate,
            self::squares($left, $estimate),
            $clusters,
            $confidence,
            $linear,
            $floor,
            $ceiling,
        );
    }

    /**
     * The same, where Σ_g (θ_(−g) − θ)² is at hand.
     *
     * @param  float  $squares  NAN where the figure is undefined without some cluster
     * @param  \Closure(): (iterable<float>|null)  $linear  Σ_{u∈g} ψ_u/N of each cluster
     */
    public static function spread(
        float $estimate,
        float $squares,
        Clusters $clusters,
        Confidence $confidence,
        \Closure $linear,
        float $floor = -1.0,
        float $ceiling = 1.0,
    ): Figure {
        $g = $clusters->count;
        if ($g < 2) {
            return Figure::estimated($estimate, null, null, null, 'point')->over($clusters);
        }
        $variance = $squares * (($g - 1.0) / $g);
        $method = 'cluster jackknife';
        if (is_nan($variance)) {
            $influences = $linear();
            $variance = $influences === null ? NAN : self::squares($influences, 0.0) * ($g / ($g - 1.0));
            $method = 'cluster linear';
        }

        return (is_nan($variance)
            ? Figure::estimated($estimate, null, null, null, 'point')
            : Figure::around(
                $estimate,
                sqrt($variance),
                $confidence->t($clusters->effective - 1.0),
                $method,
                $floor,
                $ceiling,
            ))->over($clusters);
    }

    /**
     * Σ(v − from)²
     *
     * @param  iterable<float>  $values
     */
    public static function squares(iterable $values, float $from): float
    {
        $squares = 0.0;
        foreach ($values as $v) {
            $squares += ($v - $from) * ($v - $from);
        }

        return $squares;
    }

    /**
     * The lower end at perfect agreement: Wilson's bound for n of n, put through the coefficient's own scale.
     *
     * @param  int  $n  units with two ratings, or the clusters that hold them
     */
    public static function perfectLow(int $n, float $pe, Confidence $confidence): float
    {
        $z = $confidence->z;
        $l = $n / ($n + $z * $z);

        return max(-1.0, ($l - $pe) / (1 - $pe));
    }
}
