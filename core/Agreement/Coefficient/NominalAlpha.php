<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Weights;

/**
 * Krippendorff's α of names: 1 − D_o/D_e, the share of pairs within units that differ over the share of all pairs of
 * pairable ratings that do (Krippendorff 2004). Undefined where all pairable ratings are the same.
 */
final readonly class NominalAlpha implements Coefficient
{
    public function value(ItemTable $table, Weights $weights): ?float
    {
        $pairable = [];
        $differing = 0.0;
        for ($u = 0; $u < $table->units; $u++) {
            $given = array_values(array_filter(
                array_column($table->columns, $u),
                static fn (int $k): bool => $k !== ItemTable::MISSING,
            ));
            $n = count($given);
            if ($n < 2) {
                continue;
            }
            array_push($pairable, ...$given);
            foreach ($given as $k) {
                // A pair within a unit of n ratings counts 1/(n − 1), so that each rating counts once.
                $differing += (float) count(array_diff($given, [$k])) / ($n - 1);
            }
        }
        $n = count($pairable);
        $apart = 0.0;
        foreach (array_count_values($pairable) as $same) {
            $apart += $same * ($n - $same);
        }

        return $apart === 0.0 ? null : 1.0 - ($differing / $n) / ($apart / ($n * ($n - 1)));
    }

    /** Units with a single rating have no influence (Gwet 2014). */
    public function influence(ItemTable $table, Weights $weights, float $value, array $proportions): Influence
    {
        $t = $table;
        $q = $t->q;
        $all = 0;
        $share = array_fill(0, $q, 0);
        foreach ($t->r as $u => $r) {
            if ($r >= 2) {
                $all += $r;
                for ($k = 0; $k < $q; $k++) {
                    $share[$k] += $t->counts[$u * $q + $k];
                }
            }
        }
        $share = array_map(static fn (int $n): float => (float) $n / $all, $share);
        $pe = array_sum(array_map(static fn (float $p): float => $p * $p, $share));
        $mean = (float) $all / $t->paired;
        $identity = Weights::identity($q);
        $rows = [];
        $sum = 0.0;
        foreach ($t->r as $u => $r) {
            if ($r >= 2) {
                $p = CountSums::agreement($t->counts, $u * $q, $r, $identity) * $r / $mean;
                $e = 0.0;
                for ($k = 0; $k < $q; $k++) {
                    $e += $share[$k] * $t->counts[$u * $q + $k] / $mean;
                }
                $rows[$u] = [$p, ($r - $mean) / $mean, $e];
                $sum += $p;
            }
        }
        $raw = $sum / $t->paired;
        $pa = (1 - 1.0 / $all) * $raw + 1.0 / $all;
        $alpha = ($raw - $pe) / (1 - $pe);

        return new Influence(
            $pe,
            array_map(
                static fn (array $v): float => ($v[0] - $pa * $v[1] - $pe) / (1 - $pe) -
                    (2 * (1 - $alpha) * ($v[2] - $pe * $v[1] - $pe)) / (1 - $pe) -
                    $alpha,
                $rows,
            ),
        );
    }
}
