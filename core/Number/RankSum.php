<?php

declare(strict_types=1);

namespace Core\Number;

/**
 * Wilcoxon's rank sum of two small groups with its exact distribution under exchange, ties by mid-ranks (Wilcoxon 1945;
 * Lehmann 1975, ch. 1). Of zeros and ones it is Fisher's exact test.
 */
final readonly class RankSum
{
    /** In a group; above it the count of ways leaves exact numbers behind. */
    public const MOST = 30;

    /**
     * @param  float  $p  two-sided: as far from the middle as this or farther; 1 where all values are the same
     * @param  float  $surplus  mean rank of the second group less that of the first
     */
    private function __construct(public float $p, public float $surplus)
    {
    }

    /**
     * @param  list<float>  $first  of MOST at most
     * @param  list<float>  $second  likewise
     * @return self|null null where a group is empty or too large
     */
    public static function of(array $first, array $second): ?self
    {
        [$n, $m] = [count($first), count($second)];
        if ($n === 0 || $m === 0 || $n > self::MOST || $m > self::MOST) {
            return null;
        }
        $doubled = self::doubledRanks([...$first, ...$second]);
        // Ways to take so many of the pooled ranks with this sum.
        $ways = [0 => [0 => 1.0]];
        foreach ($doubled as $rank) {
            for ($k = min($n, count($ways)) - 1; $k >= 0; $k--) {
                foreach ($ways[$k] ?? [] as $sum => $count) {
                    $ways[$k + 1][$sum + $rank] = ($ways[$k + 1][$sum + $rank] ?? 0.0) + $count;
                }
            }
        }
        $found = array_sum(array_slice($doubled, 0, $n));
        $middle = $n * ($n + $m + 1);
        $far = $all = 0.0;
        foreach ($ways[$n] as $sum => $count) {
            $all += $count;
            $far += abs($sum - $middle) >= abs($found - $middle) ? $count : 0.0;
        }

        return new self(
            $far / $all,
            0.5 * ((float) array_sum(array_slice($doubled, $n)) / (float) $m - (float) $found / (float) $n),
        );
    }

    /**
     * @param  list<float>  $values
     * @return list<int> twice the mid-rank of each
     */
    private static function doubledRanks(array $values): array
    {
        return array_map(static function (float $v) use ($values): int {
            $below = $same = 0;
            foreach ($values as $w) {
                $below += $w < $v ? 1 : 0;
                $same += $w === $v ? 1 : 0;
            }

            return 2 * $below + $same + 1;
        }, $values);
    }
}
