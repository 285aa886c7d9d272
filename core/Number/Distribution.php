<?php

declare(strict_types=1);

namespace Core\Number;

/**
 * Normal, Student, χ², F and beta distributions and their quantiles, to 1e-10 or better.
 *
 * Quantiles are those p ↦ x with P(X ≤ x) = p, found by bracketing and then narrowing with the secant and the
 * middle by turns. Probabilities of 0 and 1 give the ends of the range.
 */
final class Distribution
{
    /** Φ(z). */
    public static function normal(float $z): float
    {
        if (is_infinite($z)) {
            return $z > 0 ? 1.0 : 0.0;
        }
        [$inner, $outer] = SpecialFunction::gamma(0.5, $z * $z / 2);

        return $z > 0 ? 0.5 + 0.5 * $inner : 0.5 * $outer;
    }

    public static function normalDensity(float $z): float
    {
        return exp(-0.5 * $z * $z) / sqrt(2 * M_PI);
    }

    /** Φ⁻¹(p): Hastings' rational start (Abramowitz & Stegun 26.2.23), then Halley steps. ±INF at 0 and 1. */
    public static function normalQuantile(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return $p <= 0.0 ? -INF : INF;
        }
        if ($p > 0.5) {
            return -self::normalQuantile(1.0 - $p);
        }
        $t = sqrt(-2.0 * log($p));
        $z = -(
            $t -
            (2.515517 + 0.802853 * $t + 0.010328 * $t * $t) /
                (1 + 1.432788 * $t + 0.189269 * $t * $t + 0.001308 * $t ** 3)
        );
        for ($i = 0; $i < 4; $i++) {
            $step = (self::normal($z) - $p) / self::normalDensity($z);
            $z -= $step / (1.0 + 0.5 * $z * $step);
        }

        return $z;
    }

    /** P(T ≤ t) for Student's t with $df > 0 degrees of freedom. */
    public static function student(float $t, float $df): float
    {
        $tail = 0.5 * SpecialFunction::beta($df / ($df + $t * $t), $t * $t / ($df + $t * $t), $df / 2, 0.5)[0];

        return $t > 0 ? 1.0 - $tail : $tail;
    }

    /** Quantile of Student's t; infinite at p of 0 and 1. */
    public static function studentQuantile(float $p, float $df): float
    {
        if ($p > 0.5) {
            return -self::studentQuantile(1.0 - $p, $df);
        }
        if ($p <= 0.0 || $p === 0.5) {
            return $p <= 0.0 ? -INF : 0.0;
        }

        return -self::solve(static fn (float $t): float => self::student(-$t, $df) - $p, abs(self::normalQuantile($p)));
    }

    /** P(X ≤ x) of χ² with $df > 0 degrees of freedom. */
    public static function chiSquare(float $x, float $df): float
    {
        return SpecialFunction::gamma($df / 2, max(0.0, $x) / 2)[0];
    }

    /** P(X > x) of χ²; keeps its digits where it is small. */
    public static function chiSquareTail(float $x, float $df): float
    {
        return SpecialFunction::gamma($df / 2, max(0.0, $x) / 2)[1];
    }

    public static function chiSquareQuantile(float $p, float $df): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return $p <= 0.0 ? 0.0 : INF;
        }

        return self::solve($p < 0.5
            ? static fn (float $x): float => $p - self::chiSquare($x, $df)
            : static fn (float $x): float => self::chiSquareTail($x, $df) - (1.0 - $p), $df);
    }

    /** P(X ≤ x) of Fisher's F with $a and $b > 0 degrees of freedom. */
    public static function f(float $x, float $a, float $b): float
    {
        $x = max(0.0, $x);

        return SpecialFunction::beta($a * $x / ($a * $x + $b), $b / ($a * $x + $b), $a / 2, $b / 2)[0];
    }

    /** P(X > x) of Fisher's F. */
    public static function fTail(float $x, float $a, float $b): float
    {
        $x = max(0.0, $x);

        return SpecialFunction::beta($a * $x / ($a * $x + $b), $b / ($a * $x + $b), $a / 2, $b / 2)[1];
    }

    public static function fQuantile(float $p, float $a, float $b): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return $p <= 0.0 ? 0.0 : INF;
        }

        return self::solve($p < 0.5
            ? static fn (float $x): float => $p - self::f($x, $a, $b)
            : static fn (float $x): float => self::fTail($x, $a, $b) - (1.0 - $p), 1.0);
    }

    /** P(X ≤ x) of the beta distribution. */
    public static function beta(float $x, float $a, float $b): float
    {
        return SpecialFunction::beta($x, 1.0 - $x, $a, $b)[0];
    }

    public static function betaQuantile(float $p, float $a, float $b): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return $p <= 0.0 ? 0.0 : 1.0;
        }
        // By way of the odds x/(1 − x), whose range is open on one side only.
        $odds = self::solve(static fn (float $o): float => $p < 0.5
            ? $p - SpecialFunction::beta($o / (1 + $o), 1 / (1 + $o), $a, $b)[0]
            : SpecialFunction::beta($o / (1 + $o), 1 / (1 + $o), $a, $b)[1] - (1.0 - $p), $a / $b);

        return $odds / (1 + $odds);
    }

    /**
     * The positive root of a falling function.
     *
     * @param  \Closure(float): float  $f
     * @param  float  $start  > 0
     */
    private static function solve(\Closure $f, float $start): float
    {
        $low = $high = max(1e-300, $start);
        for ($i = 0; $i < 1100 && $f($high) > 0.0; $i++) {
            $low = $high;
            $high *= $i < 10 ? 2.0 : 16.0;
        }
        for ($i = 0; $i < 1100 && $low > 1e-300 && $f($low) < 0.0; $i++) {
            $high = $low;
            $low /= $i < 10 ? 2.0 : 16.0;
        }
        [$fl, $fh] = [$f($low), $f($high)];
        for ($i = 0; $i < 300 && $high - $low > 1e-15 * $high; $i++) {
            $x =
                $i % 3 !== 2 && $fl !== $fh
                    ? $low + (($high - $low) * $fl) / ($fl - $fh)
                    : ($high > 4 * $low
                        ? sqrt($low * $high)
                        : ($low + $high) / 2);
            if ($x <= $low || $x >= $high) {
                $x = ($low + $high) / 2;
                if ($x <= $low || $x >= $high) {
                    break;
                }
            }
            $v = $f($x);
            if ($v === 0.0) {
                return $x;
            }
            if ($v > 0.0) {
                [$low, $fl] = [$x, $v];
                $fh /= 2;
            } else {
                [$high, $fh] = [$x, $v];
                $fl /= 2;
            }
        }

        return ($low + $high) / 2;
    }
}
