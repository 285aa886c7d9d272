<?php

declare(strict_types=1);

namespace Core\Agreement;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Resamples cases, all ratings of a case together (Efron & Tibshirani 1993). Replicate b draws from
 * Xoshiro256** seeded with sha256("seed|b"), so that the figures do not depend on machine or order of work.
 */
final class CaseBootstrap
{
    /** @var list<array<int, int>>|null how often each case was drawn, per replicate */
    private ?array $draws = null;

    public function __construct(private readonly int $cases, private readonly int $replicates, private readonly int|string $seed)
    {
    }

    /**
     * BCa intervals of statistics that follow from sums over cases; percentile where BCa is undefined, null
     * where over 5 % of the replicates are undefined or the estimate is.
     *
     * @param  array<int, list<int|float>>  $byCase  the sums of each case that has any
     * @param  \Closure(list<float>): list<float>  $statistics  NAN where undefined
     * @param  list<float|null>  $estimates
     * @return list<array{float, float, string}|null> low, high, method
     */
    public function intervals(array $byCase, \Closure $statistics, array $estimates, float $confidence): array
    {
        $size = $byCase === [] ? 0 : count($byCase[array_key_first($byCase)]);
        $replicates = array_fill(0, count($estimates), []);
        foreach ($this->draws() as $drawn) {
            $sums = array_fill(0, $size, 0.0);
            foreach ($byCase as $case => $row) {
                $times = $drawn[$case] ?? 0;
                if ($times !== 0) {
                    foreach ($row as $i => $v) {
                        $sums[$i] += $times * $v;
                    }
                }
            }
            foreach ($statistics(array_values($sums)) as $k => $value) {
                if (! is_nan($value)) {
                    $replicates[$k][] = $value;
                }
            }
        }
        $total = array_fill(0, $size, 0.0);
        foreach ($byCase as $row) {
            foreach ($row as $i => $v) {
                $total[$i] += $v;
            }
        }
        $left = array_fill(0, count($estimates), []);
        foreach ($byCase as $row) {
            foreach ($statistics(array_map(static fn (float $t, float|int $v): float => $t - $v, $total, $row)) as $k => $value) {
                $left[$k][] = $value;
            }
        }
        $out = [];
        foreach ($estimates as $k => $estimate) {
            $out[] = $estimate === null || count($replicates[$k]) < 0.95 * $this->replicates
                ? null
                : self::bca($estimate, $replicates[$k], $left[$k], $confidence);
        }

        return $out;
    }

    /**
     * @param  non-empty-list<float>|list<float>  $replicates
     * @param  list<float>  $jackknife
     * @return array{float, float, string}|null
     */
    private static function bca(float $estimate, array $replicates, array $jackknife, float $confidence): ?array
    {
        if ($replicates === []) {
            return null;
        }
        sort($replicates);
        $below = $equal = 0;
        foreach ($replicates as $v) {
            if (abs($v - $estimate) < 1e-12) {
                $equal++;
            } elseif ($v < $estimate) {
                $below++;
            }
        }
        $z0 = Distribution::normalQuantile(($below + 0.5 * $equal) / count($replicates));
        $known = array_filter($jackknife, static fn (float $v): bool => ! is_nan($v));
        $mean = $known === [] ? 0.0 : array_sum($known) / count($known);
        $cubes = $squares = 0.0;
        foreach ($known as $v) {
            $cubes += ($mean - $v) ** 3;
            $squares += ($mean - $v) ** 2;
        }
        $tails = [(1 - $confidence) / 2, (1 + $confidence) / 2];
        if (is_infinite($z0) || $squares <= 0.0 || count($known) < count($jackknife)) {
            return [self::quantile($replicates, $tails[0]), self::quantile($replicates, $tails[1]), 'percentile'];
        }
        $a = $cubes / (6 * $squares ** 1.5);
        $ends = [];
        foreach ($tails as $p) {
            $z = $z0 + Distribution::normalQuantile($p);
            $ends[] = self::quantile($replicates, Distribution::normal($z0 + $z / (1 - $a * $z)));
        }

        return [$ends[0], $ends[1], 'bca'];
    }

    /** @param  list<float>  $sorted linear between order statistics at (B+1)p, clamped to the ends */
    private static function quantile(array $sorted, float $p): float
    {
        $b = count($sorted);
        $h = max(1.0, min((float) $b, ($b + 1) * $p));
        $i = (int) floor($h);

        return $sorted[$i - 1] + ($i < $b ? ($h - $i) * ($sorted[$i] - $sorted[$i - 1]) : 0.0);
    }

    /** @return list<array<int, int>> */
    private function draws(): array
    {
        if ($this->draws === null) {
            $this->draws = [];
            for ($b = 1; $b <= $this->replicates; $b++) {
                $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $this->seed.'|'.$b, true)));
                $drawn = [];
                for ($i = 0; $i < $this->cases; $i++) {
                    $case = $random->getInt(0, $this->cases - 1);
                    $drawn[$case] = ($drawn[$case] ?? 0) + 1;
                }
                $this->draws[] = $drawn;
            }
        }

        return $this->draws;
    }
}
