<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\Clusters;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\Resample;

/**
 * The cluster bootstrap of all raters' tables against the key at once. The four cells of a rater's table on a cluster
 * are digits of one number, and as many raters as go share a word; so one addition a cluster serves them all.
 */
final readonly class KeyBootstrap
{
    private const NAMES = ['youden', 'mcc'];

    /** @param  array<string, KeyTable>  $tables  by rater */
    public function __construct(private array $tables, private ClusterBootstrap $bootstrap)
    {
    }

    /**
     * @param  array<string, array<string, Figure>>  $figures  by rater and name
     * @return array<string, array<string, Figure>> the same with the bootstrap's intervals, where there are clusters
     *     enough for them
     */
    public function intervals(array $figures, Confidence $confidence): array
    {
        $replicates = $this->replicates(count(self::NAMES));
        foreach (array_keys($this->tables) as $g => $rater) {
            $left = $this->tables[$rater]->leaveOneOut(false);
            foreach (self::NAMES as $i => $name) {
                $figure = $figures[$rater][$name];
                $values = $replicates[$g * count(self::NAMES) + $i];
                if (
                    $figure->estimate === null ||
                    $values === [] ||
                    count($left) < 2 ||
                    count($values) < 0.95 * $this->bootstrap->replicates ||
                    ($figure->clusters !== null && $figure->clusters < Clusters::TO_RESAMPLE)
                ) {
                    continue;
                }
                $r = Resample::bca(
                    $figure->estimate,
                    $values,
                    array_column($left, $i),
                    $confidence->level,
                    $this->bootstrap->replicates,
                );
                if ($r->low < $r->high) {
                    $figures[$rater][$name] = $figure->clusters === null
                        ? Figure::estimated($figure->estimate, $r->se, $r->low, $r->high, $r->method)
                        : $figure->within($r->low, $r->high, $r->method);
                }
            }
        }

        return $figures;
    }

    /** @return list<list<float>> by rater × statistic, the undefined left out */
    private function replicates(int $statistics): array
    {
        $clusters = $this->bootstrap->clusters;
        $most = 1;
        foreach ($this->tables as $table) {
            foreach ($table->byCluster() as $word) {
                $most = max(
                    $most,
                    $word & KeyTable::MASK,
                    ($word >> 15) & KeyTable::MASK,
                    ($word >> 30) & KeyTable::MASK,
                    $word >> 45,
                );
            }
        }
        // No cell of a draw can reach this.
        $radix = $most * $clusters + 1;
        $digits = max(1, (int) floor(62 / log($radix, 2)));
        $columns = [];
        foreach ($this->tables as $table) {
            $cells = array_fill(0, 4, array_fill(0, $clusters, 0));
            foreach ($table->byCluster() as $cluster => $word) {
                for ($i = 0; $i < 4; $i++) {
                    $cells[$i][$cluster] = $word >> (KeyTable::BITS * $i) & KeyTable::MASK;
                }
            }
            array_push($columns, ...$cells);
        }
        $words = [];
        foreach (array_chunk($columns, $digits) as $chunk) {
            $word = array_fill(0, $clusters, 0);
            foreach (array_reverse($chunk) as $column) {
                foreach ($column as $c => $v) {
                    $word[$c] = $word[$c] * $radix + $v;
                }
            }
            $words[] = array_values($word);
        }
        $out = array_fill(0, count($this->tables) * $statistics, []);
        for ($b = 1; $b <= $this->bootstrap->replicates; $b++) {
            $digit = self::digits($words, $this->bootstrap->draw($b), $radix, $digits);
            for ($g = 0, $n = count($this->tables); $g < $n; $g++) {
                foreach (
                    KeyTable::statistics(
                        $digit[4 * $g],
                        $digit[4 * $g + 1],
                        $digit[4 * $g + 2],
                        $digit[4 * $g + 3],
                        false,
                    ) as $i => $v
                ) {
                    // Not NAN; is_nan() would cost a call.
                    if ($v > -INF) {
                        $out[$g * $statistics + $i][] = $v;
                    }
                }
            }
        }

        return array_values($out);
    }

    /**
     * @param  list<list<int>>  $words
     * @param  list<int>  $draw
     * @return list<int>
     */
    private static function digits(array $words, array $draw, int $radix, int $digits): array
    {
        $length = count($draw);
        $out = [];
        for ($w = 0, $n = count($words); $w < $n; $w += 2) {
            $one = $words[$w];
            $two = $words[$w + 1] ?? $one;
            $x = $y = 0;
            for ($j = 0; $j < $length; $j += 2) {
                $c = $draw[$j];
                $t = $draw[$j + 1];
                $x += $t * $one[$c];
                $y += $t * $two[$c];
            }
            for ($i = 0; $i < $digits; $i++) {
                $out[] = $x % $radix;
                $x = intdiv($x, $radix);
            }
            for ($i = 0; $i < $digits; $i++) {
                $out[] = $y % $radix;
                $y = intdiv($y, $radix);
            }
        }

        return $out;
    }
}
