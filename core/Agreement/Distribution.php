<?php

declare(strict_types=1);

namespace Core\Agreement;

/** Normal and Student distributions and their quantiles, to about 1e-12. */
final class Distribution
{
    /** Φ(z), from the complementary error function's continued fraction and series. */
    public static function normal(float $z): float
    {
        $x = abs($z) / M_SQRT2;
        if ($x < 2.5) {
            $tail = 0.5 * (1.0 - 2.0 / sqrt(M_PI) * self::series($x));
        } else {
            $f = 0.0;
            for ($n = 120; $n >= 1; $n--) {
                $f = $n / 2.0 / ($x + $f);
            }
            $tail = 0.5 * exp(-$x * $x) / sqrt(M_PI) / ($x + $f);
        }

        return $z > 0 ? 1.0 - $tail : $tail;
    }

    public static function normalDensity(float $z): float
    {
        return exp(-0.5 * $z * $z) / sqrt(2 * M_PI);
    }

    /** Φ⁻¹(p): Hastings' rational start, then Halley steps. ±INF at 0 and 1. */
    public static function normalQuantile(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            return $p <= 0.0 ? -INF : INF;
        }
        if ($p > 0.5) {
            return -self::normalQuantile(1.0 - $p);
        }
        $t = sqrt(-2.0 * log($p));
        $z = -($t - (2.515517 + 0.802853 * $t + 0.010328 * $t * $t) / (1 + 1.432788 * $t + 0.189269 * $t * $t + 0.001308 * $t ** 3));
        for ($i = 0; $i < 8; $i++) {
            $step = (self::normal($z) - $p) / self::normalDensity($z);
            $z -= $step / (1.0 + 0.5 * $z * $step);
        }

        return $z;
    }

    /** P(T ≤ t) for Student's t with $df degrees of freedom. */
    public static function student(float $t, float $df): float
    {
        $tail = 0.5 * self::incompleteBeta($df / ($df + $t * $t), $df / 2, 0.5);

        return $t > 0 ? 1.0 - $tail : $tail;
    }

    /** Quantile of Student's t by bisection; $p in (0, 1), $df ≥ 1. */
    public static function studentQuantile(float $p, float $df): float
    {
        if ($p < 0.5) {
            return -self::studentQuantile(1.0 - $p, $df);
        }
        if ($p === 0.5) {
            return 0.0;
        }
        $low = 0.0;
        $high = 2.0;
        while (self::student($high, $df) < $p && $high < 1e12) {
            $high *= 2;
        }
        for ($i = 0; $i < 200 && $high - $low > 1e-14 * $high; $i++) {
            $mid = ($low + $high) / 2;
            if (self::student($mid, $df) < $p) {
                $low = $mid;
            } else {
                $high = $mid;
            }
        }

        return ($low + $high) / 2;
    }

    /** erf's Maclaurin sum without its factor 2/√π. */
    private static function series(float $x): float
    {
        // exp(−x²)·Σ 2ⁿx²ⁿ⁺¹/(2n+1)!! has positive terms only and loses no digits.
        $term = $sum = $x;
        for ($n = 1; $n < 300 && $term > 1e-18 * $sum; $n++) {
            $term *= 2 * $x * $x / (2 * $n + 1);
            $sum += $term;
        }

        return exp(-$x * $x) * $sum;
    }

    /** Regularised incomplete beta I_x(a, b) by Lentz's continued fraction. */
    private static function incompleteBeta(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $front = exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log(1.0 - $x));

        return $x < ($a + 1) / ($a + $b + 2)
            ? $front * self::fraction($x, $a, $b) / $a
            : 1.0 - $front * self::fraction(1.0 - $x, $b, $a) / $b;
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1.0 - ($a + $b) * $x / ($a + 1);
        $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
        $h = $d;
        for ($m = 1; $m < 1000; $m++) {
            foreach ([$m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)), -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1))] as $v) {
                $d = 1.0 + $v * $d;
                $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1.0 + $v / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $h *= $c * $d;
            }
            if (abs($c * $d - 1.0) < 1e-16) {
                break;
            }
        }

        return $h;
    }

    /** ln Γ(x) by Lanczos' approximation (g = 7, nine terms). */
    private static function logGamma(float $x): float
    {
        $c = [0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7];
        $x -= 1.0;
        $sum = $c[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += $c[$i] / ($x + $i);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }
}
