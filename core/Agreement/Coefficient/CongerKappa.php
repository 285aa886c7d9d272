<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CaseError;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * Conger's κ (1980), weighted or not: chance from each pair of raters' own habits,
 * p_e = Σ_{g≠h} Σ_kl w_kl p_gk p_hl/(m(m−1)). Complete data only, as its source has it; standard error by
 * linearisation, conditional on the raters (Gwet 2014).
 */
final readonly class CongerKappa
{
    public static function figure(ItemTable $table, Weights $weights, Confidence $confidence): Figure
    {
        $m = count($table->raters);
        $n = $table->units;
        $q = $table->q;
        if ($table->paired === 0) {
            return Figure::undefined(Undefined::NoPairs);
        }
        if (! $table->isComplete()) {
            return Figure::undefined(Undefined::Incomplete);
        }
        if ($table->occurring() < 2) {
            return Figure::undefined($table->whyUndefined());
        }
        $share = [];
        $sum = array_fill(0, $q, 0.0);
        foreach ($table->columns as $g => $column) {
            $share[$g] = array_fill(0, $q, 0);
            foreach ($column as $k) {
                $share[$g][$k]++;
            }
            foreach ($share[$g] as $k => $c) {
                $sum[$k] += (float) $c / $n;
            }
        }
        // What a rater who says k meets in the others by chance: Σ_l w_kl Σ_{h≠g} p_hl/(m(m−1)).
        $meets = [];
        $pe = 0.0;
        foreach ($share as $g => $counts) {
            for ($k = 0; $k < $q; $k++) {
                $near = 0.0;
                for ($l = 0; $l < $q; $l++) {
                    $near += $weights->w[$k * $q + $l] * ($sum[$l] - (float) $counts[$l] / $n);
                }
                $meets[$g][$k] = $near / ($m * ($m - 1));
                $pe += (float) $counts[$k] / $n * $meets[$g][$k];
            }
        }
        $e = array_fill(0, $n, 0.0);
        foreach ($table->columns as $g => $column) {
            $own = $meets[$g];
            foreach ($column as $u => $k) {
                $e[$u] += $own[$k];
            }
        }
        $a = [];
        for ($u = 0; $u < $n; $u++) {
            $a[] = CountSums::agreement($table->counts, $u * $q, $m, $weights);
        }
        $kappa = (array_sum($a) / $n - $pe) / (1 - $pe);
        $influence = [];
        foreach ($a as $u => $agree) {
            $influence[] = ($agree - $pe) / (1 - $pe) - 2 * (1 - $kappa) * ($e[$u] - $pe) / (1 - $pe) - $kappa;
        }
        $figure = CaseError::clustered($kappa, $influence, $table->caseOf, $n, $confidence);

        return $figure->low !== null && $table->isPerfect()
            ? $figure->within(CaseError::perfectLow($n, $pe, $confidence), 1.0, 'perfect-agreement bound')
            : $figure;
    }
}
