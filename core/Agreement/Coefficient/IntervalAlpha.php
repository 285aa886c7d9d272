<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\Resampled;

/**
 * Krippendorff's α with the interval difference (a − b)² (Krippendorff 2004), from four sums a case.
 *
 * Σ o_kl (x_k − x_l)² = Σ_i 2(r Σx² − (Σx)²)/(r − 1) over units with two ratings or more, and
 * Σ n_k n_l (x_k − x_l)² = 2(N Σx² − (Σx)²).
 */
final readonly class IntervalAlpha implements Resampled
{
    /** @var array<int, array{float, float, float, float}> observed, N, Σx, Σx² by rank of the cluster */
    private array $sums;

    public function __construct(ItemTable $table)
    {
        // Numbers are taken from their middle, so that squares keep their digits.
        $middle = $table->numbers === [] ? 0.0 : ($table->numbers[0] + $table->numbers[count($table->numbers) - 1]) / 2;
        $n = array_fill(0, $table->units, 0);
        $s1 = $s2 = array_fill(0, $table->units, 0.0);
        foreach ($table->columns as $column) {
            foreach ($column as $u => $k) {
                if ($k >= 0) {
                    $x = $table->numbers[$k] - $middle;
                    $n[$u]++;
                    $s1[$u] += $x;
                    $s2[$u] += $x * $x;
                }
            }
        }
        $sums = [];
        foreach ($table->clusterOf as $u => $case) {
            if ($n[$u] >= 2) {
                [$o, $count, $a, $b] = $sums[$case] ?? [0.0, 0.0, 0.0, 0.0];
                $sums[$case] = [
                    $o + (2 * ($n[$u] * $s2[$u] - $s1[$u] * $s1[$u])) / ($n[$u] - 1),
                    $count + $n[$u],
                    $a + $s1[$u],
                    $b + $s2[$u],
                ];
            }
        }
        $this->sums = $sums;
    }

    private static function alpha(float $o, float $n, float $s1, float $s2): float
    {
        $expected = 2 * ($n * $s2 - $s1 * $s1);

        return $n > 1.5 && $expected > 1e-12 * max(1e-300, $n * $s2) ? 1 - ($n - 1) * $o / $expected : NAN;
    }

    /** @return array{float, float, float, float} */
    private function total(): array
    {
        $total = [0.0, 0.0, 0.0, 0.0];
        foreach ($this->sums as $sum) {
            foreach ($sum as $i => $v) {
                $total[$i] += $v;
            }
        }

        return $total;
    }

    public function estimates(): array
    {
        return [self::alpha(...$this->total())];
    }

    /**
     * Σ_{u∈g} ψ_u/n2 with ψ_i = n2{(1−α)[2Σ_kl n_ik n_l δ_kl/D_e − r_i/N] − (N−1) d_i/D_e}.
     *
     * @return array<int, float>|null by rank of the cluster; null where α is undefined
     */
    public function influences(): ?array
    {
        [$o, $n, $s1, $s2] = $this->total();
        $alpha = self::alpha($o, $n, $s1, $s2);
        if (is_nan($alpha)) {
            return null;
        }
        $expected = 2 * ($n * $s2 - $s1 * $s1);

        return array_map(
            static fn (array $c): float => (1 - $alpha) *
                (2 * ($c[1] * $s2 - 2 * $c[2] * $s1 + $n * $c[3]) / $expected - $c[1] / $n) -
                ($n - 1) * $c[0] / $expected,
            $this->sums,
        );
    }

    public function leaveOneOut(): array
    {
        [$o, $n, $a, $b] = $this->total();

        return array_values(
            array_map(
                static fn (array $s): array => [self::alpha($o - $s[0], $n - $s[1], $a - $s[2], $b - $s[3])],
                $this->sums,
            ),
        );
    }

    public function replicate(array $draw): array
    {
        $o = $n = $a = $b = 0.0;
        for ($j = 0, $length = count($draw); $j < $length; $j += 2) {
            $s = $this->sums[$draw[$j]] ?? null;
            if ($s !== null) {
                $t = $draw[$j + 1];
                $o += $t * $s[0];
                $n += $t * $s[1];
                $a += $t * $s[2];
                $b += $t * $s[3];
            }
        }

        return [self::alpha($o, $n, $a, $b)];
    }
}
