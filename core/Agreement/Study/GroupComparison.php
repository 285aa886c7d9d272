<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Chance\Chance;

/**
 * Whether the readers of one group do better than those of another, reader by reader: the difference of their mean
 * figures, against every way in which the same readers could have been parted into groups of these sizes (permutation
 * test; Fisher 1935, Pitman 1937). Exact up to LISTED ways, else from as many drawn.
 */
final readonly class GroupComparison
{
    /** Fewer readers on a side say nothing of a group, and would say too much of a person. */
    public const LEAST = 3;

    private const LISTED = 20_000;

    /**
     * @param  float  $difference  mean of one less mean of other
     * @param  float  $p  two-sided
     * @param  float  $smallest  the least that p can be with so many readers
     */
    private function __construct(
        public float $difference,
        public float $p,
        public float $smallest,
        public int $one,
        public int $other,
    ) {
    }

    /**
     * @param  list<float>  $one  a figure of each reader
     * @param  list<float>  $other
     * @return self|null null where a side has too few readers
     */
    public static function of(array $one, array $other, Chance $chance): ?self
    {
        [$n, $m] = [count($one), count($other)];
        if ($n < self::LEAST || $m < self::LEAST) {
            return null;
        }
        $all = [...$one, ...$other];
        $seen = self::apart($one, $other);
        $ways = self::choose($n + $m, $n);
        [$asFar, $of] = $ways <= self::LISTED
            ? [self::listed($all, $n, abs($seen)), $ways]
            : [1 + self::drawn($all, $n, abs($seen), $chance), self::LISTED + 1];

        return new self(
            $seen,
            min(1.0, (float) $asFar / $of),
            $ways <= self::LISTED ? ($n === $m ? 2.0 : 1.0) / $ways : 1.0 / (self::LISTED + 1),
            $n,
            $m,
        );
    }

    /** @param  list<float>  $all */
    private static function listed(array $all, int $n, float $seen): int
    {
        $total = array_sum($all);
        $size = count($all);
        $picked = range(0, $n - 1);
        $asFar = 0;
        while (true) {
            $sum = 0.0;
            foreach ($picked as $i) {
                $sum += $all[$i];
            }
            $asFar += self::isAsFar($sum / $n - ($total - $sum) / ($size - $n), $seen) ? 1 : 0;
            $at = $n - 1;
            while ($at >= 0 && $picked[$at] === $size - $n + $at) {
                $at--;
            }
            if ($at < 0) {
                return $asFar;
            }
            $picked[$at]++;
            for ($i = $at + 1; $i < $n; $i++) {
                $picked[$i] = $picked[$i - 1] + 1;
            }
        }
    }

    /** @param  list<float>  $all */
    private static function drawn(array $all, int $n, float $seen, Chance $chance): int
    {
        $asFar = 0;
        for ($i = 0; $i < self::LISTED; $i++) {
            $shuffled = $chance->shuffled($all);
            $apart = self::apart(array_slice($shuffled, 0, $n), array_slice($shuffled, $n));
            $asFar += self::isAsFar($apart, $seen) ? 1 : 0;
        }

        return $asFar;
    }

    /** Sums in another order differ in their last digits. */
    private static function isAsFar(float $apart, float $seen): bool
    {
        return abs($apart) >= $seen - 1e-12;
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     */
    private static function apart(array $one, array $other): float
    {
        return array_sum($one) / count($one) - array_sum($other) / count($other);
    }

    /** Beyond LISTED it does not matter by how much. */
    private static function choose(int $n, int $k): int
    {
        $ways = 1.0;
        for ($i = 1; $i <= min($k, $n - $k); $i++) {
            $ways *= ($n - min($k, $n - $k) + $i) / (float) $i;
            if ($ways > 1e9) {
                return 1_000_000_000;
            }
        }

        return (int) round($ways);
    }
}
