<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\Clusters;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Weights;

/**
 * The count-based coefficients without each reader in turn, and how far a cluster's part in them depends on who is left
 * out: what is needed to speak of readers like these.
 */
final readonly class WithoutReaders
{
    /**
     * @param  list<list<float>>  $values  by coefficient, as CountSums::statistics(), and reader; NAN where undefined
     * @param  list<float>  $crossed  ((m−1)/m) G/(G−1) Σ_g Σ_c (Σ_{i∈c} (ψ_i^(−g) − ψ̄_i))²/N², by coefficient
     */
    private function __construct(public array $values, public array $crossed)
    {
    }

    /** @param  int  $figures  how many coefficients there are */
    public static function ofTable(ItemTable $table, Weights $weights, CountSums $sums, int $figures): self
    {
        $m = count($table->raters);
        if ($m < NewReaders::LEAST) {
            return new self(array_fill(0, $figures, array_fill(0, $m, NAN)), array_fill(0, $figures, 0.0));
        }
        $values = array_fill(0, $figures, []);
        [$rows, $times] = $table->rows();
        $one = $two = array_fill(0, $figures, array_fill_keys($rows->clusterOf, 0.0));
        foreach (self::each($rows, $weights, $sums, $times) as [$statistics, $parts]) {
            foreach ($statistics as $f => $value) {
                $values[$f][] = $value;
                foreach ($parts[$f] as $rank => $v) {
                    $one[$f][$rank] += $v;
                    $two[$f][$rank] += $v * $v;
                }
            }
        }
        $crossed = [];
        foreach ($one as $f => $sum) {
            $spread = 0.0;
            foreach ($sum as $rank => $v) {
                $spread += ($rows === $table ? 1 : $times[$rank]) * max(0.0, $two[$f][$rank] - $v * $v / $m);
            }
            $over = $f > 4
                ? Clusters::ofSizes($sums->possible($f - 5), $table->times)
                : Clusters::ofTable($table, $f === 4 ? 2 : 1);
            $crossed[] = self::scaled($spread, $m, $over->count);
        }

        return new self($values, $crossed);
    }

    /** ((m−1)/m) G/(G−1) of a sum of squares. */
    public static function scaled(float $squares, int $readers, int $clusters): float
    {
        return $clusters < 2
            ? 0.0
            : $squares * (($readers - 1.0) / $readers) * ($clusters / ($clusters - 1.0));
    }

    /** The same of Σ_g Σ_c (δ_gc − δ̄_c)², δ what leaving a cluster out does: a cluster's part is ((G−1)/G) δ. */
    public static function leftOut(float $squares, int $readers, int $clusters): float
    {
        return self::scaled($squares * (($clusters - 1.0) / max(1, $clusters)) ** 2, $readers, $clusters);
    }

    /**
     * Reader by reader: the coefficients without this one, and Σ_{i∈c} ψ_i^(−g)/N of each cluster, by coefficient and
     * rank; none where a coefficient is undefined.
     *
     * @param  list<int>|null  $often  how often each unit is there; once where null
     * @return \Generator<array{list<float>, list<array<int, float>>}>
     */
    public static function each(ItemTable $table, Weights $weights, CountSums $sums, ?array $often = null): \Generator
    {
        $q = $table->q;
        [$patterns, $patternOf] = $table->patterns();
        $units = [];
        foreach ($table->columns as $column) {
            // A unit's pattern and what the reader said of it make what is left of it.
            $left = [];
            foreach ($column as $u => $k) {
                $left[] = $patternOf[$u] * ($q + 1) + $k + 1;
            }
            $total = array_fill(0, $sums->size, 0.0);
            $times = $often === null ? array_count_values($left) : self::added($left, $often);
            foreach ($times as $id => $n) {
                $units[$id] ??= self::unit($patterns[intdiv($id, $q + 1)], $id % ($q + 1) - 1, $weights);
                foreach ($units[$id] as $i => $v) {
                    $total[$i] += $n * $v;
                }
            }
            $total = array_values($total);
            $statistics = $sums->statistics($total);
            $parts = [];
            foreach (CountInfluence::forms($total, $statistics, $q, $weights) as $f => $form) {
                $parts[$f] = [];
                if ($form === null) {
                    continue;
                }
                // Divided by the units that are left; those of the whole are meant.
                $n = $f === 4 ? 1 : 0;
                $scale = $total[$n] / $sums->total[$n];
                $adds = [];
                $form = array_filter($form, static fn (float $by): bool => $by !== 0.0);
                foreach ($times as $id => $_) {
                    $sum = 0.0;
                    foreach ($form as $i => $by) {
                        $sum += $by * ($units[$id][$i] ?? 0.0);
                    }
                    $adds[$id] = $scale * $sum;
                }
                $parts[$f] = self::gathered($table->clusterOf, $left, $adds);
            }
            yield [$statistics, array_values($parts)];
        }
    }

    /**
     * @param  list<int>  $left
     * @param  list<int>  $often
     * @return array<int, int> by what is left
     */
    private static function added(array $left, array $often): array
    {
        $out = [];
        foreach ($left as $u => $id) {
            $out[$id] = ($out[$id] ?? 0) + $often[$u];
        }

        return $out;
    }

    /**
     * @param  list<int>  $counts
     * @param  int  $k  the category of the rating that is taken away; -1 for none
     * @return array<int, float> the unit's sums, none where nothing is left
     */
    private static function unit(array $counts, int $k, Weights $weights): array
    {
        if ($k >= 0) {
            $counts[$k]--;
        }

        return array_sum($counts) === 0 ? [] : CountSums::ofUnit(array_values($counts), $weights);
    }

    /**
     * @param  list<int>  $clusterOf
     * @param  list<int>  $left
     * @param  array<int, float>  $adds  by what is left of a unit
     * @return array<int, float> the parts of each cluster's units added up, by rank
     */
    private static function gathered(array $clusterOf, array $left, array $adds): array
    {
        $out = [];
        $sum = 0.0;
        $last = $clusterOf[0];
        foreach ($left as $u => $id) {
            $cluster = $clusterOf[$u];
            if ($cluster !== $last) {
                $out[$last] = $sum;
                $sum = 0.0;
                $last = $cluster;
            }
            $sum += $adds[$id];
        }
        $out[$last] = $sum;

        return $out;
    }
}
