<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * Conger's κ (1980), weighted or not: chance from each pair of raters' own habits,
 * p_e = Σ_{g≠h} Σ_kl w_kl p_gk p_hl/(m(m−1)). Complete data only, as its source has it; standard error by
 * linearisation, conditional on the raters (Gwet 2014), over clusters by leaving each out.
 */
final readonly class CongerKappa
{
    /** @var list<list<int>> how often each rater gave each category */
    private array $given;

    /** @var list<float> a_u, the share of agreeing pairs, by unit */
    private array $agreeing;

    /** @var list<list<float>> Σ_l w_kl p_gl by rater and category k */
    private array $near;

    /** @var list<float> the same of all raters, by category */
    private array $all;

    /** Its units, those that are alike once. */
    private ItemTable $table;

    /** @var list<int> how often each unit is there */
    private array $times;

    private function __construct(private ItemTable $whole, private Weights $weights)
    {
        [$this->table, $this->times] = $whole->rows();
        $given = [];
        foreach ($this->table->columns as $column) {
            $own = array_fill(0, $whole->q, 0);
            foreach ($column as $u => $k) {
                $own[$k] += $this->times[$u];
            }
            $given[] = array_values($own);
        }
        $this->given = $given;
        $this->agreeing = $this->agreeing(null);
        // Σ_l w_kl p_gl of each rater, and of all.
        $near = [];
        $all = array_fill(0, $whole->q, 0.0);
        foreach ($given as $g => $counts) {
            $near[$g] = [];
            for ($k = 0; $k < $whole->q; $k++) {
                $sum = 0.0;
                foreach ($counts as $l => $n) {
                    $sum += $weights->w[$k * $whole->q + $l] * $n / $whole->units;
                }
                $near[$g][] = $sum;
                $all[$k] += $sum;
            }
        }
        $this->near = array_values($near);
        $this->all = array_values($all);
    }

    public static function figure(ItemTable $table, Weights $weights, Confidence $confidence): Figure
    {
        if ($table->paired === 0) {
            return Figure::undefined(Undefined::NoPairs);
        }
        if (! $table->isComplete()) {
            return Figure::undefined(Undefined::Incomplete);
        }
        if ($table->occurring() < 2) {
            return Figure::undefined($table->whyUndefined());
        }

        return (new self($table, $weights))->with($confidence);
    }

    private function with(Confidence $confidence): Figure
    {
        $t = $this->whole;
        [$kappa, $pe] = $this->value($this->given, $this->sum($this->agreeing), $t->units);
        $meets = $this->meets();
        $influences = $this->influences($this->agreeing, $meets, $kappa, $pe, count($this->given));
        $clusters = Clusters::ofTable($t);
        if ($t->grouped) {
            $figure = ClusterError::clustered(
                $kappa,
                $this->withoutClusters(),
                $clusters,
                $confidence,
                fn (): array => array_map(
                    static fn (float $v): float => $v / $t->units,
                    $this->byCluster($influences),
                ),
            );
        } else {
            $figure = ClusterError::linear($kappa, $influences, $t->units, $confidence, $this->times);
        }
        if ($figure->low !== null && $t->isPerfect()) {
            $low = ClusterError::perfectLow($t->grouped ? $clusters->count : $t->units, $pe, $confidence);
            $figure = $figure->within($low, 1.0, 'perfect-agreement bound');
        }
        [$without, $crossed] = $this->withoutReaders($meets);

        return $figure->forReadersLike(NewReaders::of($figure, $without, $crossed, $clusters, $confidence));
    }

    /**
     * @param  list<array<int, int>>  $given  by rater and category
     * @param  float  $agreeing  Σ a_u
     * @return array{float, float} κ, NAN where all gave the same category, and p_e
     */
    private function value(array $given, float $agreeing, int $units): array
    {
        $m = count($given);
        $q = $this->table->q;
        $w = $this->weights->w;
        $sum = array_fill(0, $q, 0);
        $own = 0.0;
        foreach ($given as $counts) {
            foreach ($counts as $k => $n) {
                $sum[$k] += $n;
                if ($n > 0) {
                    for ($l = 0; $l < $q; $l++) {
                        $own += $w[$k * $q + $l] * (float) $n * $counts[$l];
                    }
                }
            }
        }
        if ($units === 0 || $m < 2 || count(array_filter($sum, static fn (int $n): bool => $n > 0)) < 2) {
            return [NAN, 1.0];
        }
        $both = 0.0;
        foreach ($sum as $k => $n) {
            for ($l = 0; $l < $q; $l++) {
                $both += $w[$k * $q + $l] * (float) $n * $sum[$l];
            }
        }
        $pe = ($both - $own) / ((float) $units * $units * $m * ($m - 1.0));

        return [($agreeing / $units - $pe) / (1.0 - $pe), $pe];
    }

    /** @return list<float> κ without each cluster */
    private function withoutClusters(): array
    {
        $out = [];
        $sum = $this->sum($this->agreeing);
        $starts = [];
        foreach ($this->table->clusterOf as $u => $g) {
            $starts[$g] ??= $u;
        }
        $starts = [...array_values($starts), $this->table->units];
        for ($c = 0; $c + 1 < count($starts); $c++) {
            $given = $this->given;
            $agreeing = $sum;
            for ($u = $starts[$c]; $u < $starts[$c + 1]; $u++) {
                $agreeing -= $this->agreeing[$u];
                foreach ($this->table->columns as $g => $column) {
                    $given[$g][$column[$u]]--;
                }
            }
            $out[] = $this->value($given, $agreeing, $this->table->units - $starts[$c + 1] + $starts[$c])[0];
        }

        return $out;
    }

    /**
     * ψ_u = ((a_u − p_a) − 2(1 − κ)(e_u − p_e))/(1 − p_e), e_u what the unit's ratings meet in the other raters by
     * chance.
     *
     * @param  list<float>  $agreeing  a_u
     * @param  list<float>  $meets  e_u m(m − 1), m the raters that are meant
     * @return list<float> by unit
     */
    private function influences(array $agreeing, array $meets, float $kappa, float $pe, int $m): array
    {
        $pa = $this->sum($agreeing) / $this->whole->units;
        $scale = 1.0 / ($m * ($m - 1.0));
        $out = [];
        foreach ($agreeing as $u => $a) {
            $out[] = ($a - $pa - 2.0 * (1.0 - $kappa) * ($scale * $meets[$u] - $pe)) / (1.0 - $pe);
        }

        return $out;
    }

    /** @return list<float> Σ_g Σ_{h≠g} Σ_l w_kl p_hl by unit, k what g said of it */
    private function meets(): array
    {
        $meets = array_fill(0, count($this->times), 0.0);
        foreach ($this->table->columns as $g => $column) {
            $others = array_map(static fn (float $sum, float $own): float => $sum - $own, $this->all, $this->near[$g]);
            foreach ($column as $u => $k) {
                $meets[$u] += $others[$k];
            }
        }

        return array_values($meets);
    }

    /**
     * The same without a rater: less what that one meets in the others and they in that one.
     *
     * @param  list<float>  $meets  with all
     * @return list<float>
     */
    private function meetsWithout(int $g, array $meets): array
    {
        [$patterns, $of] = $this->table->patterns();
        $near = $this->near[$g];
        $inOne = [];
        foreach ($patterns as $counts) {
            $sum = 0.0;
            foreach ($counts as $k => $n) {
                $sum += $n * $near[$k];
            }
            $inOne[] = $sum;
        }
        $own = array_map(static fn (float $sum, float $own): float => $sum - 2.0 * $own, $this->all, $near);
        $out = [];
        foreach ($this->table->columns[$g] as $u => $k) {
            $out[] = $meets[$u] - $own[$k] - $inOne[$of[$u]];
        }

        return $out;
    }

    /** @return list<float> a_u by unit, without a rater or with all */
    private function agreeing(?int $without): array
    {
        $q = $this->table->q;
        $m = count($this->table->columns) - ($without === null ? 0 : 1);
        [$patterns, $of] = $this->table->patterns();
        $known = $out = [];
        foreach ($of as $u => $p) {
            $k = $without === null ? -1 : $this->table->columns[$without][$u];
            if (! isset($known[$p * ($q + 1) + $k + 1])) {
                $counts = $patterns[$p];
                if ($k >= 0) {
                    $counts[$k]--;
                }
                $known[$p * ($q + 1) + $k + 1] = CountSums::agreement($counts, 0, $m, $this->weights);
            }
            $out[] = $known[$p * ($q + 1) + $k + 1];
        }

        return $out;
    }

    /**
     * @param  list<float>  $meets
     * @return array{list<float>, float} κ without each rater, and ((m−1)/m) G/(G−1) Σ_g Σ_c (Σψ − mean Σψ)²/n²
     */
    private function withoutReaders(array $meets): array
    {
        $m = count($this->table->raters);
        if ($m < NewReaders::LEAST) {
            return [array_fill(0, $m, NAN), 0.0];
        }
        $values = [];
        $one = $two = [];
        foreach (array_keys($this->table->columns) as $g) {
            $given = $this->given;
            unset($given[$g]);
            $agreeing = $this->agreeing($g);
            [$value, $pe] = $this->value(array_values($given), $this->sum($agreeing), $this->whole->units);
            $values[] = $value;
            if (is_nan($value)) {
                continue;
            }
            $influences = $this->influences($agreeing, $this->meetsWithout($g, $meets), $value, $pe, $m - 1);
            foreach ($this->byCluster($influences) as $c => $v) {
                $one[$c] = ($one[$c] ?? 0.0) + $v;
                $two[$c] = ($two[$c] ?? 0.0) + $v * $v;
            }
        }
        $spread = 0.0;
        foreach ($one as $c => $v) {
            $spread += ($this->table === $this->whole ? 1 : $this->times[$c]) * max(0.0, $two[$c] - $v * $v / $m);
        }
        $clusters = $one === [] ? 0 : $this->whole->clusters;
        $n = (float) $this->whole->units;

        return [
            $values,
            $clusters < 2 ? 0.0 : $spread * (($m - 1.0) / $m) * ($clusters / ($clusters - 1.0)) / ($n * $n),
        ];
    }

    /** @param  list<float>  $byUnit */
    private function sum(array $byUnit): float
    {
        $sum = 0.0;
        foreach ($byUnit as $u => $v) {
            $sum += $this->times[$u] * $v;
        }

        return $sum;
    }

    /**
     * @param  list<float>  $byUnit
     * @return list<float> sums by cluster
     */
    private function byCluster(array $byUnit): array
    {
        $out = [];
        foreach ($this->table->clusterOf as $u => $g) {
            $out[$g] = ($out[$g] ?? 0.0) + $byUnit[$u];
        }

        return array_values($out);
    }
}
