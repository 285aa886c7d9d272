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
        $q = $table->q;
        [$patterns, $patternOf] = $table->patterns();
        $units = [];
        $values = array_fill(0, $figures, []);
        $one = $two = array_fill(0, $figures, array_fill_keys($sums->ranks, 0.0));
        foreach ($table->columns as $column) {
            // A unit's pattern and what the reader said of it make what is left of it.
            $left = [];
            foreach ($column as $u => $k) {
                $left[] = $patternOf[$u] * ($q + 1) + $k + 1;
            }
            $total = array_fill(0, $sums->size, 0.0);
            $times = array_count_values($left);
            foreach ($times as $id => $n) {
                $units[$id] ??= self::unit($patterns[intdiv($id, $q + 1)], $id % ($q + 1) - 1, $weights);
                foreach ($units[$id] as $i => $v) {
                    $total[$i] += $n * $v;
                }
            }
            $total = array_values($total);
            $statistics = $sums->statistics($total);
            foreach (CountInfluence::forms($total, $statistics, $q, $weights) as $f => $form) {
                $values[$f][] = $statistics[$f];
                if ($form === null) {
                    continue;
                }
                $n = $f === 4 ? 1 : 0;
                $scale = $total[$n] / $sums->total[$n];
                $adds = [];
                foreach ($times as $id => $_) {
                    $adds[$id] = 0.0;
                    foreach ($units[$id] as $i => $v) {
                        $adds[$id] += $scale * $form[$i] * $v;
                    }
                }
                self::gather($table->clusterOf, $left, $adds, $one[$f], $two[$f]);
            }
        }
        $crossed = [];
        foreach ($one as $f => $sum) {
            $spread = 0.0;
            foreach ($sum as $rank => $v) {
                $spread += max(0.0, $two[$f][$rank] - $v * $v / $m);
            }
            $g = Clusters::ofTable($table, $f === 4 ? 2 : 1)->count;
            $crossed[] = $g < 2 ? 0.0 : $spread * (($m - 1.0) / $m) * ($g / ($g - 1.0));
        }

        return new self($values, $crossed);
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
     * Adds up the parts of each cluster's units, and their squares.
     *
     * @param  list<int>  $clusterOf
     * @param  list<int>  $left
     * @param  array<int, float>  $adds  by what is left of a unit
     * @param  array<int, float>  $one
     * @param  array<int, float>  $two
     */
    private static function gather(array $clusterOf, array $left, array $adds, array &$one, array &$two): void
    {
        $sum = 0.0;
        $last = $clusterOf[0];
        foreach ($left as $u => $id) {
            $cluster = $clusterOf[$u];
            if ($cluster !== $last) {
                $one[$last] += $sum;
                $two[$last] += $sum * $sum;
                $sum = 0.0;
                $last = $cluster;
            }
            $sum += $adds[$id];
        }
        $one[$last] += $sum;
        $two[$last] += $sum * $sum;
    }
}
