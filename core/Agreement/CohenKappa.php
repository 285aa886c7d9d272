<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * Cohen's κ of two raters (Cohen 1960) with the large-sample standard error of Fleiss, Cohen & Everitt
 * (1969), and what explains it: agreement, PABAK, prevalence and bias index (Byrt, Bishop & Carlin 1993).
 */
final readonly class CohenKappa
{
    private int $n;

    /**
     * @param  list<list<int>>  $table  rows the first rater's category, columns the second's
     */
    public function __construct(private array $table, private float $confidence = 0.95)
    {
        $this->n = array_sum(array_map(array_sum(...), $table));
    }

    public function agreement(): ?float
    {
        return $this->n === 0 ? null : $this->agreeing() / $this->n;
    }

    public function kappa(): Figure
    {
        $q = count($this->table);
        if ($this->n < 2) {
            return Figure::undefined('fewer than two cases rated by both');
        }
        $rows = array_map(array_sum(...), $this->table);
        $columns = [];
        for ($k = 0; $k < $q; $k++) {
            $columns[] = array_sum(array_column($this->table, $k));
        }
        $chance = 0;
        foreach ($rows as $k => $r) {
            $chance += $r * $columns[$k];
        }
        $n = $this->n;
        if ($chance === $n * $n) {
            return Figure::undefined('both used one and the same category throughout, so the chance term is 1');
        }
        $po = $this->agreeing() / $n;
        $pe = $chance / ($n * $n);
        $kappa = ($po - $pe) / (1 - $pe);
        $sum = 0.0;
        for ($i = 0; $i < $q; $i++) {
            for ($j = 0; $j < $q; $j++) {
                $w = ($i === $j ? 1.0 : 0.0) - ($columns[$i] / $n + $rows[$j] / $n) * (1 - $kappa);
                $sum += $this->table[$i][$j] / $n * $w * $w;
            }
        }
        $se = sqrt(max(0.0, $sum - ($kappa - $pe * (1 - $kappa)) ** 2) / $n) / (1 - $pe);
        $figure = Figure::around($kappa, $se, Distribution::normalQuantile(0.5 + $this->confidence / 2), 'analytic');

        return $this->agreeing() === $n
            ? $figure->within(Coefficients::perfectLow($n, $pe, $this->confidence), 1.0, 'perfect-agreement bound')
            : $figure;
    }

    public function pabak(): Figure
    {
        $q = count($this->table);
        if ($this->n === 0 || $q < 2) {
            return Figure::undefined($this->n === 0 ? 'no case rated by both' : 'only one category occurs');
        }
        $p = $this->agreeing() / $this->n;
        $interval = Wilson::interval($this->agreeing(), $this->n, $this->confidence);
        $scale = static fn (float $v): float => ($q * $v - 1) / ($q - 1);

        return Figure::of($scale($p), $q / ($q - 1) * sqrt($p * (1 - $p) / $this->n), $scale($interval[0]), $scale($interval[1]), 'wilson');
    }

    /** (both positive − both negative)/n; null unless there are two categories. */
    public function prevalenceIndex(int $positive = 0): ?float
    {
        return count($this->table) === 2 && $this->n > 0 ? ($this->table[$positive][$positive] - $this->table[1 - $positive][1 - $positive]) / $this->n : null;
    }

    /** (first positive, second not − the reverse)/n; null unless there are two categories. */
    public function biasIndex(int $positive = 0): ?float
    {
        return count($this->table) === 2 && $this->n > 0 ? ($this->table[$positive][1 - $positive] - $this->table[1 - $positive][$positive]) / $this->n : null;
    }

    public function n(): int
    {
        return $this->n;
    }

    private function agreeing(): int
    {
        $sum = 0;
        foreach ($this->table as $k => $row) {
            $sum += $row[$k];
        }

        return $sum;
    }
}
