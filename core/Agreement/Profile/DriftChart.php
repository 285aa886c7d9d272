<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Resampling\Resample;
use Core\Number\Distribution;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A control chart of one rater's d′ and criterion c from window to window, against the rater's own rates over all of
 * them.
 *
 * A window's point is its distance from the whole in standard errors (those expected at the whole's rates with the
 * window's numbers). The limits are found by letting raters whose rates never change go through the same windows: only
 * the given share of such raters ever has a point beyond them, in either line.
 */
final readonly class DriftChart
{
    /**
     * @param  list<array{d_prime: float|null, criterion: float|null, z_d: float|null, z_c: float|null, beyond: bool}>  $points
     *     by window; null where a window has no positives or no negatives
     * @param  float  $limit  of |z|
     * @param  float  $falseAlarm  share of unchanging raters with a point beyond it
     */
    private function __construct(
        public float $dPrime,
        public float $criterion,
        public array $points,
        public float $limit,
        public float $falseAlarm,
    ) {
    }

    /**
     * @param  list<array{int, int, int, int}>  $windows  tp, fn, fp, tn of each stretch of time
     * @return self|null null with fewer than two windows that hold positives and negatives
     */
    public static function overWindows(
        array $windows,
        float $falseAlarm = 0.05,
        int $seed = 1,
        int $simulations = 2000,
    ): ?self {
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
        $known = [];
        [$d, $c] = self::point($all, $known);
        $h = ($all[0] + 0.5) / ($all[0] + $all[1] + 1);
        $f = ($all[2] + 0.5) / ($all[2] + $all[3] + 1);
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed.'|drift', true)));
        $hits = $alarms = [];
        foreach ($usable as $i) {
            $hits[$i] = self::cumulative($windows[$i][0] + $windows[$i][1], $h);
            $alarms[$i] = self::cumulative($windows[$i][2] + $windows[$i][3], $f);
        }
        $worst = [];
        $positives = array_map(static fn (int $i): int => $windows[$i][0] + $windows[$i][1], $usable);
        $negatives = array_map(static fn (int $i): int => $windows[$i][2] + $windows[$i][3], $usable);
        for ($s = 0; $s < $simulations; $s++) {
            $tp = $fp = [];
            foreach ($usable as $i) {
                $tp[] = self::draw($random, $hits[$i]);
                $fp[] = self::draw($random, $alarms[$i]);
            }
            $worst[] = self::farthest($tp, $fp, $positives, $negatives, $known);
        }
        $limit = Resample::quantiles($worst ?: [INF], [1 - $falseAlarm, 1 - $falseAlarm])[0];
        $z = array_combine(
            $usable,
            self::distances(array_map(static fn (int $i): array => $windows[$i], $usable), $all, $known),
        );
        $points = [];
        foreach ($windows as $i => $w) {
            [$wd, $wc] = isset($z[$i]) ? self::point($w, $known) : [null, null];
            [$zd, $zc] = $z[$i] ?? [null, null];
            $points[] = [
                'd_prime' => $wd,
                'criterion' => $wc,
                'z_d' => $zd,
                'z_c' => $zc,
                'beyond' => $zd !== null && max(abs($zd), abs((float) $zc)) > $limit,
            ];
        }

        return new self($d, $c, $points, $limit, $falseAlarm);
    }

    /**
     * @param  array<int, int>  $w
     * @param  array<int, array<int, float>>  $known  quantiles found before, by of how many and how many
     * @return array{float, float} d′ and c
     */
    private static function point(array $w, array &$known): array
    {
        $h = $known[$w[0] + $w[1]][$w[0]] ??= Distribution::normalQuantile(($w[0] + 0.5) / ($w[0] + $w[1] + 1));
        $f = $known[$w[2] + $w[3]][$w[2]] ??= Distribution::normalQuantile(($w[2] + 0.5) / ($w[2] + $w[3] + 1));

        return [$h - $f, -($h + $f) / 2];
    }

    /**
     * The largest distance of any window from the whole, in either line: as distances(), without its lists.
     *
     * @param  list<int>  $tp  by window
     * @param  list<int>  $fp
     * @param  list<int>  $positives
     * @param  list<int>  $negatives
     * @param  array<int, array<int, float>>  $known
     */
    private static function farthest(array $tp, array $fp, array $positives, array $negatives, array &$known): float
    {
        [$hit, $alarm] = [array_sum($tp), array_sum($fp)];
        [$d, $c, $eh, $ef] = self::whole(
            [$hit, array_sum($positives) - $hit, $alarm, array_sum($negatives) - $alarm],
            $known,
        );
        $worst = 0.0;
        foreach ($positives as $i => $p) {
            $n = $negatives[$i];
            $h = $known[$p][$tp[$i]] ??= Distribution::normalQuantile(($tp[$i] + 0.5) / ($p + 1));
            $f = $known[$n][$fp[$i]] ??= Distribution::normalQuantile(($fp[$i] + 0.5) / ($n + 1));
            $se = sqrt($eh / $p + $ef / $n);
            $worst = max($worst, abs(($h - $f - $d) / $se), abs(2 * (-($h + $f) / 2 - $c) / $se));
        }

        return $worst;
    }

    /**
     * d′ and c of all windows, and what their errors come from: H(1 − H)/φ(z_H)² and F(1 − F)/φ(z_F)².
     *
     * @param  array{int, int, int, int}  $all
     * @param  array<int, array<int, float>>  $known
     * @return array{float, float, float, float}
     */
    private static function whole(array $all, array &$known): array
    {
        $h = ($all[0] + 0.5) / ($all[0] + $all[1] + 1);
        $f = ($all[2] + 0.5) / ($all[2] + $all[3] + 1);
        [$d, $c] = self::point($all, $known);

        return [
            $d,
            $c,
            $h * (1 - $h) / Distribution::normalDensity($d / 2 - $c) ** 2,
            $f * (1 - $f) / Distribution::normalDensity($d / 2 + $c) ** 2,
        ];
    }

    /**
     * @param  list<array{int, int, int, int}>  $windows
     * @param  array{int, int, int, int}  $all
     * @param  array<int, array<int, float>>  $known
     * @return list<array{float, float}>
     */
    private static function distances(array $windows, array $all, array &$known): array
    {
        [$d, $c, $eh, $ef] = self::whole($all, $known);
        $out = [];
        foreach ($windows as $w) {
            [$wd, $wc] = self::point($w, $known);
            $se = sqrt($eh / ($w[0] + $w[1]) + $ef / ($w[2] + $w[3]));
            $out[] = [($wd - $d) / $se, 2 * ($wc - $c) / $se];
        }

        return $out;
    }

    /** @return list<float> probability of at most 0, 1, … n of n */
    private static function cumulative(int $n, float $p): array
    {
        $out = [];
        $sum = 0.0;
        $log = $n * log1p(-$p);
        $odds = log($p) - log1p(-$p);
        for ($k = 0; $k <= $n; $k++) {
            $out[] = $sum += exp($log);
            $log += $odds + log((float) ($n - $k) / ($k + 1) ?: 1.0);
        }

        return $out;
    }

    /** @param  list<float>  $cumulative */
    private static function draw(Randomizer $random, array $cumulative): int
    {
        $u = $random->getInt(0, 999_999_999) / 1e9;
        $low = 0;
        $high = count($cumulative) - 1;
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($cumulative[$middle] > $u) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
