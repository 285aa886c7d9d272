<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * The few sums over units from which every count-based coefficient follows, and the coefficients.
 * Resampling cases means adding a case's sums as often as it was drawn; nothing else is copied.
 *
 * Layout of one row of sums: [n, n2, Σa, Σn_k/r (q), Σn_k over pairs (q), Σo_kk (q), Σn_k(n_k−1) (q), Σn_k(r−1) (q)].
 */
final readonly class CountSums
{
    private const HEAD = 3;

    /** @var array<int, list<float>> by case index */
    public array $byCase;

    /** @var list<float> */
    public array $total;

    public function __construct(private Units $units)
    {
        $q = $units->q;
        $byCase = [];
        $size = self::HEAD + 5 * $q;
        foreach ($units->counts as $u => $row) {
            $r = array_sum($row);
            $case = $units->caseOf[$u];
            $sums = $byCase[$case] ?? array_fill(0, $size, 0.0);
            $sums[0] += 1.0;
            if ($r >= 2) {
                $sums[1] += 1.0;
                $agree = 0;
                foreach ($row as $n) {
                    $agree += $n * ($n - 1);
                }
                $sums[2] += $agree / ($r * ($r - 1));
            }
            foreach ($row as $k => $n) {
                if ($n === 0) {
                    continue;
                }
                $sums[self::HEAD + $k] += $n / $r;
                if ($r >= 2) {
                    $sums[self::HEAD + $q + $k] += $n;
                    $sums[self::HEAD + 2 * $q + $k] += $n * ($n - 1) / ($r - 1);
                    $sums[self::HEAD + 3 * $q + $k] += $n * ($n - 1);
                    $sums[self::HEAD + 4 * $q + $k] += $n * ($r - 1);
                }
            }
            $byCase[$case] = array_values($sums);
        }
        $this->byCase = $byCase;
        $total = array_fill(0, $size, 0.0);
        foreach ($byCase as $sums) {
            foreach ($sums as $i => $v) {
                $total[$i] += $v;
            }
        }
        $this->total = array_values($total);
    }

    /**
     * Every count-based statistic of a row of sums; NAN where it is undefined.
     *
     * percent_agreement p_a; fleiss_kappa p_e = Σπ²; gwet_ac1 p_e = Σπ(1−π)/(q−1); brennan_prediger p_e = 1/q;
     * krippendorff_alpha (nominal) from the coincidences; then the specific agreement of each category.
     *
     * @param  list<float>  $s
     * @return list<float>
     */
    public function statistics(array $s): array
    {
        $q = $this->units->q;
        $out = array_fill(0, 5 + $q, NAN);
        if ($s[1] < 0.5) {
            return $out;
        }
        $pa = $s[2] / $s[1];
        $out[0] = $pa;
        $squares = $spread = 0.0;
        $present = 0;
        for ($k = 0; $k < $q; $k++) {
            $pi = $s[self::HEAD + $k] / $s[0];
            $squares += $pi * $pi;
            $spread += $pi * (1 - $pi);
            $present += $s[self::HEAD + $k] > 0.0 ? 1 : 0;
        }
        if ($present > 1) {
            $out[1] = ($pa - $squares) / (1 - $squares);
        }
        if ($q > 1) {
            $pe = $spread / ($q - 1);
            $out[2] = ($pa - $pe) / (1 - $pe);
            $out[3] = ($pa - 1 / $q) / (1 - 1 / $q);
        }
        $n = $same = $expected = 0.0;
        $valued = 0;
        for ($k = 0; $k < $q; $k++) {
            $nk = $s[self::HEAD + $q + $k];
            $n += $nk;
            $same += $s[self::HEAD + 2 * $q + $k];
            $expected += $nk * $nk;
            $valued += $nk > 0.0 ? 1 : 0;
        }
        if ($valued > 1) {
            $out[4] = 1 - ($n - 1) * ($n - $same) / ($n * $n - $expected);
        }
        for ($k = 0; $k < $q; $k++) {
            $possible = $s[self::HEAD + 4 * $q + $k];
            $out[5 + $k] = $possible > 0.0 ? $s[self::HEAD + 3 * $q + $k] / $possible : NAN;
        }

        return array_values($out);
    }

    /** @return list<float> category proportions π_k */
    public function proportions(): array
    {
        return array_map(fn (float $v): float => $v / $this->total[0], array_slice($this->total, self::HEAD, $this->units->q));
    }
}
