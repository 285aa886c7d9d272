<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\AgreementException;
use Core\Agreement\Resampling\Resampled;
use Core\CoreException;

/**
 * Krippendorff's α with any squared difference δ between values (Krippendorff 2004): α = 1 − (N−1) Σ_i Σ_{a≠b}
 * δ(a,b)/(r_i−1) / Σ_{a,b} δ(a,b).
 *
 * The expected part is kept as its sums between pairs of cases, so that a draw costs cases², not values².
 */
final readonly class DistanceAlpha implements Resampled
{
    /** More than so many values would take minutes, as every value is compared with every other. */
    public const MOST_VALUES = 6000;

    /**
     * @param  list<int>  $ranks  of the clusters with a pairable unit
     * @param  list<float>  $observed  Σδ/(r−1) within units, by cluster
     * @param  list<int>  $values  how many pairable values, by cluster
     * @param  list<float>  $between  Σδ between clusters, cluster × cluster
     */
    private function __construct(
        private array $ranks,
        private array $observed,
        private array $values,
        private array $between,
    ) {
    }

    /**
     * @template V
     *
     * @param  array<int, list<list<V>>>  $units  by rank of the cluster: the values given to each of its units
     * @param  \Closure(V, V): float  $delta  symmetric, 0 for equal values
     *
     * @throws CoreException when there are more than MOST_VALUES values
     */
    public static function of(array $units, \Closure $delta): self
    {
        [$ranks, $observed, $all] = self::within($units, $delta);
        $values = array_map(count(...), $all);
        if (array_sum($values) > self::MOST_VALUES) {
            throw AgreementException::because('many-values', most_values: self::MOST_VALUES);
        }

        return new self($ranks, $observed, $values, self::across(
            count($all),
            static function (int $i, int $j) use ($all, $delta): float {
                $sum = 0.0;
                foreach ($all[$i] as $a) {
                    foreach ($all[$j] as $b) {
                        $sum += $delta($a, $b);
                    }
                }

                return $sum;
            },
        ));
    }

    /**
     * The same of categories by number: each pair of them is compared once a pair of clusters, however often both
     * occur.
     *
     * @param  array<int, list<list<int>>>  $units  by rank of the cluster: the categories given to each of its units
     * @param  \Closure(int, int): float  $delta  symmetric, 0 for equal categories
     */
    public static function ofCategories(array $units, \Closure $delta): self
    {
        [$ranks, $observed, $all] = self::within($units, $delta);
        $counts = array_map(array_count_values(...), $all);

        return new self($ranks, $observed, array_map(count(...), $all), self::across(
            count($all),
            static function (int $i, int $j) use ($counts, $delta): float {
                $sum = 0.0;
                foreach ($counts[$i] as $a => $times) {
                    foreach ($counts[$j] as $b => $often) {
                        $sum += $times * $often * $delta($a, $b);
                    }
                }

                return $sum;
            },
        ));
    }

    /**
     * @template V
     *
     * @param  array<int, list<list<V>>>  $units
     * @param  \Closure(V, V): float  $delta
     * @return array{list<int>, list<float>, list<list<V>>} ranks, Σδ/(r−1) within units and all values, by cluster
     */
    private static function within(array $units, \Closure $delta): array
    {
        $ranks = $observed = $all = [];
        foreach ($units as $rank => $list) {
            $list = array_values(array_filter($list, static fn (array $unit): bool => count($unit) >= 2));
            if ($list === []) {
                continue;
            }
            $sum = 0.0;
            foreach ($list as $unit) {
                foreach ($unit as $i => $a) {
                    for ($j = $i + 1; $j < count($unit); $j++) {
                        $sum += 2 * $delta($a, $unit[$j]) / (count($unit) - 1);
                    }
                }
            }
            $ranks[] = $rank;
            $observed[] = $sum;
            $all[] = array_merge(...$list);
        }

        return [$ranks, $observed, $all];
    }

    /**
     * @param  \Closure(int, int): float  $sum  Σδ between two clusters
     * @return list<float>
     */
    private static function across(int $n, \Closure $sum): array
    {
        $between = array_fill(0, $n * $n, 0.0);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i; $j < $n; $j++) {
                $between[$i * $n + $j] = $between[$j * $n + $i] = $sum($i, $j);
            }
        }

        return array_values($between);
    }

    private static function alpha(float $observed, float $expected, int $n): float
    {
        return $expected > 0.0 ? 1 - ($n - 1) * $observed / $expected : NAN;
    }

    public function estimates(): array
    {
        return [self::alpha(array_sum($this->observed), array_sum($this->between), array_sum($this->values))];
    }

    /**
     * Σ_{u∈g} ψ_u/n2, as IntervalAlpha has it.
     *
     * @return array<int, float>|null by rank of the cluster; null where α is undefined
     */
    public function influences(): ?array
    {
        [$observed, $expected, $values] = [
            array_sum($this->observed),
            array_sum($this->between),
            array_sum($this->values),
        ];
        $alpha = self::alpha($observed, $expected, $values);
        if (is_nan($alpha)) {
            return null;
        }
        $n = count($this->ranks);
        $out = [];
        foreach ($this->observed as $i => $own) {
            $met = array_sum(array_slice($this->between, $i * $n, $n));
            $out[$this->ranks[$i]] = (1 - $alpha) * (2 * $met / $expected - (float) $this->values[$i] / $values) -
                ($values - 1) * $own / $expected;
        }

        return $out;
    }

    public function leaveOneOut(): array
    {
        $n = count($this->ranks);
        [$observed, $expected, $values] = [
            array_sum($this->observed),
            array_sum($this->between),
            array_sum($this->values),
        ];
        $out = [];
        for ($i = 0; $i < $n; $i++) {
            $row = array_sum(array_slice($this->between, $i * $n, $n));
            $rest = $expected - 2 * $row + $this->between[$i * $n + $i];
            $out[] = [
                self::alpha(
                    $observed - $this->observed[$i],
                    $rest < 1e-12 * $expected ? 0.0 : $rest,
                    $values - $this->values[$i],
                ),
            ];
        }

        return $out;
    }

    public function replicate(array $draw): array
    {
        $times = [];
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            $times[$draw[$j]] = $draw[$j + 1];
        }
        $n = count($this->ranks);
        $at = $by = [];
        $observed = $expected = 0.0;
        $values = 0;
        foreach ($this->ranks as $i => $rank) {
            $t = $times[$rank] ?? 0;
            if ($t > 0) {
                $at[] = $i;
                $by[] = $t;
                $observed += $t * $this->observed[$i];
                $values += $t * $this->values[$i];
            }
        }
        foreach ($at as $x => $i) {
            $row = $i * $n;
            $sum = 0.0;
            foreach ($at as $y => $j) {
                $sum += $by[$y] * $this->between[$row + $j];
            }
            $expected += $by[$x] * $sum;
        }

        return [self::alpha($observed, $expected, $values)];
    }
}
