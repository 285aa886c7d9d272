<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\RatingSet;
use Core\Agreement\Undefined;
use Core\Number\Distribution;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The difference of one statistic between two sets of ratings, from sums a cluster: its interval, and its p by
 * permutation (Edgington & Onghena 2007), two-sided, p = (1 + #{|d*| ≥ |d|})/(1 + permutations).
 *
 * Paired – the same cases twice, before and after, one person and another: under the null hypothesis both halves of a
 * cluster may be exchanged. Independent – with cases of their own: each one's clusters are drawn for themselves, and
 * clusters may change sides.
 */
final readonly class Comparison
{
    /** With fewer clusters no way of swapping them is rare enough. */
    private const LEAST = 6;

    /** Up to so many clusters are swapped in all ways, of which there are 4,096. */
    private const EXACT = 12;

    /**
     * @param  Figure  $difference  second less first
     * @param  float|null  $p  null where the difference is undefined
     * @param  int  $cases  those compared; of clusters, how many
     */
    private function __construct(
        public ?float $first,
        public ?float $second,
        public Figure $difference,
        public ?float $p,
        public int $cases,
        public int $permutations,
    ) {
    }

    /**
     * The interval without each cluster in turn, resampled from fifty clusters on; the test swaps both halves of whole
     * clusters, in all ways where there are no more than 4,096.
     *
     * @param  array<int|string, list<float|int>>  $first  sums by cluster
     * @param  array<int|string, list<float|int>>  $second
     * @param  \Closure(list<float>): float  $statistic  of added sums; NAN where undefined
     * @param  array<int|string, int>|null  $sizes  units by cluster; all alike where null
     * @param  int  $resamples  replicates and permutations, each
     */
    public static function paired(
        array $first,
        array $second,
        \Closure $statistic,
        Confidence $confidence = new Confidence(),
        int $seed = 1,
        int $resamples = 2000,
        ?array $sizes = null,
    ): self {
        $names = RatingSet::ordered(array_keys(array_intersect_key($first, $second)));
        $a = array_map(static fn (string $c): array => $first[$c], $names);
        $b = array_map(static fn (string $c): array => $second[$c], $names);
        $n = count($names);
        [$one, $two] = [self::value($a, $statistic), self::value($b, $statistic)];
        if ($one === null || $two === null) {
            $why = $n === 0 ? Undefined::NothingToCompare : Undefined::UndefinedInOne;

            return new self($one, $two, Figure::undefined($why), null, $n, 0);
        }
        $d = $two - $one;
        $without = static function (int $i) use ($a, $b, $statistic): float {
            unset($a[$i], $b[$i]);

            return $a === [] ? NAN : $statistic(self::sum($b)) - $statistic(self::sum($a));
        };
        $left = array_map($without, range(0, $n - 1));
        $clusters = Clusters::ofSizes(array_map(static fn (string $c): int => $sizes[$c] ?? 1, $names));
        $figure = ClusterError::clustered($d, $left, $clusters, $confidence, static fn (): ?array => null, -INF, INF);
        if ($clusters->canResample() && $resamples > 0) {
            $values = [];
            for ($r = 1; $r <= $resamples; $r++) {
                $times = array_count_values(self::draw($seed.'|'.$r, $n));
                $v = $statistic(self::sum($b, $times)) - $statistic(self::sum($a, $times));
                if (! is_nan($v)) {
                    $values[] = $v;
                }
            }
            if ($values !== [] && count($values) >= 0.95 * $resamples) {
                $interval = Resample::bca($d, $values, $left, $confidence->level, $resamples);
                $figure = $figure->within($interval->low, $interval->high, $interval->method);
            }
        }
        // Without a change anywhere there is nothing to tell how sure that is from.
        $figure = $figure->se === 0.0 ? Figure::estimated($d, null, null, null, 'point')->over($clusters) : $figure;
        [$p, $permutations] = self::swapped($a, $b, $d, $statistic, $seed, $resamples);

        return new self($one, $two, $figure, $p, $n, $permutations);
    }

    /**
     * @param  list<list<float|int>>  $a
     * @param  list<list<float|int>>  $b
     * @param  \Closure(list<float>): float  $statistic
     * @return array{float|null, int} p, null with too few clusters, and of how many ways of swapping
     */
    private static function swapped(array $a, array $b, float $d, \Closure $statistic, int $seed, int $resamples): array
    {
        $n = count($a);
        if ($n < self::LEAST) {
            return [null, 0];
        }
        $all = $n <= self::EXACT;
        $ways = $all ? 1 << $n : $resamples;
        $beyond = $counted = 0;
        for ($w = 0; $w < $ways; $w++) {
            $random = $all ? null : self::random("$seed|exchange|$w");
            [$x, $y] = [$a, $b];
            foreach ($a as $i => $row) {
                if ($random === null ? ($w >> $i & 1) === 1 : $random->getInt(0, 1) === 1) {
                    [$x[$i], $y[$i]] = [$b[$i], $row];
                }
            }
            $v = $statistic(self::sum($y)) - $statistic(self::sum($x));
            if (! is_nan($v)) {
                $counted++;
                $beyond += abs($v) >= abs($d) - 1e-12 ? 1 : 0;
            }
        }

        return match (true) {
            $counted === 0 => [null, 0],
            // As it was is one of all the ways.
            $all => [(float) $beyond / $counted, $counted],
            default => [(1.0 + $beyond) / (1.0 + $counted), $counted],
        };
    }

    /**
     * @param  array<int|string, list<float|int>>  $first
     * @param  array<int|string, list<float|int>>  $second
     * @param  \Closure(list<float>): float  $statistic
     */
    public static function independent(
        array $first,
        array $second,
        \Closure $statistic,
        Confidence $confidence = new Confidence(),
        int $seed = 1,
        int $resamples = 2000,
    ): self {
        ksort($first, SORT_STRING);
        ksort($second, SORT_STRING);
        $a = array_values($first);
        $b = array_values($second);
        [$n, $m] = [count($a), count($b)];
        $draw = static fn (int $r): float => $statistic(
            self::sum($b, array_count_values(self::draw("$seed|second|$r", $m))),
        ) - $statistic(self::sum($a, array_count_values(self::draw("$seed|first|$r", $n))));
        $all = [...$a, ...$b];
        $exchange = static function (int $r) use ($all, $n, $seed, $statistic): float {
            $order = self::random("$seed|exchange|$r")->shuffleArray(array_keys($all));
            $x = array_map(static fn (int $i): array => $all[$i], array_slice($order, 0, $n));
            $y = array_map(static fn (int $i): array => $all[$i], array_slice($order, $n));

            return $statistic(self::sum($y)) - $statistic(self::sum($x));
        };
        $without = static function (int $i) use ($a, $b, $n, $statistic): float {
            if ($i < $n) {
                unset($a[$i]);
            } else {
                unset($b[$i - $n]);
            }

            return $statistic(self::sum($b)) - $statistic(self::sum($a));
        };

        return self::of(
            self::value($a, $statistic),
            self::value($b, $statistic),
            min($n, $m),
            $n + $m,
            $draw,
            $exchange,
            $without,
            $confidence,
            $resamples,
        );
    }

    /**
     * @param  \Closure(int): float  $draw
     * @param  \Closure(int): float  $exchange
     * @param  \Closure(int): float  $without
     */
    private static function of(
        ?float $first,
        ?float $second,
        int $fewest,
        int $cases,
        \Closure $draw,
        \Closure $exchange,
        \Closure $without,
        Confidence $confidence,
        int $resamples,
    ): self {
        if ($first === null || $second === null) {
            return new self(
                $first,
                $second,
                Figure::undefined($fewest === 0 ? Undefined::NothingToCompare : Undefined::UndefinedInOne),
                null,
                $cases,
                0,
            );
        }
        $d = $second - $first;
        if ($fewest < 2) {
            return new self($first, $second, Figure::estimated($d, null, null, null, 'point'), null, $cases, 0);
        }
        $values = [];
        $beyond = $permutations = 0;
        for ($r = 1; $r <= $resamples; $r++) {
            $v = $draw($r);
            if (! is_nan($v)) {
                $values[] = $v;
            }
            $v = $exchange($r);
            if (! is_nan($v)) {
                $permutations++;
                $beyond += abs($v) >= abs($d) - 1e-12 ? 1 : 0;
            }
        }
        $p = $permutations === 0 ? null : (float) (1 + $beyond) / (1 + $permutations);
        if ($values === [] || count($values) < 0.95 * $resamples) {
            return new self(
                $first,
                $second,
                Figure::estimated($d, null, null, null, 'point'),
                $p,
                $cases,
                $permutations,
            );
        }
        $interval = Resample::bca(
            $d,
            $values,
            array_map($without, range(0, $cases - 1)),
            $confidence->level,
            $resamples,
        );

        return new self(
            $first,
            $second,
            Figure::estimated($d, $interval->se, $interval->low, $interval->high, $interval->method),
            $p,
            $cases,
            $permutations,
        );
    }

    /**
     * @param  list<list<float|int>>  $rows
     * @param  \Closure(list<float>): float  $statistic
     */
    private static function value(array $rows, \Closure $statistic): ?float
    {
        $v = $rows === [] ? NAN : $statistic(self::sum($rows));

        return is_nan($v) ? null : $v;
    }

    /**
     * @param  array<int, list<float|int>>  $rows
     * @param  array<int, int>|null  $times
     * @return list<float>
     */
    private static function sum(array $rows, ?array $times = null): array
    {
        $sum = [];
        foreach ($times ?? array_fill_keys(array_keys($rows), 1) as $i => $t) {
            foreach ($rows[$i] as $k => $v) {
                $sum[$k] = ($sum[$k] ?? 0.0) + $t * $v;
            }
        }

        return array_values($sum);
    }

    /** @return list<int> */
    private static function draw(string $seed, int $n): array
    {
        $random = self::random($seed);
        $out = [];
        for ($i = 0; $i < $n; $i++) {
            $out[] = $random->getInt(0, $n - 1);
        }

        return $out;
    }

    private static function random(string $seed): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
    }

    /**
     * P values of several comparisons, adjusted so that the chance of even one false finding stays at the level (Holm
     * 1979).
     *
     * @param  array<int|string, float>  $p
     * @return array<int|string, float> in the same order
     */
    public static function holm(array $p): array
    {
        $sorted = $p;
        asort($sorted, SORT_NUMERIC);
        $left = count($p);
        $most = 0.0;
        foreach ($sorted as $name => $v) {
            $most = max($most, min(1.0, $left * $v));
            $sorted[$name] = $most;
            $left--;
        }

        return array_map(
            static fn (int|string $name): float => $sorted[$name],
            array_combine(array_keys($p), array_keys($p)),
        );
    }

    /**
     * The smallest true difference that a design with this standard error would find with the given power: (z_{1−α/2} +
     * z_power)·se.
     */
    public static function detectable(float $se, float $alpha = 0.05, float $power = 0.8): float
    {
        return (Distribution::normalQuantile(1 - $alpha / 2) + Distribution::normalQuantile($power)) * $se;
    }
}
