<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;
use Core\Agreement\ItemTable;
use Core\Agreement\Weights;

/**
 * What leaving out one case at a time does to the κ of every pair of raters, added up by rater.
 *
 * Leaving out a case takes its cells from the pair's table. Where a case holds one unit, only q² tables can come of
 * that, and κ is not computed again for every case; where it holds more, what both raters did with them is read off
 * bits.
 */
final class PairJackknife
{
    /** @var array<int, array<int, float>> by rater and case: what leaving out the case adds to the rater's sum of κ */
    private array $without;

    /** @var array<int, array<int, int>> by rater and case: how many of the rater's κ are lost or won without the case */
    private array $lost;

    /** @var array<int, array<int, float>> what taking away a cell does to κ, by rater and the other's cell */
    private array $change = [];

    /** @var list<int> where the units of each case end */
    private array $ends = [];

    /** @var array<int, list<list<int>>>|null */
    private readonly ?array $masks;

    private readonly bool $single;

    /** @var list<int> how many bits are set in a number below 65,536 */
    private array $bits = [];

    /** The first rater of the pairs that come. */
    private int $first = 0;

    /**
     * @var list<int> where the first rater's category begins in a table with a row and a column for what is missing, by
     * unit
     */
    private array $rows = [];

    public function __construct(private readonly ItemTable $table, private readonly Weights $weights)
    {
        foreach ($table->clusterOf as $u => $case) {
            if (($table->clusterOf[$u + 1] ?? null) !== $case) {
                $this->ends[] = $u + 1;
            }
        }
        $m = count($table->raters);
        $this->without = array_fill(0, $m, array_fill(0, count($this->ends), 0.0));
        $this->lost = array_fill(0, $m, array_fill(0, count($this->ends), 0));
        $this->single = ! $table->grouped && $table->units === count($this->ends);
        $this->masks = $this->single ? null : $this->masks();
        if ($this->single) {
            // With a row and a column for what is missing, so that no loop has to ask for it.
            $this->change = array_fill(0, $m, array_fill(0, $m * ($table->q + 1) ** 2, 0.0));
        }
    }

    public function turnTo(int $g): void
    {
        $q = $this->table->q;
        $this->first = $g;
        $this->rows = array_map(
            static fn (int $k): int => ($k + 1) * ($q + 1) + 1,
            $this->masks === null && ! $this->single ? $this->table->columns[$g] : [],
        );
    }

    /**
     * Takes up the pair of the rater turned to and another.
     *
     * @param  list<int>  $t  their table
     * @return PairSpread|null null where each cluster holds one unit
     */
    public function take(int $h, array $t, float $kappa): ?PairSpread
    {
        if ($this->single) {
            $this->leaveUnits($this->first, $h, $t, $kappa);

            return null;
        }

        return match (true) {
            $this->masks !== null => $this->leaveBinary(
                $this->first,
                $h,
                $t,
                $kappa,
                $this->masks[$this->first],
                $this->masks[$h],
            ),
            default => $this->leaveCases($this->first, $h, $t, $kappa, $this->table->columns[$h]),
        };
    }

    /**
     * The mean of the raters' κ without each case, NAN where none is left.
     *
     * @param  list<int>  $raters
     * @param  float  $sum  of their κ with all cases
     * @param  int  $count  how many those are
     * @return list<float>
     */
    public function means(array $raters, float $sum, int $count): array
    {
        [$without, $lost] = $this->byRater();
        $out = [];
        foreach ($this->ends as $c => $_) {
            $s = $sum;
            $n = $count;
            foreach ($raters as $g) {
                $s += $without[$g][$c];
                $n -= $lost[$g][$c];
            }
            $out[] = $n > 0 ? $s / $n : NAN;
        }

        return $out;
    }

    /**
     * @return array{array<int, array<int, float>>, array<int, array<int, int>>} by rater and case: what the sum of the
     *     rater's κ becomes without the case, less what it is, and how many of them are lost (less those won)
     */
    public function byRater(): array
    {
        if ($this->change !== []) {
            $this->addUp();
        }

        return [$this->without, $this->lost];
    }

    /**
     * Which units of a case a rater put into each category, as bits; null unless there are two categories and
     * no more than 32 units a case, which is the usual case and the one that takes long.
     *
     * @return array<int, list<list<int>>>|null by rater, category and case
     */
    private function masks(): ?array
    {
        $most = 0;
        $start = 0;
        foreach ($this->ends as $end) {
            $most = max($most, $end - $start);
            $start = $end;
        }
        if ($most > 32 || $this->table->q !== 2 || ! $this->weights->isIdentity) {
            return null;
        }
        for ($i = 0; $i < 1 << 16; $i++) {
            $this->bits[] = $i === 0 ? 0 : $this->bits[$i >> 1] + ($i & 1);
        }
        $out = [];
        foreach ($this->table->columns as $g => $column) {
            $masks = array_fill(0, $this->table->q, array_fill(0, count($this->ends), 0));
            $u = 0;
            foreach ($this->ends as $case => $end) {
                for ($bit = 1; $u < $end; $u++, $bit <<= 1) {
                    if ($column[$u] >= 0) {
                        $masks[$column[$u]][$case] |= $bit;
                    }
                }
            }
            $out[$g] = array_values(array_map(array_values(...), $masks));
        }

        return $out;
    }

    /**
     * Units of a case are left out together; what both raters did with them is read off their bits.
     *
     * @param  list<int>  $t
     * @param  list<list<int>>  $one
     * @param  list<list<int>>  $two
     */
    private function leaveBinary(int $g, int $h, array $t, float $kappa, array $one, array $two): PairSpread
    {
        $undefined = is_nan($kappa);
        $is = $undefined ? 0.0 : $kappa;
        [$a0, $a1] = $one;
        [$b0, $b1] = $two;
        [$t0, $t1, $t2, $t3] = $t;
        $bits = $this->bits;
        $first = $this->without[$g];
        $second = $this->without[$h];
        $all = array_sum($t);
        $agreement = $all > 0 ? (float) ($t0 + $t3) / $all : 0.0;
        $kappas = $agreements = 0.0;
        $clusters = $sizes = 0;
        foreach ($a0 as $c => $x0) {
            $x1 = $a1[$c];
            $y0 = $b0[$c];
            $y1 = $b1[$c];
            $x = $x0 & $y0;
            $p = $t0 - $bits[$x & 0xFFFF] - $bits[$x >> 16];
            $x = $x0 & $y1;
            $q = $t1 - $bits[$x & 0xFFFF] - $bits[$x >> 16];
            $x = $x1 & $y0;
            $r = $t2 - $bits[$x & 0xFFFF] - $bits[$x >> 16];
            $x = $x1 & $y1;
            $s = $t3 - $bits[$x & 0xFFFF] - $bits[$x >> 16];
            $n = $p + $q + $r + $s;
            $chance = ($p + $q) * ($p + $r) + ($r + $s) * ($q + $s);
            $lost = $n < 2 || $chance === $n * $n;
            $d = ($lost ? 0.0 : (float) ($n * ($p + $s) - $chance) / ($n * $n - $chance)) - $is;
            $first[$c] += $d;
            $second[$c] += $d;
            if ($lost !== $undefined) {
                $this->lost[$g][$c] += $lost ? 1 : -1;
                $this->lost[$h][$c] += $lost ? 1 : -1;
            }
            $size = $all - $n;
            if ($size > 0) {
                $clusters++;
                $sizes += $size * $size;
                $kappas += $lost ? NAN : $d * $d;
                $agreements += $n > 0 ? ((float) ($p + $s) / $n - $agreement) ** 2 : NAN;
            }
        }
        $this->without[$g] = $first;
        $this->without[$h] = $second;

        return new PairSpread($kappas, $agreements, Clusters::ofSums($clusters, $all, $sizes));
    }

    /**
     * Every case holds one unit: what taking away each cell does is noted, and added up once all pairs are in.
     *
     * @param  list<int>  $t
     */
    private function leaveUnits(int $g, int $h, array $t, float $kappa): void
    {
        $q = $this->table->q;
        $w = $this->weights->isIdentity ? null : $this->weights->w;
        $undefined = is_nan($kappa);
        $is = $undefined ? 0.0 : $kappa;
        [$wide, $gone] = [($q + 1) * ($q + 1), []];
        for ($a = 0; $a < $q; $a++) {
            for ($b = 0; $b < $q; $b++) {
                $i = $a * $q + $b;
                if ($t[$i] > 0) {
                    $t[$i]--;
                    $left = CohenKappa::point($t, $q, $w);
                    $t[$i]++;
                    $lost = is_nan($left);
                    $d = ($lost ? 0.0 : $left) - $is;
                    $this->change[$g][$h * $wide + ($a + 1) * ($q + 1) + $b + 1] = $d;
                    $this->change[$h][$g * $wide + ($b + 1) * ($q + 1) + $a + 1] = $d;
                    if ($lost !== $undefined) {
                        $gone[$i] = $lost ? 1 : -1;
                    }
                }
            }
        }
        $two = $this->table->columns[$h];
        foreach ($gone === [] ? [] : $this->table->columns[$g] as $u => $a) {
            $lost = $a >= 0 && $two[$u] >= 0 ? $gone[$a * $q + $two[$u]] ?? 0 : 0;
            $this->lost[$g][$u] += $lost;
            $this->lost[$h][$u] += $lost;
        }
    }

    /**
     * Adds up, unit by unit, what was noted of the pairs. What several raters together said has few forms, so that their
     * sums are made once and looked up (Arlazarov and others 1970).
     */
    private function addUp(): void
    {
        $base = $this->table->q + 1;
        $wide = $base * $base;
        $together = max(1, (int) floor(log(128, $base)));
        $groups = array_chunk(array_keys($this->table->columns), $together);
        $forms = $base ** $together;
        $at = array_fill(0, $this->table->units, []);
        foreach ($groups as $i => $raters) {
            $form = array_fill(0, $this->table->units, $i * $forms);
            $place = 1;
            foreach ($raters as $h) {
                foreach ($this->table->columns[$h] as $u => $k) {
                    $form[$u] += ($k + 1) * $place;
                }
                $place *= $base;
            }
            foreach ($form as $u => $f) {
                $at[$u][] = $f;
            }
        }
        foreach ($this->table->columns as $g => $column) {
            $change = $this->change[$g];
            $lookup = [];
            for ($k = 0; $k < $this->table->q; $k++) {
                $lookup[$k] = [];
                foreach ($groups as $raters) {
                    $part = [0.0];
                    foreach ($raters as $h) {
                        $next = [];
                        for ($l = 0; $l < $base; $l++) {
                            $d = $change[$h * $wide + ($k + 1) * $base + $l];
                            foreach ($part as $v) {
                                $next[] = $v + $d;
                            }
                        }
                        $part = $next;
                    }
                    array_push($lookup[$k], ...array_pad($part, $forms, 0.0));
                }
            }
            $sums = [];
            foreach ($column as $u => $k) {
                $own = $lookup[$k] ?? [];
                $sum = 0.0;
                foreach ($own === [] ? [] : $at[$u] as $i) {
                    $sum += $own[$i];
                }
                $sums[] = $sum;
            }
            $this->without[$g] = $sums;
        }
        $this->change = [];
    }

    /**
     * Units of a case stand next to each other and are left out together.
     *
     * @param  list<int>  $t
     * @param  list<int>  $columns
     */
    private function leaveCases(int $g, int $h, array $t, float $kappa, array $columns): PairSpread
    {
        $q = $this->table->q;
        $rows = $this->rows;
        $w = $this->weights->isIdentity ? null : $this->weights->w;
        $is = is_nan($kappa) ? 0.0 : $kappa;
        // With a row and a column for what is missing, whose counts nobody reads.
        $wide = array_fill(0, ($q + 1) * ($q + 1), 0);
        $at = [];
        for ($a = 0; $a < $q; $a++) {
            for ($b = 0; $b < $q; $b++) {
                $at[] = $i = ($a + 1) * ($q + 1) + $b + 1;
                $wide[$i] = $t[$a * $q + $b];
            }
        }
        $first = $this->without[$g];
        $second = $this->without[$h];
        $all = array_sum($t);
        $same = 0;
        for ($a = 0; $a < $q; $a++) {
            $same += $t[$a * $q + $a];
        }
        $agreement = $all > 0 ? (float) $same / $all : 0.0;
        $kappas = $agreements = 0.0;
        $clusters = $sizes = 0;
        $u = 0;
        foreach ($this->ends as $case => $end) {
            $left = $wide;
            for (; $u < $end; $u++) {
                $left[$rows[$u] + $columns[$u]]--;
            }
            $narrow = [];
            foreach ($at as $i) {
                $narrow[] = $left[$i];
            }
            $n = array_sum($narrow);
            $same = 0;
            for ($a = 0; $a < $q; $a++) {
                $same += $narrow[$a * $q + $a];
            }
            $k = CohenKappa::point($narrow, $q, $w);
            $lost = is_nan($k);
            $d = ($lost ? 0.0 : $k) - $is;
            $first[$case] += $d;
            $second[$case] += $d;
            if ($lost !== is_nan($kappa)) {
                $this->lost[$g][$case] += $lost ? 1 : -1;
                $this->lost[$h][$case] += $lost ? 1 : -1;
            }
            $size = $all - $n;
            if ($size > 0) {
                $clusters++;
                $sizes += $size * $size;
                $kappas += $lost ? NAN : $d * $d;
                $agreements += $n > 0 ? ((float) $same / $n - $agreement) ** 2 : NAN;
            }
        }
        $this->without[$g] = $first;
        $this->without[$h] = $second;

        return new PairSpread($kappas, $agreements, Clusters::ofSums($clusters, $all, $sizes));
    }
}
