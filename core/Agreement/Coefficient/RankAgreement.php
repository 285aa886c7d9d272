<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Number\Distribution;

/**
 * Agreement of rankings: Kendall's coefficient of concordance W with its correction for ties (Kendall & Babington
 * Smith 1939; Siegel & Castellan 1988) and Spearman's ρ (1904), with mid-ranks for ties.
 */
final class RankAgreement
{
    /** Things ranked beyond which W has no interval: each is left out in turn. */
    public const MOST = 1000;

    /**
     * Ranks from 1, ties sharing their mean.
     *
     * @param  list<float|int>  $values
     * @return list<float>
     */
    public static function ranks(array $values): array
    {
        $order = array_keys($values);
        usort($order, static fn (int $a, int $b): int => $values[$a] <=> $values[$b]);
        $ranks = array_fill(0, count($values), 0.0);
        $j = 0;
        for ($i = 0, $n = count($order); $i < $n; $i = $j) {
            $j = $i + 1;
            while ($j < $n && ($values[$order[$j]] <=> $values[$order[$i]]) === 0) {
                $j++;
            }
            for ($k = $i; $k < $j; $k++) {
                $ranks[$order[$k]] = ($i + $j + 1) * 0.5;
            }
        }

        return array_values($ranks);
    }

    /**
     * W = (12 Σ R_i² − 3 m² n (n+1)²)/(m² n (n² − 1) − m Σ T), T = Σ(t³ − t) of each judge's ties; χ² = m(n−1)W on n −
     * 1
     * degrees of freedom. Interval by jackknife over the things ranked, up to MOST of them and from ten on; none where
     * all rank alike.
     *
     * @param  list<list<float|int>>  $judges  each judge's values of the same things
     * @return array{w: Figure, chi_square: float|null, df: int|null, p: float|null, mean_rho: float|null}
     */
    public static function kendall(array $judges, Confidence $confidence = new Confidence): array
    {
        $m = count($judges);
        $n = count($judges[0] ?? []);
        $none = ['chi_square' => null, 'df' => null, 'p' => null, 'mean_rho' => null];
        if ($m < 2 || $n < 2) {
            return ['w' => Figure::undefined(Undefined::FewToRank), ...$none];
        }
        $ranks = array_map(self::ranks(...), $judges);
        $ties = array_sum(array_map(static fn (array $r): float => self::ties($r), $ranks));
        $sums = array_map(static fn (int $i): float => array_sum(array_column($ranks, $i)), range(0, $n - 1));
        $w = self::concordance($sums, $m, $ties);
        if ($w === null) {
            return ['w' => Figure::undefined(Undefined::AllTied), ...$none];
        }
        $figure = Figure::estimated($w, null, null, null, 'point');
        if ($n >= 10 && $n <= self::MOST && $w < 1 - 1e-12) {
            $figure = ClusterError::jackknifed($w, self::leaveOneOut($ranks, $sums, $ties), $confidence, 0.0);
        }
        $chi = $m * ($n - 1) * $w;

        return [
            'w' => $figure,
            'chi_square' => $chi,
            'df' => $n - 1,
            'p' => Distribution::chiSquareTail($chi, $n - 1),
            'mean_rho' => ($m * $w - 1) / ($m - 1),
        ];
    }

    /** @param  array<int, float>  $sums  of the ranks of each thing */
    private static function concordance(array $sums, int $m, float $ties): ?float
    {
        $n = count($sums);
        $of = $m * $m * $n * ($n * $n - 1) - $m * $ties;
        if ($of <= 0) {
            return null;
        }
        $squares = 0.0;
        foreach ($sums as $r) {
            $squares += $r * $r;
        }

        return (12 * $squares - 3 * $m * $m * $n * ($n + 1) ** 2) / $of;
    }

    /**
     * Σ(t³ − t) over groups of equal ranks.
     *
     * @param  list<float>  $ranks
     */
    private static function ties(array $ranks): float
    {
        return (float) array_sum(
            array_map(static fn (int $t): int => $t ** 3 - $t, array_count_values(array_map(strval(...), $ranks))),
        );
    }

    /**
     * W without each thing in turn: ranks above it fall by one, those tied with it by a half, and its ties are one
     * fewer.
     *
     * @param  list<list<float>>  $ranks  by judge and thing
     * @param  list<float>  $sums
     * @return list<float> NAN where undefined
     */
    private static function leaveOneOut(array $ranks, array $sums, float $ties): array
    {
        $out = [];
        foreach (array_keys($sums) as $i) {
            $left = $sums;
            $less = $ties;
            foreach ($ranks as $own) {
                $r = $own[$i];
                $tied = 0;
                foreach ($own as $j => $other) {
                    if ($other > $r) {
                        $left[$j] -= 1.0;
                    } elseif ($other === $r) {
                        $left[$j] -= 0.5;
                        $tied++;
                    }
                }
                $less -= 3 * $tied * ($tied - 1);
            }
            unset($left[$i]);
            $out[] = self::concordance($left, count($ranks), $less) ?? NAN;
        }

        return $out;
    }

    /**
     * ρ = the correlation of the ranks; interval by Fisher's transformation with variance (1 + ρ²/2)/(n − 3)
     * (Bonett & Wright 2000).
     *
     * @param  list<float|int>  $x
     * @param  list<float|int>  $y
     */
    public static function spearman(array $x, array $y, Confidence $confidence = new Confidence): Figure
    {
        $n = count($x);
        if ($n < 2) {
            return Figure::undefined(Undefined::FewThingsToRank);
        }
        $a = self::ranks($x);
        $b = self::ranks($y);
        $mean = (float) ($n + 1) / 2;
        $xy = $xx = $yy = 0.0;
        foreach ($a as $i => $r) {
            $xy += ($r - $mean) * ($b[$i] - $mean);
            $xx += ($r - $mean) ** 2;
            $yy += ($b[$i] - $mean) ** 2;
        }
        if ($xx <= 0.0 || $yy <= 0.0) {
            return Figure::undefined(Undefined::OneTies);
        }
        $rho = $xy / sqrt($xx * $yy);
        if ($n < 4 || abs($rho) > 1 - 1e-12) {
            return Figure::estimated($rho, null, null, null, 'point');
        }
        $se = sqrt((1 + $rho * $rho / 2) / ($n - 3));

        return Figure::estimated(
            $rho,
            $se * (1 - $rho * $rho),
            tanh(atanh($rho) - $confidence->z * $se),
            tanh(atanh($rho) + $confidence->z * $se),
            'fisher z',
        );
    }
}
