<?php

declare(strict_types=1);

namespace Core\Agreement\Resampling;

use Core\Agreement\ItemTable;
use Core\Agreement\Weights;

/**
 * The few sums over units from which every count-based coefficient follows, cluster by cluster, and the
 * coefficients. Resampling clusters means adding a cluster's sums as often as it was drawn; nothing else is copied.
 *
 * A cluster's sums: [n, n2, Σa, Σ_k o_kk, Σn_k/r (q), Σn_k over paired units (q), Σn_k(n_k−1) (q), Σn_k(r−1) (q)], and
 * with
 * weights Σa_w. For resampling the whole ones stand side by side in few words, each field wide enough for any draw.
 */
final readonly class CountSums implements Resampled
{
    public const HEAD = 4;

    public const NAMES = ['percent_agreement', 'fleiss_kappa', 'gwet_ac', 'brennan_prediger', 'krippendorff_alpha'];

    /** Length of one cluster's sums. */
    public int $size;

    /** @var array<int, float> sums by rank of the cluster × size */
    private array $byCluster;

    /** @var list<float> */
    public array $total;

    /** @var list<float> */
    private array $zero;

    /** @var list<array<int, float>> the sums of each pattern of units, those that are not 0 */
    private array $unit;

    /** @var list<int>|null each cluster's pattern, by rising rank; null where clusters hold several units */
    private ?array $patternOf;

    /** @var list<int> ranks of the clusters that hold a unit */
    public array $ranks;

    /** @var list<list<float>> those sums that are not whole, by rank of the cluster */
    private array $parts;

    /** @var list<int> which sums those are */
    private array $partOf;

    /** @var list<array<int, int>> several whole sums in one word, by rank of the cluster */
    private array $words;

    /** @var list<list<array{int, int, int}>> the fields of each word: which sum, its shift, its mask */
    private array $fields;

    /** @param  int  $clusters  how many clusters a draw takes; 0 where nothing is drawn */
    public function __construct(private ItemTable $table, private Weights $weights, int $clusters = 0)
    {
        $q = $table->q;
        $size = self::HEAD + 4 * $q + ($weights->isIdentity ? 0 : 1);
        $ranks = array_keys(array_flip($table->clusterOf));
        $last = $ranks === [] ? -1 : $ranks[count($ranks) - 1];
        $last = max($last, $clusters - 1);
        $by = array_fill(0, ($last + 1) * $size, 0.0);
        [$patterns, $patternOf] = $table->patterns();
        $unit = array_map(static fn (array $counts): array => self::ofUnit($counts, $weights), $patterns);
        foreach ($table->clusterOf as $u => $cluster) {
            $o = $cluster * $size;
            foreach ($unit[$patternOf[$u]] as $i => $v) {
                $by[$o + $i] += $v;
            }
        }
        $total = array_fill(0, $size, 0.0);
        foreach ($by as $i => $v) {
            $total[$i % $size] += ($table->times[intdiv($i, $size)] ?? 1) * $v;
        }
        $this->size = $size;
        $this->unit = $unit;
        $this->patternOf = count($ranks) === count($table->clusterOf) ? $patternOf : null;
        $this->zero = array_fill(0, $size, 0.0);
        $this->ranks = $ranks;
        $this->byCluster = $by;
        $this->total = array_values($total);
        [$this->parts, $this->partOf, $this->words, $this->fields] = $clusters === 0
            ? [[], [], [], []]
            : $this->pack(max($clusters, $last + 1), $last + 1);
    }

    /**
     * The sums of one unit, those that are not 0.
     *
     * @param  list<int>  $counts  ratings by category, at least one
     * @return array<int, float>
     */
    public static function ofUnit(array $counts, Weights $weights): array
    {
        $q = count($counts);
        $r = array_sum($counts);
        $out = [1.0];
        $same = 0;
        foreach ($counts as $k => $n) {
            if ($n === 0) {
                continue;
            }
            $out[self::HEAD + $k] = (float) $n / $r;
            if ($r >= 2) {
                $same += $n * ($n - 1);
                $out[self::HEAD + $q + $k] = (float) $n;
                $out[self::HEAD + 2 * $q + $k] = (float) $n * ($n - 1);
                $out[self::HEAD + 3 * $q + $k] = (float) $n * ($r - 1);
            }
        }
        if ($r >= 2) {
            $out[1] = 1.0;
            $out[2] = (float) $same / ($r * ($r - 1));
            $out[3] = (float) $same / ($r - 1);
            if (! $weights->isIdentity) {
                $out[self::HEAD + 4 * $q] = self::agreement($counts, 0, $r, $weights);
            }
        }

        return $out;
    }

    /**
     * @param  int  $draws  how many clusters a draw takes
     * @return array{list<list<float>>, list<int>, list<array<int, int>>, list<list<array{int, int, int}>>}
     */
    private function pack(int $draws, int $ranks): array
    {
        $q = $this->table->q;
        $whole = [0, 1, ...($q > 0 ? range(self::HEAD + $q, self::HEAD + 4 * $q - 1) : [])];
        $parts = $partOf = $words = $fields = [];
        $used = 63;
        for ($i = 0; $i < $this->size; $i++) {
            $column = [];
            for ($c = 0; $c < $ranks; $c++) {
                $column[] = $this->byCluster[$c * $this->size + $i];
            }
            $bits = $column === [] ? 1 : (int) ceil(log($draws * max($column) + 2, 2));
            if (! in_array($i, $whole, true) || $bits > 62) {
                $parts[] = $column;
                $partOf[] = $i;

                continue;
            }
            if ($used + $bits > 62) {
                $used = 0;
                $words[] = array_fill(0, $ranks, 0);
                $fields[] = [];
            }
            $last = count($words) - 1;
            foreach ($column as $c => $v) {
                $words[$last][$c] += (int) $v << $used;
            }
            $fields[$last][] = [$i, $used, (1 << $bits) - 1];
            $used += $bits;
        }

        return [$parts, $partOf, array_values($words), array_values($fields)];
    }

    /**
     * a_i = Σ_k n_k((Σ_l w_kl n_l) − 1)/(r(r−1)) of one unit.
     *
     * @param  array<int, int>  $counts
     * @param  int  $at  where the unit's counts begin
     */
    public static function agreement(array $counts, int $at, int $r, Weights $weights): float
    {
        $q = $weights->q;
        $sum = 0.0;
        for ($k = 0; $k < $q; $k++) {
            $n = $counts[$at + $k];
            if ($n === 0) {
                continue;
            }
            $near = -1.0;
            for ($l = 0; $l < $q; $l++) {
                $near += $weights->w[$k * $q + $l] * $counts[$at + $l];
            }
            $sum += $n * $near;
        }

        return $sum / ($r * ($r - 1));
    }

    public function estimates(): array
    {
        return $this->statistics($this->total);
    }

    public function leaveOneOut(): array
    {
        return $this->each(function (array $own): array {
            $sums = $this->total;
            foreach ($own as $i => $v) {
                $sums[$i] -= $v;
            }

            return $this->statistics($sums);
        });
    }

    /**
     * @template T
     *
     * @param  \Closure(array<int, float>): T  $of  of a cluster's sums, those that are 0 may be missing
     * @return list<T> by rising rank; worked out once where clusters are alike
     */
    private function each(\Closure $of): array
    {
        $out = [];
        if ($this->patternOf !== null) {
            $known = array_map($of, $this->unit);
            foreach ($this->patternOf as $p) {
                $out[] = $known[$p];
            }

            return $out;
        }
        foreach ($this->ranks as $rank) {
            $out[] = $of(array_slice($this->byCluster, $rank * $this->size, $this->size));
        }

        return $out;
    }

    public function replicate(array $draw): array
    {
        $length = count($draw);
        $sums = $this->zero;
        $words = $this->words;
        for ($w = 0, $n = count($words); $w < $n; $w += 2) {
            $one = $words[$w];
            $two = $words[$w + 1] ?? $one;
            $a = $b = 0;
            for ($j = 0; $j < $length; $j += 2) {
                $c = $draw[$j];
                $t = $draw[$j + 1];
                $a += $t * $one[$c];
                $b += $t * $two[$c];
            }
            foreach ($this->fields[$w] as [$i, $shift, $mask]) {
                $sums[$i] = $a >> $shift & $mask;
            }
            foreach ($this->fields[$w + 1] ?? [] as [$i, $shift, $mask]) {
                $sums[$i] = $b >> $shift & $mask;
            }
        }
        $parts = $this->parts;
        for ($p = 0, $n = count($parts); $p < $n; $p += 2) {
            $one = $parts[$p];
            $two = $parts[$p + 1] ?? $one;
            $x = $y = 0.0;
            for ($j = 0; $j < $length; $j += 2) {
                $c = $draw[$j];
                $t = $draw[$j + 1];
                $x += $t * $one[$c];
                $y += $t * $two[$c];
            }
            $sums[$this->partOf[$p]] = $x;
            if ($p + 1 < $n) {
                $sums[$this->partOf[$p + 1]] = $y;
            }
        }

        return $this->statistics($sums);
    }

    /**
     * By NAMES, then the specific agreement of each category; NAN where undefined.
     *
     * p_a = Σa/n2; π_k = Σ(n_k/r)/n; p_e: Fleiss Σ_kl w_kl π_k π_l, AC T Σπ(1−π)/(q(q−1)), Brennan–Prediger T/q²;
     * α (nominal) = 1 − (N−1)(N − Σo_kk)/(N² − Σn_k²).
     *
     * @param  array<int, float|int>  $s
     * @return list<float>
     */
    public function statistics(array $s): array
    {
        $q = $this->table->q;
        if ($s[1] < 0.5) {
            return array_fill(0, count(self::NAMES) + $q, NAN);
        }
        $out = [$s[2] / $s[1], NAN, NAN, NAN, NAN];
        $identity = $this->weights->isIdentity;
        $pa = $identity ? $out[0] : $s[self::HEAD + 4 * $q] / $s[1];
        $squares = $spread = $n = $expected = 0.0;
        $present = $valued = 0;
        for ($k = 0; $k < $q; $k++) {
            $pi = $s[self::HEAD + $k] / $s[0];
            // A share taken away again may leave a trace of rounding.
            if ($pi > 1e-12) {
                $present++;
            }
            $spread += $pi * (1 - $pi);
            if ($identity) {
                $squares += $pi * $pi;
            } else {
                for ($l = 0; $l < $q; $l++) {
                    $squares += $this->weights->w[$k * $q + $l] * $pi * $s[self::HEAD + $l] / $s[0];
                }
            }
            $nk = $s[self::HEAD + $q + $k];
            $n += $nk;
            $expected += $nk * $nk;
            $valued += $nk > 0.5 ? 1 : 0;
        }
        if ($present > 1) {
            $out[1] = ($pa - $squares) / (1 - $squares);
        }
        if ($q > 1) {
            $pe = $this->weights->total * $spread / ($q * ($q - 1));
            $out[2] = ($pa - $pe) / (1 - $pe);
            $pe = $this->weights->total / ($q * $q);
            $out[3] = ($pa - $pe) / (1 - $pe);
        }
        if ($valued > 1) {
            $out[4] = 1 - ($n - 1) * ($n - $s[3]) / ($n * $n - $expected);
        }
        for ($k = 0; $k < $q; $k++) {
            $possible = $s[self::HEAD + 3 * $q + $k];
            $out[] = $possible > 0.5 ? $s[self::HEAD + 2 * $q + $k] / $possible : NAN;
        }

        return $out;
    }

    /** @return array<int, list<float>> the sums of each cluster, by its rank */
    public function byCluster(): array
    {
        $out = [];
        foreach ($this->ranks as $rank) {
            $out[$rank] = array_values(array_slice($this->byCluster, $rank * $this->size, $this->size));
        }

        return $out;
    }

    /**
     * @param  list<float>  $form  of the length of a cluster's sums
     * @return list<float> each cluster's sums times the form, by rising rank
     */
    public function times(array $form): array
    {
        return $form === [] ? [] : $this->each(static function (array $own) use ($form): float {
            $sum = 0.0;
            foreach ($own as $i => $v) {
                $sum += $form[$i] * $v;
            }

            return $sum;
        });
    }

    /**
     * One coefficient as a function of added sums.
     *
     * @return \Closure(list<float>): float
     */
    public function statistic(string $name): \Closure
    {
        $i = (int) array_search($name, self::NAMES, true);

        return function (array $sums) use ($i): float {
            /** @var list<float> $sums */
            return $sums === [] ? NAN : $this->statistics($sums)[$i];
        };
    }

    /**
     * By how many pairs of calls each cluster has a part in the specific agreement of a category: clusters that never
     * show it tell nothing of it.
     *
     * @return array<int, int> by rank
     */
    public function possible(int $category): array
    {
        $out = [];
        $at = self::HEAD + 3 * $this->table->q + $category;
        foreach ($this->ranks as $rank) {
            $out[$rank] = (int) round($this->byCluster[$rank * $this->size + $at]);
        }

        return $out;
    }

    /** @return list<float> category proportions π_k */
    public function proportions(): array
    {
        return array_map(
            fn (float $v): float => $v / $this->total[0],
            array_slice($this->total, self::HEAD, $this->table->q),
        );
    }
}
