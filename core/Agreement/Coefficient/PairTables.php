<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Resampling\ClusterError;
use Core\Agreement\Resampling\WithoutReaders;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;

/**
 * Every pair of raters on the cases both rated: their table, Cohen's κ, and the means of κ over pairs – Light's (1971)
 * over all, and each rater's with the others – with a jackknife over cases.
 */
final class PairTables
{
    /** @var list<array{int, int, list<int>}> raters and table by pair, the first before the second */
    private array $tables = [];

    /** @var list<float> κ by pair, NAN where undefined */
    private array $kappas = [];

    /** @var list<PairSpread|null> by pair */
    private array $spreads = [];

    private readonly PairJackknife $jackknife;

    /** The table, or where many of its units are alike each of those once. */
    private readonly ItemTable $rows;

    /** @var list<int>|null how often each is there; once where null */
    private readonly ?array $times;

    public function __construct(
        private readonly ItemTable $table,
        private readonly Weights $weights,
        private readonly Confidence $confidence,
    ) {
        $m = count($table->raters);
        $q = $table->q;
        [$rows, $times] = $table->rows();
        // Counting a text is quicker than counting with weights, as long as few are alike.
        [$this->rows, $this->times] = $table->times !== null || 4 * $rows->units <= $table->units
            ? [$rows, $times]
            : [$table, null];
        $text = $q < 15 && $this->times === null ? $this->asText() : null;
        $this->jackknife = new PairJackknife($this->rows, $weights);
        for ($g = 0; $g < $m; $g++) {
            $this->jackknife->turnTo($g);
            for ($h = $g + 1; $h < $m; $h++) {
                $t =
                    $text === null
                        ? self::count($this->rows->columns[$g], $this->rows->columns[$h], $this->times, $q)
                        : self::countText($text[0][$g] | $text[1][$h], $q);
                $kappa = CohenKappa::point($t, $q, $weights->isIdentity ? null : $weights->w);
                $this->tables[] = [$g, $h, $t];
                $this->kappas[] = $kappa;
                $this->spreads[] = $this->jackknife->take($h, $t, $kappa);
            }
        }
    }

    /**
     * A column of the table as a string with a byte a unit, category or 15 for missing: once in the upper half of the
     * byte and once in the lower. Laid over one another, two raters' strings give the cell of each unit, and counting
     * bytes gives their table.
     *
     * @return array{list<string>, list<string>}
     */
    private function asText(): array
    {
        $upper = $lower = [];
        $up = $down = [ItemTable::MISSING => "\xF0"];
        $down[ItemTable::MISSING] = "\x0F";
        for ($k = 0; $k < $this->table->q; $k++) {
            $up[$k] = chr(16 * $k);
            $down[$k] = chr($k);
        }
        foreach ($this->table->columns as $column) {
            $a = $b = '';
            foreach ($column as $k) {
                $a .= $up[$k];
                $b .= $down[$k];
            }
            $upper[] = $a;
            $lower[] = $b;
        }

        return [$upper, $lower];
    }

    /** @return list<int> */
    private static function countText(string $cells, int $q): array
    {
        $count = count_chars($cells, 0);
        $t = [];
        for ($a = 0; $a < $q; $a++) {
            for ($b = 0; $b < $q; $b++) {
                $t[] = $count[16 * $a + $b];
            }
        }

        return $t;
    }

    /**
     * @param  list<int>  $one
     * @param  list<int>  $two
     * @param  list<int>|null  $times
     * @return list<int>
     */
    private static function count(array $one, array $two, ?array $times, int $q): array
    {
        $t = array_fill(0, $q * $q, 0);
        foreach ($one as $u => $a) {
            $b = $two[$u];
            if ($a >= 0 && $b >= 0) {
                $t[$a * $q + $b] += $times[$u] ?? 1;
            }
        }

        return array_values($t);
    }

    /** Light's κ: the mean of the defined κ of all pairs. */
    public function light(): Figure
    {
        $figure = $this->mean(array_keys($this->table->raters), 2);
        if ($figure->estimate === null) {
            return $figure;
        }
        $clusters = Clusters::ofTable($this->table);
        $m = count($this->table->raters);
        $without = LightWithoutReaders::of($m, $this->tables, $this->kappas, $this->jackknife, $this->times);

        return $figure->forReadersLike(NewReaders::of(
            $figure,
            $without->values,
            WithoutReaders::leftOut($without->squares, $m, $clusters->count),
            $clusters,
            $this->confidence,
        ));
    }

    /** How many pairs have no defined κ. */
    public function undefined(): int
    {
        return count(array_filter($this->kappas, is_nan(...)));
    }

    /** @return array<string, Figure> the mean κ of each rater with the others, by rater */
    public function ratersVersusRest(): array
    {
        $out = [];
        foreach ($this->table->raters as $g => $rater) {
            $out[$rater] = $this->mean([$g], 1);
        }

        return $out;
    }

    /**
     * The mean of κ over the pairs of some raters; each pair is counted as often as $times says.
     *
     * @param  list<int>  $raters
     */
    private function mean(array $raters, int $times): Figure
    {
        $sum = 0.0;
        $count = 0;
        $whose = array_flip($raters);
        foreach ($this->tables as $i => [$g, $h]) {
            if (! is_nan($this->kappas[$i])) {
                $n = (isset($whose[$g]) ? 1 : 0) + (isset($whose[$h]) ? 1 : 0);
                $sum += $n * $this->kappas[$i];
                $count += $n;
            }
        }
        if ($count === 0) {
            return Figure::undefined(
                $this->table->paired === 0
                    ? Undefined::NoPairs
                    : ($times === 2
                        ? Undefined::NoPairDefined
                        : Undefined::NoPairWithRater),
            );
        }
        $left = $this->jackknife->means($raters, $sum, $count);
        $figure = $this->table->grouped
            ? ClusterError::clustered(
                $sum / $count,
                $left,
                $this->clusters($raters),
                $this->confidence,
                fn (): array => $this->meanInfluences($whose, $count),
            )
            : ClusterError::jackknifed($sum / $count, $left, $this->confidence, times: $this->times);
        if ($this->table->isPerfect()) {
            // Every defined κ is 1; the bound of the pair with the least chance agreement is the lowest there is.
            $low = 1.0;
            foreach ($this->tables as $i => [$g, $h]) {
                if ((isset($whose[$g]) || isset($whose[$h])) && ! is_nan($this->kappas[$i])) {
                    $low = min($low, $this->kappa($i)->low ?? 1.0);
                }
            }
            $bound = Figure::estimated($sum / $count, 0.0, $low, 1.0, 'perfect-agreement bound');

            return $this->table->grouped ? $bound->over($this->clusters($raters)) : $bound;
        }

        return $figure;
    }

    /**
     * Clusters by the units that any of these raters rated.
     *
     * @param  list<int>  $raters
     */
    private function clusters(array $raters): Clusters
    {
        if (count($raters) === count($this->table->raters)) {
            return Clusters::ofTable($this->table);
        }
        $sizes = [];
        foreach ($raters as $g) {
            foreach ($this->table->columns[$g] as $u => $k) {
                if ($k >= 0 && $this->table->r[$u] >= 2) {
                    $cluster = $this->table->clusterOf[$u];
                    $sizes[$cluster] = ($sizes[$cluster] ?? 0) + 1;
                }
            }
        }

        return Clusters::ofSizes($sizes);
    }

    /**
     * Σψ/n of each cluster in the mean of κ over pairs, for where κ is undefined without some cluster.
     *
     * @param  array<int, int>  $whose
     * @return array<int, float>
     */
    private function meanInfluences(array $whose, int $count): array
    {
        $out = [];
        foreach ($this->tables as $i => [$g, $h]) {
            $times = (isset($whose[$g]) ? 1 : 0) + (isset($whose[$h]) ? 1 : 0);
            foreach ($times === 0 ? [] : $this->influences($i) ?? [] as $cluster => $v) {
                $out[$cluster] = ($out[$cluster] ?? 0.0) + $times * $v / $count;
            }
        }

        return $out;
    }

    /** @return array<int, float>|null Σψ/n of each cluster in a pair's κ; null where that is undefined */
    private function influences(int $pair): ?array
    {
        [$g, $h, $t] = $this->tables[$pair];

        return self::inClusters(
            $this->table,
            $g,
            $h,
            (new CohenKappa($t, $this->confidence, $this->weights))->influences(),
            array_sum($t),
        );
    }

    /**
     * @param  list<float>|null  $byCell  ψ of each cell of their table
     * @return array<int, float>|null
     */
    private static function inClusters(ItemTable $table, int $g, int $h, ?array $byCell, int $n): ?array
    {
        if ($byCell === null) {
            return null;
        }
        $out = [];
        foreach ($table->columns[$g] as $u => $a) {
            $b = $table->columns[$h][$u];
            if ($a >= 0 && $b >= 0) {
                $cluster = $table->clusterOf[$u];
                $out[$cluster] = ($out[$cluster] ?? 0.0) + $byCell[$a * $table->q + $b] / $n;
            }
        }

        return $out;
    }

    /** A pair's κ. */
    private function kappa(int $i): Figure
    {
        $cohen = new CohenKappa($this->tables[$i][2], $this->confidence, $this->weights);
        $spread = $this->spreads[$i];

        return $spread === null
            ? $cohen->kappa()
            : $cohen->clusteredKappa($spread, fn (): ?array => $this->influences($i));
    }

    /** @return array{cohen_kappa: Figure, percent_agreement: Figure} of the first pair, over clusters */
    public function first(): array
    {
        $q = (float) $this->table->q;
        $pabak = $this->pabak(0);
        // PABAK is (q·p − 1)/(q − 1); with one category there is none and the agreement is whole.
        $share = static fn (?float $v): ?float => $v === null ? null : 1.0 - (1.0 - $v) * ($q - 1.0) / $q;
        $spread = $this->spreads[0];

        return [
            'cohen_kappa' => $this->kappa(0),
            'percent_agreement' => $pabak->estimate === null || $spread === null
                ? $pabak
                : Figure::estimated(
                    $share($pabak->estimate) ?? NAN,
                    $pabak->se === null ? null : $pabak->se * ($q - 1.0) / $q,
                    $share($pabak->low),
                    $share($pabak->high),
                    $pabak->method,
                )->over($spread->clusters),
        ];
    }

    private function pabak(int $i): Figure
    {
        [$g, $h, $t] = $this->tables[$i];
        $cohen = new CohenKappa($t, $this->confidence, $this->weights);
        $spread = $this->spreads[$i];

        return $spread === null ? $cohen->pabak() : $cohen->clusteredPabak($spread, function () use ($cohen, $g,
            $h): ?array {
            $q = $this->table->q;
            $agreement = $cohen->agreement() ?? 0.0;
            $cells = [];
            for ($k = 0; $k < $q * $q; $k++) {
                $cells[] = (float) $q / ($q - 1.0) * ((intdiv($k, $q) === $k % $q ? 1.0 : 0.0) - $agreement);
            }

            return self::inClusters($this->table, $g, $h, $cells, $cohen->n);
        });
    }

    /** @return list<PairResult> */
    public function results(?int $positive): array
    {
        $out = [];
        foreach ($this->tables as $i => [$g, $h, $t]) {
            $cohen = new CohenKappa($t, $this->confidence, $this->weights);
            $out[] = new PairResult(
                $this->table->raters[$g],
                $this->table->raters[$h],
                $cohen->n,
                $cohen->agreement(),
                $this->kappa($i),
                $this->pabak($i),
                $cohen->prevalenceIndex($positive ?? 0),
                $cohen->biasIndex($positive ?? 0),
            );
        }

        return $out;
    }
}
