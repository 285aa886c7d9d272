<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\Agreement\Wilson;

/**
 * Cohen's κ of two raters, weighted or not (Cohen 1960, 1968), with the large-sample standard error of Fleiss, Cohen
 * & Everitt (1969), and what explains it: agreement, PABAK, prevalence and bias index (Byrt, Bishop & Carlin 1993).
 */
final readonly class CohenKappa
{
    public int $n;

    private int $agreeing;

    private int $q;

    private Weights $weights;

    /**
     * @param  list<int>  $table  q × q row by row, rows the first rater's category, columns the second's
     */
    public function __construct(
        private array $table,
        private Confidence $confidence = new Confidence(),
        ?Weights $weights = null,
    ) {
        $this->q = $q = (int) round(sqrt(count($table)));
        $this->n = array_sum($table);
        $agreeing = 0;
        for ($k = 0; $k < $q; $k++) {
            $agreeing += $table[$k * $q + $k];
        }
        $this->agreeing = $agreeing;
        $this->weights = $weights ?? Weights::identity($q);
    }

    /**
     * κ = (p_o − p_e)/(1 − p_e) with p_o = Σ w p_kl, p_e = Σ w p_k. p_.l; NAN where there are fewer than two cases or
     * p_e = 1.
     *
     * @param  array<int, int>  $table
     * @param  list<float>|null  $w  q × q; identity where null
     */
    public static function point(array $table, int $q, ?array $w = null): float
    {
        if ($q === 2 && $w === null) {
            return self::twoByTwo($table[0], $table[1], $table[2], $table[3]);
        }
        $rows = $columns = [];
        $n = $agreeing = 0;
        for ($k = 0; $k < $q; $k++) {
            $row = $column = 0;
            for ($l = 0; $l < $q; $l++) {
                $row += $table[$k * $q + $l];
                $column += $table[$l * $q + $k];
            }
            $rows[] = $row;
            $columns[] = $column;
            $agreeing += $table[$k * $q + $k];
            $n += $row;
        }
        $chance = 0;
        for ($k = 0; $k < $q; $k++) {
            $chance += $rows[$k] * $columns[$k];
        }
        if ($n < 2 || $chance === $n * $n) {
            return NAN;
        }
        if ($w === null) {
            return (float) ($n * $agreeing - $chance) / (float) ($n * $n - $chance);
        }
        $observed = $expected = 0.0;
        for ($k = 0; $k < $q; $k++) {
            for ($l = 0; $l < $q; $l++) {
                $observed += $w[$k * $q + $l] * $table[$k * $q + $l];
                $expected += $w[$k * $q + $l] * $rows[$k] * $columns[$l];
            }
        }

        return ($n * $observed - $expected) / ($n * $n - $expected);
    }

    /** κ of two raters and two categories; NAN where it is undefined. */
    public static function twoByTwo(int $a, int $b, int $c, int $d): float
    {
        $n = $a + $b + $c + $d;
        $chance = ($a + $b) * ($a + $c) + ($c + $d) * ($b + $d);

        return $n < 2 || $chance === $n * $n ? NAN : (float) ($n * ($a + $d) - $chance) / (float) ($n * $n - $chance);
    }

    public function agreement(): ?float
    {
        return $this->n === 0 ? null : (float) $this->agreeing / (float) $this->n;
    }

    public function kappa(): Figure
    {
        if ($this->n < 2) {
            return Figure::undefined(Undefined::FewCasesByBoth);
        }
        $q = $this->q;
        $n = $this->n;
        $w = $this->weights->w;
        $kappa = self::point($this->table, $q, $this->weights->isIdentity ? null : $w);
        if (is_nan($kappa)) {
            return Figure::undefined(Undefined::SameCategoryThroughout);
        }
        $rows = $columns = array_fill(0, $q, 0);
        foreach ($this->table as $i => $count) {
            $rows[intdiv($i, $q)] += $count;
            $columns[$i % $q] += $count;
        }
        $meanRow = $meanColumn = array_fill(0, $q, 0.0);
        $pe = 0.0;
        for ($k = 0; $k < $q; $k++) {
            for ($l = 0; $l < $q; $l++) {
                $meanRow[$k] += $w[$k * $q + $l] * (float) $columns[$l] / (float) $n;
                $meanColumn[$l] += $w[$k * $q + $l] * (float) $rows[$k] / (float) $n;
                $pe += $w[$k * $q + $l] * (float) $rows[$k] * (float) $columns[$l] / (float) $n / (float) $n;
            }
        }
        $sum = 0.0;
        foreach ($this->table as $i => $count) {
            if ($count > 0) {
                $d = $w[$i] - ($meanRow[intdiv($i, $q)] + $meanColumn[$i % $q]) * (1 - $kappa);
                $sum += (float) $count / (float) $n * $d * $d;
            }
        }
        $se = sqrt(max(0.0, $sum - ($kappa - $pe * (1 - $kappa)) ** 2) / $n) / (1 - $pe);

        return $this->agreeing === $n
            ? Figure::estimated(
                $kappa,
                $se,
                ClusterError::perfectLow($n, $pe, $this->confidence),
                1.0,
                'perfect-agreement bound',
            )
            : Figure::around($kappa, $se, $this->confidence->z, 'analytic');
    }

    /**
     * κ of cases in clusters: by leaving out each.
     *
     * @param  \Closure(): (iterable<float>|null)  $linear  Σψ/n of each cluster
     */
    public function clusteredKappa(PairSpread $spread, \Closure $linear): Figure
    {
        $plain = $this->kappa();
        if ($plain->estimate === null) {
            return $plain;
        }
        $figure = ClusterError::spread(
            $plain->estimate,
            $spread->kappa,
            $spread->clusters,
            $this->confidence,
            $linear,
        );

        return $this->agreeing === $this->n && $figure->low !== null
            ? $figure->within(
                ClusterError::perfectLow($spread->clusters->count, $this->chance(), $this->confidence),
                1.0,
                'perfect-agreement bound',
            )
            : $figure;
    }

    /** p_e = Σ w p_k. p_.l */
    private function chance(): float
    {
        $q = $this->q;
        $pe = 0.0;
        [$rows, $columns] = $this->margins();
        foreach ($this->weights->w as $i => $w) {
            $pe += $w * $rows[intdiv($i, $q)] * $columns[$i % $q];
        }

        return $pe;
    }

    /** @return array{list<float>, list<float>} shares of each category, of the first rater and of the second */
    private function margins(): array
    {
        $rows = $columns = array_fill(0, $this->q, 0.0);
        foreach ($this->table as $i => $count) {
            $rows[intdiv($i, $this->q)] += (float) $count / $this->n;
            $columns[$i % $this->q] += (float) $count / $this->n;
        }

        return [array_values($rows), array_values($columns)];
    }

    /**
     * ψ of a case in each cell: [w_xy − p_o − (1−κ)(w̄_x. + w̄_.y − 2p_e)]/(1−p_e).
     *
     * @return list<float>|null as the table; null where κ is undefined
     */
    public function influences(): ?array
    {
        $q = $this->q;
        $w = $this->weights->w;
        $kappa = self::point($this->table, $q, $this->weights->isIdentity ? null : $w);
        if (is_nan($kappa)) {
            return null;
        }
        [$rows, $columns] = $this->margins();
        $meanRow = $meanColumn = array_fill(0, $q, 0.0);
        $po = 0.0;
        foreach ($w as $i => $v) {
            $meanRow[intdiv($i, $q)] += $v * $columns[$i % $q];
            $meanColumn[$i % $q] += $v * $rows[intdiv($i, $q)];
            $po += $v * $this->table[$i] / $this->n;
        }
        $pe = $this->chance();
        $out = [];
        foreach ($w as $i => $v) {
            $met = $meanRow[intdiv($i, $q)] + $meanColumn[$i % $q];
            $out[] = ($v - $po - (1.0 - $kappa) * ($met - 2.0 * $pe)) / (1.0 - $pe);
        }

        return $out;
    }

    /** PABAK of cases in clusters: by leaving out each. */
    public function clusteredPabak(PairSpread $spread, \Closure $linear): Figure
    {
        $plain = $this->pabak();
        if ($plain->estimate === null) {
            return $plain;
        }
        $scale = (float) $this->q / ((float) $this->q - 1.0);
        $figure = ClusterError::spread(
            $plain->estimate,
            $scale * $scale * $spread->agreement,
            $spread->clusters,
            $this->confidence,
            $linear,
            1.0 - $scale,
        );
        if ($figure->low === null || ($this->agreeing > 0 && $this->agreeing < $this->n)) {
            return $figure;
        }
        $least = $spread->clusters->count / ($spread->clusters->count + $this->confidence->z ** 2);
        [$low, $high] = $this->agreeing > 0 ? [$least, 1.0] : [0.0, 1.0 - $least];

        return $figure->within(1.0 - $scale * (1.0 - $low), 1.0 - $scale * (1.0 - $high), 'perfect-agreement bound');
    }

    /**
     * (q·p_o − 1)/(q − 1): κ as it would be with even prevalence and no bias; Wilson's interval put through the same
     * scale.
     */
    public function pabak(): Figure
    {
        $q = $this->q;
        if ($this->n === 0 || $q < 2) {
            return Figure::undefined($this->n === 0 ? Undefined::NoCaseByBoth : Undefined::OneCategoryOnly);
        }
        $p = (float) $this->agreeing / (float) $this->n;
        [$low, $high] = Wilson::interval($this->agreeing, $this->n, $this->confidence);
        $scale = static fn (float $v): float => ((float) $q * $v - 1.0) / ((float) $q - 1.0);

        return Figure::estimated(
            $scale($p),
            ((float) $q / ((float) $q - 1.0)) * sqrt(($p * (1.0 - $p)) / (float) $this->n),
            $scale($low),
            $scale($high),
            'wilson',
        );
    }

    /** (both positive − both negative)/n; null unless there are two categories. */
    public function prevalenceIndex(int $positive = 0): ?float
    {
        return $this->q === 2 && $this->n > 0
            ? (float) ($this->table[3 * $positive] - $this->table[3 * (1 - $positive)]) / (float) $this->n
            : null;
    }

    /** (first positive, second not − the reverse)/n; null unless there are two categories. */
    public function biasIndex(int $positive = 0): ?float
    {
        return $this->q === 2 && $this->n > 0
            ? (float) ($this->table[1 + $positive] - $this->table[2 - $positive]) / (float) $this->n
            : null;
    }
}
