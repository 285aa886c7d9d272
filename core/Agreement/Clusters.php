<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * How many clusters a figure has, and as how many of even size they count: G_e = (Σ n_g)²/Σ n_g² over the units n_g of
 * each (Kish 1965).
 */
final readonly class Clusters
{
    /** From so many on the resampled interval is taken; with fewer it is too narrow. */
    public const TO_RESAMPLE = 50.0;

    /** With fewer a figure says so. */
    public const FEW = 15.0;

    private function __construct(public int $count, public float $effective)
    {
    }

    /**
     * @param  iterable<int, int>  $sizes  units by cluster; clusters without one do not count
     * @param  list<int>|null  $times  how often each cluster is there; once where null
     */
    public static function ofSizes(iterable $sizes, ?array $times = null): self
    {
        $count = 0;
        $sum = $squares = 0.0;
        foreach ($sizes as $i => $n) {
            $there = $times[$i] ?? 1;
            $count += $n > 0 ? $there : 0;
            $sum += $there * $n;
            $squares += (float) $there * $n * $n;
        }

        return new self($count, $squares > 0.0 ? $sum * $sum / $squares : 0.0);
    }

    /** From how many there are, their units and the sum of the squares of those. */
    public static function ofSums(int $count, int $units, int $squares): self
    {
        return new self($count, $squares > 0 ? (float) $units * $units / $squares : 0.0);
    }

    /** @param  int  $least  ratings that a unit needs */
    public static function ofTable(ItemTable $table, int $least = 1): self
    {
        return self::ofSizes(self::sizes($table, $least), $table->times);
    }

    /** @return array<int, int> units by rank of the cluster */
    public static function sizes(ItemTable $table, int $least = 1): array
    {
        $sizes = [];
        foreach ($table->clusterOf as $u => $g) {
            $sizes[$g] = ($sizes[$g] ?? 0) + ($table->r[$u] >= $least ? 1 : 0);
        }

        return $sizes;
    }

    public function areFew(): bool
    {
        return $this->effective < self::FEW;
    }

    public function canResample(): bool
    {
        return $this->effective >= self::TO_RESAMPLE;
    }
}
