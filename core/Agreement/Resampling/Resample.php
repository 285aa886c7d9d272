<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Number\Distribution;

/** The interval of one statistic from its replicates. */
final readonly class Resample
{
    /**
     * @param  float  $se  standard deviation of the replicates
     * @param  string  $method  bca or percentile
     * @param  int  $dropped  replicates in which the statistic was undefined
     */
    public function __construct(
        public float $se,
        public float $low,
        public float $high,
        public string $method,
        public int $dropped,
    ) {
    }

    /**
     * z0 = Φ⁻¹((#below + ½ #equal)/B′); acceleration from the case jackknife; percentile where either is undefined.
     *
     * @param  non-empty-list<float>  $replicates
     * @param  list<float>  $jackknife  the statistic without each case; NAN where undefined
     */
    public static function bca(
        float $estimate,
        array $replicates,
        array $jackknife,
        float $confidence,
        int $asked,
    ): self {
        $b = count($replicates);
        $below = $equal = 0;
        $sum = 0.0;
        foreach ($replicates as $v) {
            $sum += $v;
            if ($v < $estimate - 1e-12) {
                $below++;
            } elseif ($v <= $estimate + 1e-12) {
                $equal++;
            }
        }
        $mean = $sum / $b;
        $spread = 0.0;
        foreach ($replicates as $v) {
            $spread += ($v - $mean) * ($v - $mean);
        }
        $se = $b > 1 ? sqrt($spread / ($b - 1)) : 0.0;
        $n = count($jackknife);
        $middle = $n === 0 ? NAN : array_sum($jackknife) / $n;
        $cubes = $squares = 0.0;
        foreach ($jackknife as $v) {
            $d = $middle - $v;
            $squares += $d * $d;
            $cubes += $d * $d * $d;
        }
        $tails = [(1 - $confidence) / 2, (1 + $confidence) / 2];
        $z0 = Distribution::normalQuantile(($below + 0.5 * $equal) / $b);
        if (is_infinite($z0) || is_nan($squares) || $squares <= 0.0) {
            [$low, $high] = self::quantiles($replicates, $tails);

            return new self($se, $low, $high, 'percentile', $asked - $b);
        }
        $a = $cubes / (6 * $squares ** 1.5);
        $ends = [];
        foreach ($tails as $p) {
            $z = $z0 + Distribution::normalQuantile($p);
            $ends[] = Distribution::normal($z0 + $z / (1 - $a * $z));
        }

        [$low, $high] = self::quantiles($replicates, $ends);

        return new self($se, $low, $high, 'bca', $asked - $b);
    }

    /**
     * Linear between order statistics at h = (B′+1)p, clamped to the ends. Sorts only the strips of the range in which
     * the order statistics lie.
     *
     * @param  non-empty-list<float>  $values
     * @param  array{float, float}  $ps
     * @return array{float, float}
     */
    public static function quantiles(array $values, array $ps): array
    {
        $b = count($values);
        $min = min($values);
        $max = max($values);
        $strips = $b < 200 ? 1 : 256;
        $scale = $max > $min ? ($strips - 1e-9) / ($max - $min) : 0.0;
        if (is_infinite($scale)) {
            $scale = 0.0;
        }
        $count = array_fill(0, $strips, 0);
        $where = [];
        foreach ($values as $v) {
            $where[] = $i = (int) (($v - $min) * $scale);
            $count[$i]++;
        }
        $wanted = [];
        foreach ($ps as $p) {
            $h = max(1.0, min((float) $b, ($b + 1) * $p));
            $wanted[] = [(int) floor($h), $h - floor($h)];
        }
        // The strip of an order statistic, and how many values lie below that strip.
        $find = static function (int $rank) use ($count): array {
            $below = 0;
            foreach ($count as $i => $n) {
                if ($below + $n >= $rank) {
                    return [$i, $below];
                }
                $below += $n;
            }

            return [count($count) - 1, $below];
        };
        $strip = [];
        foreach ($wanted as [$rank]) {
            $strip[$find($rank)[0]] = [];
            $strip[$find(min($b, $rank + 1))[0]] = [];
        }
        foreach ($where as $j => $i) {
            if (isset($strip[$i])) {
                $strip[$i][] = $values[$j];
            }
        }
        foreach ($strip as $i => $list) {
            sort($list);
            $strip[$i] = $list;
        }
        $at = static function (int $rank) use ($find, $strip): float {
            [$i, $below] = $find($rank);

            return $strip[$i][$rank - $below - 1];
        };

        return array_map(
            static fn (array $w): float => $at($w[0]) +
                ($w[0] < $b && $w[1] > 0.0 ? $w[1] * ($at($w[0] + 1) - $at($w[0])) : 0.0),
            $wanted,
        );
    }
}
