<?php

declare(strict_types=1);

namespace Core\Agreement;

/** Wilson's score interval of a proportion (1927). */
final class Wilson
{
    /** @return array{float, float} low and high; [0, 1] when nothing was counted */
    public static function interval(int $k, int $n, Confidence $confidence = new Confidence): array
    {
        if ($n === 0) {
            return [0.0, 1.0];
        }
        [$low, $high] = self::score((float) $k / $n, $n, $confidence->z);

        return [$k === 0 ? 0.0 : $low, $k === $n ? 1.0 : $high];
    }

    /**
     * Of cases in clusters: with so many independent ones as the clusters leave, n = P/D, and Student's quantile on the
     * clusters that hold any. D = max(1, V P/(p(1−p))) with V = G/(G−1) Σ_g (k_g − p P_g)²/P² over all G clusters, or
     * P/G_P where p is 0 or 1.
     *
     * @param  list<array{int, int}>  $byCluster  how many of how many, by cluster
     */
    public static function clustered(array $byCluster, Confidence $confidence, Undefined $whenNone): Figure
    {
        $k = array_sum(array_column($byCluster, 0));
        $n = array_sum($sizes = array_column($byCluster, 1));
        if ($n === 0) {
            return Figure::undefined($whenNone);
        }
        $clusters = Clusters::ofSizes($sizes);
        $p = (float) $k / $n;
        if ($clusters->count < 2) {
            return Figure::estimated($p, null, null, null, 'point')->over($clusters);
        }
        $deff = (float) $n / $clusters->count;
        if ($k > 0 && $k < $n) {
            $squares = 0.0;
            foreach ($byCluster as [$own, $of]) {
                $squares += ($own - $p * $of) ** 2;
            }
            $g = count($byCluster);
            $deff = max(1.0, $squares * $g / ($g - 1.0) / ($n * $p * (1 - $p)));
        }
        $z = $confidence->t($clusters->count - 1);
        [$low, $high] = self::score($p, $n / $deff, $z);

        return Figure::estimated(
            $p,
            sqrt($deff * $p * (1 - $p) / $n),
            $k === 0 ? 0.0 : $low,
            $k === $n ? 1.0 : $high,
            'clustered wilson',
        )->over($clusters);
    }

    /** @return array{float, float} */
    private static function score(float $p, float $n, float $z): array
    {
        $middle = $p + $z * $z / (2 * $n);
        $half = $z * sqrt($p * (1 - $p) / $n + $z * $z / (4 * $n * $n));
        $scale = 1 + $z * $z / $n;

        return [($middle - $half) / $scale, ($middle + $half) / $scale];
    }

    public static function figure(int $k, int $n, Confidence $confidence, Undefined $whenNone): Figure
    {
        if ($n === 0) {
            return Figure::undefined($whenNone);
        }
        [$low, $high] = self::interval($k, $n, $confidence);
        $p = (float) $k / $n;

        return Figure::estimated($p, sqrt($p * (1 - $p) / $n), $low, $high, 'wilson');
    }
}
