<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Chance\Chance;
use Core\Number\SpecialFunction;

/**
 * Raters in the order of their right calls, as far as the calls can tell them apart.
 *
 * v_j = (m/(m−1)) G/(G−1) Σ_g (e_jg − ē_j)²/n_j² with e_jg the right calls of j in cluster g less what the raters
 * together had right there; D = max(1, Σv_j/Σ(p_j(1−p_j)/n_j)). A beta-binomial model on (y/D, n/D) by maximum
 * likelihood (Efron & Morris 1975; Griffiths 1973) draws each toward the others; ranks come from draws of all
 * posteriors together (Goldstein & Spiegelhalter 1996).
 */
final readonly class PeopleInOrder
{
    public const DRAWS = 1000;

    /** The strength s of the common prior is looked for between these; at the upper end all are alike. */
    private const STRENGTHS = [0.05, 1e6];

    private const LOOKS = 24;

    /**
     * @param  list<RankedPerson>  $people  the best first; who cannot be told apart by name
     * @param  float  $designEffect  D
     */
    public function __construct(public array $people, public float $designEffect)
    {
    }

    /**
     * @param  array<string, array<int, array{int, int}>>  $right  right calls and calls by rater and cluster
     * @return self|null null with fewer than two raters or clusters
     */
    public static function of(array $right, int|string $seed = 1): ?self
    {
        $m = count($right);
        if ($m < 2) {
            return null;
        }
        ksort($right, SORT_STRING);
        $totals = array_map(
            static fn (array $of): array => [array_sum(array_column($of, 0)), array_sum(array_column($of, 1))],
            $right,
        );
        $d = self::designEffect($right, $totals);
        if ($d === null) {
            return null;
        }
        $all = array_sum(array_column($totals, 0));
        if ($all === 0 || $all === array_sum(array_column($totals, 1))) {
            // Nobody is ever right, or ever wrong: there is nothing to tell them apart by.
            return new self(array_map(
                static fn (int|string $rater, array $t): RankedPerson => new RankedPerson(
                    (string) $rater, $t[1], $all > 0 ? 1.0 : 0.0, $all > 0 ? 1.0 : 0.0, 1, $m,
                ),
                array_keys($totals),
                array_values($totals),
            ), $d);
        }
        $scaled = array_map(static fn (array $t): array => [$t[0] / $d, $t[1] / $d], $totals);
        [$a, $b] = self::prior(array_values($scaled));
        $ranks = self::ranks($scaled, $a, $b, $seed);
        $people = [];
        foreach ($totals as $rater => [$y, $n]) {
            [$best, $worst] = $ranks[$rater];
            $people[] = new RankedPerson(
                (string) $rater,
                $n,
                (float) $y / $n,
                ($a + $y / $d) / ($a + $b + $n / $d),
                $best,
                $worst,
            );
        }
        usort($people, static fn (RankedPerson $x, RankedPerson $y): int => [$y->shrunken, $x->rater] <=>
            [$x->shrunken, $y->rater]);

        return new self($people, $d);
    }

    /**
     * @param  array<string, array<int, array{int, int}>>  $right
     * @param  array<string, array{int, int}>  $totals
     * @return float|null null with fewer than two clusters
     */
    private static function designEffect(array $right, array $totals): ?float
    {
        $there = [];
        foreach ($right as $of) {
            foreach ($of as $g => [$y, $n]) {
                $there[$g] ??= [0, 0];
                $there[$g][0] += $y;
                $there[$g][1] += $n;
            }
        }
        $clusters = count($there);
        if ($clusters < 2) {
            return null;
        }
        $m = count($right);
        $over = $under = 0.0;
        foreach ($right as $rater => $of) {
            [$y, $n] = $totals[$rater];
            $e = [];
            foreach ($there as $g => [$all, $calls]) {
                $e[] = ($of[$g][0] ?? 0) - ($of[$g][1] ?? 0) * (float) $all / max(1, $calls);
            }
            $mean = array_sum($e) / $clusters;
            $squares = 0.0;
            foreach ($e as $v) {
                $squares += ($v - $mean) * ($v - $mean);
            }
            $over += ($m / ($m - 1.0)) * ($clusters / ($clusters - 1.0)) * $squares / ((float) $n * $n);
            $under += ((float) $y / $n) * (1.0 - (float) $y / $n) / $n;
        }

        return $under > 0.0 ? max(1.0, $over / $under) : 1.0;
    }

    /**
     * The beta distribution that makes the calls likeliest: where both derivatives of the likelihood are 0, or, where
     * it rises all the way to the greatest strength, that.
     *
     * @param  list<array{float, float}>  $scaled  right calls and calls
     * @return array{float, float} a and b
     */
    private static function prior(array $scaled): array
    {
        [$low, $high] = array_map(log(...), self::STRENGTHS);
        $slope = static fn (float $s): float => self::slopes($scaled, self::mean($scaled, exp($s)), exp($s))[1];
        $value = static fn (float $s): float => self::likelihood($scaled, self::mean($scaled, exp($s)), exp($s));
        $best = $high;
        $step = ($high - $low) / self::LOOKS;
        for ($i = 0; $i < self::LOOKS; $i++) {
            $s = $low + $i * $step;
            $best = $value($s) > $value($best) ? $s : $best;
        }
        // As high as at the end is a shelf, not a hill.
        $s = $best === $high || $value($best) < $value($high) + 1e-9
            ? $high
            : self::root($slope, max($low, $best - $step), min($high, $best + $step));
        $mean = self::mean($scaled, exp($s));

        return [$mean * exp($s), (1.0 - $mean) * exp($s)];
    }

    /**
     * The mean of the beta distribution of this strength that makes the calls likeliest.
     *
     * @param  list<array{float, float}>  $scaled
     */
    private static function mean(array $scaled, float $strength): float
    {
        return self::root(
            static fn (float $mean): float => self::slopes($scaled, $mean, $strength)[0],
            1e-9,
            1.0 - 1e-9,
        );
    }

    /**
     * Derivatives of the likelihood by the mean (over the strength) and by the strength.
     *
     * @param  list<array{float, float}>  $scaled
     * @return array{float, float}
     */
    private static function slopes(array $scaled, float $mean, float $strength): array
    {
        [$a, $b] = [$mean * $strength, (1.0 - $mean) * $strength];
        $m = count($scaled);
        $byA = -$m * SpecialFunction::digamma($a);
        $byB = -$m * SpecialFunction::digamma($b);
        $both = $m * SpecialFunction::digamma($strength);
        foreach ($scaled as [$y, $n]) {
            $byA += SpecialFunction::digamma($a + $y);
            $byB += SpecialFunction::digamma($b + $n - $y);
            $both -= SpecialFunction::digamma($strength + $n);
        }

        return [$byA - $byB, $mean * $byA + (1.0 - $mean) * $byB + $both];
    }

    /** @param  list<array{float, float}>  $scaled */
    private static function likelihood(array $scaled, float $mean, float $strength): float
    {
        [$a, $b] = [$mean * $strength, (1.0 - $mean) * $strength];
        $sum = 0.0;
        foreach ($scaled as [$y, $n]) {
            $sum += SpecialFunction::logGamma($a + $y) + SpecialFunction::logGamma($b + $n - $y)
                - SpecialFunction::logGamma($strength + $n);
        }

        return $sum + count($scaled) * (SpecialFunction::logGamma($strength)
            - SpecialFunction::logGamma($a) - SpecialFunction::logGamma($b));
    }

    /**
     * Where a falling function is 0, by the secant held within halves; the end it does not reach 0 before.
     *
     * @param  \Closure(float): float  $of
     */
    private static function root(\Closure $of, float $low, float $high): float
    {
        [$x, $y] = [$of($low), $of($high)];
        if ($x <= 0.0 || $y >= 0.0) {
            return $x <= 0.0 ? $low : $high;
        }
        for ($i = 0; $i < 200 && $high - $low > 1e-15 * max(1.0, abs($low)); $i++) {
            // Every third time the middle: the secant alone may creep from one side.
            $at = $i % 3 === 2 ? ($low + $high) / 2.0 : $low + ($high - $low) * $x / ($x - $y);
            $at = $at > $low && $at < $high ? $at : ($low + $high) / 2.0;
            $v = $of($at);
            if ($v === 0.0) {
                return $at;
            }
            if ($v > 0.0) {
                [$low, $x] = [$at, $v];
            } else {
                [$high, $y] = [$at, $v];
            }
            if ($at === $low && $at === $high) {
                break;
            }
        }

        return ($low + $high) / 2.0;
    }

    /**
     * @param  array<string, array{float, float}>  $scaled
     * @return array<string, array{int, int}> best and worst rank of 95 % of the draws, by rater
     */
    private static function ranks(array $scaled, float $a, float $b, int|string $seed): array
    {
        $ranks = array_fill_keys(array_keys($scaled), []);
        $chance = new Chance("$seed|order");
        for ($draw = 0; $draw < self::DRAWS; $draw++) {
            $values = [];
            foreach ($scaled as $rater => [$y, $n]) {
                $values[$rater] = $chance->beta($a + $y, $b + $n - $y);
            }
            arsort($values, SORT_NUMERIC);
            $rank = 0;
            foreach ($values as $rater => $_) {
                $ranks[$rater][] = ++$rank;
            }
        }
        $tail = (int) (0.025 * self::DRAWS);

        return array_map(static function (array $of) use ($tail): array {
            sort($of);

            return [$of[$tail - 1], $of[self::DRAWS - $tail - 1]];
        }, $ranks);
    }
}
