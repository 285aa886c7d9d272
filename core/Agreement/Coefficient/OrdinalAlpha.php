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

    /**
     * Σ_{u∈g} ψ_u/n2 as IntervalAlpha has it, the ranks moving with the counts: dρ_k = Σ_{l<k} n_ul + n_uk/2. Σψ = 0,
     * as observed and expected are of degree 3 and 4 in the counts.
     *
     * @return array<int, float>|null by rank of the cluster; null where α is undefined
     */
    public function influences(): ?array
    {
        $q = $this->table->q;
        $n = array_fill(0, $q, 0);
        foreach (array_merge(...$this->units) as [, $counts]) {
            foreach ($counts as $k => $c) {
                $n[$k] += $c;
            }
        }
        $all = array_sum($n);
        $rank = [];
        $below = $s1 = $s2 = $observed = 0.0;
        foreach ($n as $k => $c) {
            $rank[$k] = $below + (float) $c / 2 - (float) $all / 2;
            $below += $c;
            $s1 += $c * $rank[$k];
            $s2 += $c * $rank[$k] * $rank[$k];
        }
        $expected = 2.0 * ($all * $s2 - $s1 * $s1);
        if ($expected <= 0.0) {
            return null;
        }
        // What the ranks do to the observed and the expected part, by category.
        $byObserved = array_fill(0, $q, 0.0);
        $byExpected = array_map(
            static fn (int $c, float $x): float => 4.0 * $c * ($all * $x - $s1),
            $n,
            array_values($rank),
        );
        foreach (array_merge(...$this->units) as [$r, $counts]) {
            $a = $b = 0.0;
            foreach ($counts as $k => $c) {
                $a += $c * $rank[$k];
                $b += $c * $rank[$k] * $rank[$k];
            }
            $observed += 2.0 * ($r * $b - $a * $a) / ($r - 1);
            foreach ($counts as $k => $c) {
                $byObserved[$k] += 4.0 * $c * ($r * $rank[$k] - $a) / ($r - 1);
            }
        }
        $alpha = 1.0 - ($all - 1) * $observed / $expected;
        $out = [];
        foreach ($this->units as $cluster => $units) {
            $sum = 0.0;
            foreach ($units as [$r, $counts]) {
                $a = $b = $below = $o = $e = 0.0;
                foreach ($counts as $k => $c) {
                    $a += $c * $rank[$k];
                    $b += $c * $rank[$k] * $rank[$k];
                    $moved = $below + $c / 2.0;
                    $below += $c;
                    $o += $byObserved[$k] * $moved;
                    $e += $byExpected[$k] * $moved;
                }
                $o += 2.0 * ($r * $b - $a * $a) / ($r - 1);
                $e += 2.0 * ($r * $s2 + $all * $b - 2.0 * $s1 * $a);
                $sum += (1.0 - $alpha) * ($e / $expected - (float) $r / $all) - ($all - 1) * $o / $expected;
            }
            $out[$cluster] = $sum;
        }

        return $out;
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
