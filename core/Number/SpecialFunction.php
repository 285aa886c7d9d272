<?php

declare(strict_types=1);

namespace Core\Number;

/**
 * Gamma and beta functions and their regularised incomplete forms, to about 1e-13 relative.
 *
 * Stirling's series with the argument shifted above 15 (Abramowitz & Stegun 1964, 6.1.41); the leading power of
 * both incomplete forms by deviance, which keeps its digits where the arguments are large (Loader 2000); series
 * and Lentz's continued fractions for the rest (Abramowitz & Stegun 6.5.29, 6.5.31, 26.5.8).
 */
final class SpecialFunction
{
    private const MOST_STEPS = 100_000;

    /** ln Γ(x) for x > 0. */
    public static function logGamma(float $x): float
    {
        $shift = 0.0;
        if ($x < 15.0) {
            $product = 1.0;
            while ($x < 15.0) {
                $product *= $x;
                $x += 1.0;
            }
            $shift = log($product);
        }

        return ($x - 0.5) * log($x) - $x + 0.5 * log(2 * M_PI) + self::stirling($x) - $shift;
    }

    /**
     * ψ(x) = d ln Γ(x)/dx for x > 0: by recurrence to x ≥ 8, then its asymptotic series (Abramowitz & Stegun 6.3.18).
     */
    public static function digamma(float $x): float
    {
        $sum = 0.0;
        while ($x < 8.0) {
            $sum -= 1.0 / $x;
            $x += 1.0;
        }
        $y = 1.0 / ($x * $x);

        return $sum + log($x) - 0.5 / $x - $y * (1.0 / 12.0 - $y * (1.0 / 120.0 - $y * (1.0 / 252.0
            - $y * (1.0 / 240.0 - $y * (1.0 / 132.0 - $y * 691.0 / 32760.0)))));
    }

    /** Γ's Stirling remainder: ln Γ(x) − (x − ½) ln x + x − ½ ln 2π. */
    private static function stirling(float $x): float
    {
        if ($x < 15.0) {
            return self::logGamma($x) - ($x - 0.5) * log($x) + $x - 0.5 * log(2 * M_PI);
        }
        $y = 1.0 / ($x * $x);

        return (1.0 / 12 -
            $y *
                (1.0 / 360 - $y * (1.0 / 1260 - $y * (1.0 / 1680 - $y * (1.0 / 1188 - ($y * 691) / 360360))))) /
            $x;
    }

    /** ln r − (r − 1) of the ratio r = v/of, without cancellation where it is near 1. */
    private static function logDeviance(float $v, float $of): float
    {
        $u = ($v - $of) / $of;
        if (abs($u) > 0.1) {
            return log($v / $of) - $u;
        }
        $sum = 0.0;
        $power = $u;
        for ($k = 2; $k < 40; $k++) {
            $power *= -$u;
            $sum += $power / $k;
            if (abs($power) < 1e-20) {
                break;
            }
        }

        return $sum;
    }

    /**
     * The regularised incomplete gamma function P(a, x) and its complement Q(a, x).
     *
     * @param  float  $a  > 0
     * @param  float  $x  ≥ 0
     * @return array{float, float}
     */
    public static function gamma(float $a, float $x): array
    {
        if ($x <= 0.0) {
            return [0.0, 1.0];
        }
        // x^a e^−x / Γ(a)
        $front = sqrt($a / (2 * M_PI)) * exp($a * self::logDeviance($x, $a) - self::stirling($a));
        if ($x < $a + 1.0) {
            $term = $sum = 1.0 / $a;
            for ($n = 1; $n < self::MOST_STEPS && $term > 1e-17 * $sum; $n++) {
                $term *= $x / ($a + $n);
                $sum += $term;
            }
            $p = min(1.0, $front * $sum);

            return [$p, 1.0 - $p];
        }
        $b = $x + 1.0 - $a;
        $c = 1e300;
        $d = 1.0 / $b;
        $h = $d;
        for ($i = 1; $i < self::MOST_STEPS; $i++) {
            $an = -$i * ($i - $a);
            $b += 2.0;
            $d = 1.0 / self::apart($an * $d + $b);
            $c = self::apart($b + $an / $c);
            $h *= $d * $c;
            if (abs($d * $c - 1.0) < 1e-16) {
                break;
            }
        }
        $q = min(1.0, $front * $h);

        return [1.0 - $q, $q];
    }

    /**
     * The regularised incomplete beta function I_x(a, b) and its complement; y = 1 − x is given apart, so that
     * neither end loses digits.
     *
     * @param  float  $a  > 0
     * @param  float  $b  > 0
     * @return array{float, float}
     */
    public static function beta(float $x, float $y, float $a, float $b): array
    {
        if ($x <= 0.0 || $y <= 0.0) {
            return $x <= 0.0 ? [0.0, 1.0] : [1.0, 0.0];
        }
        $n = $a + $b;
        // x^a y^b / B(a, b)
        $front = sqrt($a * $b / (2 * M_PI * $n)) * exp(
            $a * self::logDeviance($x * $n, $a) + $b * self::logDeviance($y * $n, $b)
            + self::stirling($n) - self::stirling($a) - self::stirling($b)
        );
        if ($x < ($a + 1) / ($n + 2)) {
            $p = min(1.0, $front * self::fraction($x, $a, $b) / $a);

            return [$p, 1.0 - $p];
        }
        $q = min(1.0, $front * self::fraction($y, $b, $a) / $b);

        return [1.0 - $q, $q];
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $c = 1.0;
        $d = 1.0 / self::apart(1.0 - ($a + $b) * $x / ($a + 1));
        $h = $d;
        for ($m = 1; $m < self::MOST_STEPS; $m++) {
            $v = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $d = 1.0 / self::apart(1.0 + $v * $d);
            $c = self::apart(1.0 + $v / $c);
            $h *= $c * $d;
            $v = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $d = 1.0 / self::apart(1.0 + $v * $d);
            $c = self::apart(1.0 + $v / $c);
            $h *= $c * $d;
            if (abs($c * $d - 1.0) < 1e-16) {
                break;
            }
        }

        return $h;
    }

    /** Keeps a divisor of Lentz's method away from zero. */
    private static function apart(float $v): float
    {
        return abs($v) < 1e-300 ? 1e-300 : $v;
    }
}
