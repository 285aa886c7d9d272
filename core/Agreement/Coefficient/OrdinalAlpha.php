<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\Resampled;

/**
 * Krippendorff's α with the ordinal difference (Krippendorff 2004): δ_kl = (Σ_{g=k..l} n_g − (n_k + n_l)/2)², which is
 * the squared difference of the categories' middle ranks among all pairable values; so α is that of the middle ranks,
 * found anew in every draw.
 */
final readonly class OrdinalAlpha implements Resampled
{
    /**
     * @var array<int, list<array{int, list<int>}>> ratings and counts by category of each unit with two ratings, by
     * rank of the case
     */
    private array $units;

    public function __construct(private ItemTable $table)
    {
        $units = [];
        $q = $table->q;
        foreach ($table->clusterOf as $u => $case) {
            if ($table->r[$u] >= 2) {
                $units[$case][] = [$table->r[$u], array_slice($table->counts, $u * $q, $q)];
            }
        }
        $this->units = $units;
    }

    /** @param  array<int, int>  $times  how often each case counts */
    private function alpha(array $times): float
    {
        $q = $this->table->q;
        $n = array_fill(0, $q, 0);
        $all = 0;
        foreach ($times as $case => $t) {
            foreach ($this->units[$case] ?? [] as [$r, $counts]) {
                $all += $t * $r;
                for ($k = 0; $k < $q; $k++) {
                    $n[$k] += $t * $counts[$k];
                }
            }
        }
        $rank = [];
        $below = $s1 = $s2 = 0.0;
        foreach ($n as $k => $c) {
            $rank[$k] = $below + (float) $c / 2 - (float) $all / 2;
            $below += $c;
            $s1 += $c * $rank[$k];
            $s2 += $c * $rank[$k] * $rank[$k];
        }
        if (count(array_filter($n, static fn (int|float $c): bool => $c > 0)) < 2) {
            return NAN;
        }
        $observed = 0.0;
        foreach ($times as $case => $t) {
            foreach ($this->units[$case] ?? [] as [$r, $counts]) {
                $a = $b = 0.0;
                for ($k = 0; $k < $q; $k++) {
                    $a += $counts[$k] * $rank[$k];
                    $b += $counts[$k] * $rank[$k] * $rank[$k];
                }
                $observed += $t * 2 * ($r * $b - $a * $a) / ($r - 1);
            }
        }

        return 1 - ($all - 1) * $observed / (2 * ($all * $s2 - $s1 * $s1));
    }

    public function estimates(): array
    {
        return [$this->alpha(array_map(static fn (): int => 1, $this->units))];
    }

    public function leaveOneOut(): array
    {
        $out = [];
        $all = array_map(static fn (): int => 1, $this->units);
        foreach ($all as $case => $_) {
            $rest = $all;
            unset($rest[$case]);
            $out[] = [$this->alpha($rest)];
        }

        return $out;
    }

    public function replicate(array $draw): array
    {
        $times = [];
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            $times[$draw[$j]] = $draw[$j + 1];
        }

        return [$this->alpha($times)];
    }
}
