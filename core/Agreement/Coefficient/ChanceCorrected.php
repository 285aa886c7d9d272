<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Weights;

/**
 * (p_a − p_e)/(1 − p_e): agreement less what chance alone would give, as a part of what is left. p_a is the mean over
 * units with two ratings or more of the weighted share of agreeing pairs; coefficients differ in p_e.
 */
abstract readonly class ChanceCorrected implements Coefficient
{
    /**
     * What a rating of each category agrees with by chance: p_e = Σ_k π_k c_k.
     *
     * @param  list<float>  $proportions  π_k
     * @return list<float> c_k by category
     */
    abstract protected function chance(array $proportions, Weights $weights): array;

    /** Whether it can be told with these shares of the categories. */
    protected function isDefined(int $categories, int $used): bool
    {
        return $categories > 1;
    }

    public function value(ItemTable $table, Weights $weights): ?float
    {
        $pi = self::proportions($table);
        $used = count(array_filter($pi, static fn (float $p): bool => $p > 0.0));
        if ($table->paired === 0 || ! $this->isDefined($table->q, $used)) {
            return null;
        }
        $chance = 0.0;
        foreach ($this->chance($pi, $weights) as $k => $c) {
            $chance += $pi[$k] * $c;
        }

        return (self::agreement($table, $weights) - $chance) / (1.0 - $chance);
    }

    /** ψ_i = (n/n2) 1_i (a_i − p_a)/(1−p_e) − 2(1−κ)(e_i − p_e)/(1−p_e); e_i is the mean c of its ratings. */
    public function influence(ItemTable $table, Weights $weights, float $value, array $proportions): Influence
    {
        $q = $table->q;
        $by = $this->chance($proportions, $weights);
        $pe = 0.0;
        foreach ($by as $k => $c) {
            $pe += $proportions[$k] * $c;
        }
        $pa = self::agreement($table, $weights);
        $out = [];
        foreach ($table->r as $u => $r) {
            $a = $e = 0.0;
            if ($r >= 2) {
                $a = CountSums::agreement($table->counts, $u * $q, $r, $weights) - $pa;
            }
            for ($k = 0; $k < $q; $k++) {
                $e += $by[$k] * $table->counts[$u * $q + $k] / $r;
            }
            $out[] =
                (((float) $table->units / $table->paired) * $a) / (1 - $pe) -
                (2 * (1 - $value) * ($e - $pe)) / (1 - $pe);
        }

        return new Influence($pe, $out);
    }

    /** p_a: over units with two ratings or more, the mean weighted share of agreeing ordered pairs of raters. */
    final protected static function agreement(ItemTable $table, Weights $weights): float
    {
        $sum = 0.0;
        for ($u = 0; $u < $table->units; $u++) {
            $given = self::given($table, $u);
            $n = count($given);
            if ($n < 2) {
                continue;
            }
            $agreeing = 0.0;
            foreach ($given as $i => $k) {
                foreach ($given as $j => $l) {
                    $agreeing += $i === $j ? 0.0 : $weights->w[$k * $weights->q + $l];
                }
            }
            $sum += $agreeing / ($n * ($n - 1));
        }

        return $sum / $table->paired;
    }

    /** @return list<float> π_k: over units, the mean share of its ratings that fall in the category */
    final protected static function proportions(ItemTable $table): array
    {
        $pi = array_fill(0, $table->q, 0.0);
        for ($u = 0; $u < $table->units; $u++) {
            $given = self::given($table, $u);
            foreach ($given as $k) {
                $pi[$k] += 1.0 / (count($given) * $table->units);
            }
        }

        return array_values($pi);
    }

    /** @return list<int> the categories that raters gave a unit */
    private static function given(ItemTable $table, int $unit): array
    {
        $given = [];
        foreach ($table->columns as $column) {
            if ($column[$unit] !== ItemTable::MISSING) {
                $given[] = $column[$unit];
            }
        }

        return $given;
    }
}
