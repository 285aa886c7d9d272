<?php

declare(strict_types=1);

namespace Core\Agreement;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A control chart of one rater's d′ and criterion c from window to window, against the rater's own rates over all of them.
 *
 * A window's point is its distance from the whole in standard errors (those expected at the whole's rates with the
 * window's numbers). The limits are found by letting raters whose rates never change go through the same windows: only
 * the given share of such raters ever has a point beyond them, in either line.
 */
final readonly class DriftChart
{
    /**
     * @param  list<array{d_prime: float|null, criterion: float|null, z_d: float|null, z_c: float|null, beyond: bool}>  $points  by window; null where a window has no positives or no negatives
     * @param  float  $limit  of |z|
     * @param  float  $falseAlarm  share of unchanging raters with a point beyond it
     */
    private function __construct(public float $dPrime, public float $criterion, public array $points, public float $limit, public float $falseAlarm)
    {
    }

    /**
     * @param  list<array{int, int, int, int}>  $windows  tp, fn, fp, tn of each stretch of time
     * @return self|null null with fewer than two windows that hold positives and negatives
     */
    public static function of(array $windows, float $falseAlarm = 0.05, int $seed = 1, int $simulations = 2000): ?self
    {
        $all = [0, 0, 0, 0];
        $usable = [];
        foreach ($windows as $i => $w) {
            if ($w[0] + $w[1] > 0 && $w[2] + $w[3] > 0) {
                $usable[] = $i;
                foreach ($w as $k => $n) {
                    $all[$k] += $n;
                }
            }
        }
        if (count($usable) < 2) {
            return null;
        }
        [$d, $c] = self::point($all);
        $h = ($all[0] + 0.5) / ($all[0] + $all[1] + 1);
        $f = ($all[2] + 0.5) / ($all[2] + $all[3] + 1);
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed.'|drift', true)));
        $worst = [];
        for ($s = 0; $s < $simulations; $s++) {
            $drawn = $sum = [];
            foreach ($usable as $i) {
                $w = $windows[$i];
                $tp = self::binomial($random, $w[0] + $w[1], $h);
                $fp = self::binomial($random, $w[2] + $w[3], $f);
                $drawn[] = [$tp, $w[0] + $w[1] - $tp, $fp, $w[2] + $w[3] - $fp];
            }
            foreach ($drawn as $w) {
                foreach ($w as $k => $n) {
                    $sum[$k] = ($sum[$k] ?? 0) + $n;
                }
            }
            $worst[] = max(0.0, ...array_map(static fn (array $z): float => max(abs($z[0]), abs($z[1])), self::distances($drawn, [$sum[0], $sum[1], $sum[2], $sum[3]])));
        }
        $limit = Resample::quantiles($worst ?: [INF], [1 - $falseAlarm, 1 - $falseAlarm])[0];
        $z = array_combine($usable, self::distances(array_map(static fn (int $i): array => $windows[$i], $usable), $all));
        $points = [];
        foreach ($windows as $i => $w) {
            [$wd, $wc] = isset($z[$i]) ? self::point($w) : [null, null];
            [$zd, $zc] = $z[$i] ?? [null, null];
            $points[] = ['d_prime' => $wd, 'criterion' => $wc, 'z_d' => $zd, 'z_c' => $zc, 'beyond' => $zd !== null && max(abs($zd), abs((float) $zc)) > $limit];
        }

        return new self($d, $c, $points, $limit, $falseAlarm);
    }

    /**
     * @param  array<int, int>  $w
     * @return array{float, float}
     */
    private static function point(array $w): array
    {
        $h = Distribution::normalQuantile(($w[0] + 0.5) / ($w[0] + $w[1] + 1));
        $f = Distribution::normalQuantile(($w[2] + 0.5) / ($w[2] + $w[3] + 1));

        return [$h - $f, -($h + $f) / 2];
    }

    /**
     * @param  list<array{int, int, int, int}>  $windows
     * @param  array{int, int, int, int}  $all
     * @return list<array{float, float}>
     */
    private static function distances(array $windows, array $all): array
    {
        $h = ($all[0] + 0.5) / ($all[0] + $all[1] + 1);
        $f = ($all[2] + 0.5) / ($all[2] + $all[3] + 1);
        [$d, $c] = self::point($all);
        $eh = $h * (1 - $h) / Distribution::normalDensity(Distribution::normalQuantile($h)) ** 2;
        $ef = $f * (1 - $f) / Distribution::normalDensity(Distribution::normalQuantile($f)) ** 2;

        return array_map(static function (array $w) use ($d, $c, $eh, $ef): array {
            [$wd, $wc] = self::point($w);
            $se = sqrt($eh / ($w[0] + $w[1]) + $ef / ($w[2] + $w[3]));

            return [($wd - $d) / $se, 2 * ($wc - $c) / $se];
        }, $windows);
    }

    private static function binomial(Randomizer $random, int $n, float $p): int
    {
        $k = 0;
        for ($i = 0; $i < $n; $i++) {
            $k += $random->getInt(0, 999_999_999) < 1e9 * $p ? 1 : 0;
        }

        return $k;
    }
}
