<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * Conger's κ (1980): chance from each rater's own marginals. Complete data only, as its source has it;
 * standard error by linearisation, conditional on the raters.
 */
final readonly class CongerKappa
{
    /**
     * @param  list<array<int, int>>  $units  per unit, category by rater
     * @param  list<int>  $caseOf  per unit
     */
    public static function figure(array $units, array $caseOf, int $raters, int $q, float $confidence): Figure
    {
        $n = count($units);
        if ($raters < 2 || $n === 0) {
            return Figure::undefined('fewer than two ratings on every case');
        }
        $used = $marginal = [];
        foreach ($units as $row) {
            if (count($row) !== $raters) {
                return Figure::undefined('needs every rater to have rated every case');
            }
            foreach ($row as $rater => $k) {
                $marginal[$rater][$k] = ($marginal[$rater][$k] ?? 0) + 1;
                $used[$k] = true;
            }
        }
        if (count($used) < 2) {
            return Figure::undefined($q === 1 ? 'only one category occurs, so chance cannot be told from agreement' : 'every rating is the same, so the chance term is 1');
        }
        $sum = array_fill(0, $q, 0.0);
        foreach ($marginal as $row) {
            foreach ($row as $k => $c) {
                $sum[$k] += $c / $n;
            }
        }
        $scale = $raters * ($raters - 1);
        $pe = $pa = 0.0;
        foreach ($marginal as $row) {
            foreach ($row as $k => $c) {
                $pe += $c / $n * ($sum[$k] - $c / $n) / $scale;
            }
        }
        $a = $e = [];
        foreach ($units as $i => $row) {
            $same = 0;
            $e[$i] = 0.0;
            foreach (array_count_values($row) as $c) {
                $same += $c * ($c - 1);
            }
            foreach ($row as $rater => $k) {
                $e[$i] += ($sum[$k] - $marginal[$rater][$k] / $n) / $scale;
            }
            $a[$i] = $same / $scale;
            $pa += $a[$i] / $n;
        }
        $kappa = ($pa - $pe) / (1 - $pe);
        $byCase = [];
        foreach ($a as $i => $agree) {
            $d = ($agree - $pe) / (1 - $pe) - 2 * (1 - $kappa) * ($e[$i] - $pe) / (1 - $pe) - $kappa;
            $byCase[$caseOf[$i]] = ($byCase[$caseOf[$i]] ?? 0.0) + $d;
        }
        $c = count($byCase);
        if ($c < 2) {
            return Figure::of($kappa, null, null, null, 'point');
        }
        $se = sqrt($c / ($c - 1) * array_sum(array_map(static fn (float $d): float => $d * $d, $byCase))) / $n;
        $figure = Figure::around($kappa, $se, Distribution::studentQuantile(0.5 + $confidence / 2, $c - 1), 'analytic');

        return array_sum(array_map(static fn (array $row): int => count(array_unique($row)) - 1, $units)) === 0
            ? $figure->within(Coefficients::perfectLow($n, $pe, $confidence), 1.0, 'perfect-agreement bound')
            : $figure;
    }
}
