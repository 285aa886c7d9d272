<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;

/**
 * Specific agreement: when one rater says a category, how often another says it too (Cicchetti & Feinstein 1990;
 * several raters after Cicchetti). Undefined for a category that no unit with two ratings has.
 */
final readonly class SpecificAgreement
{
    /** Over ordered pairs of raters of a unit: of those whose first gave the category, the share whose second did. */
    public function value(ItemTable $table, int $category): ?float
    {
        $both = $possible = 0;
        for ($u = 0; $u < $table->units; $u++) {
            $given = array_filter(
                array_column($table->columns, $u),
                static fn (int $k): bool => $k !== ItemTable::MISSING,
            );
            $it = count(array_keys($given, $category, true));
            $both += $it * ($it - 1);
            $possible += $it * (count($given) - 1);
        }

        return $possible === 0 ? null : (float) $both / $possible;
    }

    /**
     * Where nobody ever differs on a category, or everybody always, Wilson's bound on the units in which it occurs, or
     * on the clusters that hold them.
     */
    public function bounded(Figure $figure, ItemTable $table, int $category, Confidence $confidence): Figure
    {
        // A share of equal whole numbers is exactly 1, of none exactly 0.
        if (($figure->estimate !== 0.0 && $figure->estimate !== 1.0) || $table->clusters < 2) {
            return $figure;
        }
        $in = [];
        foreach ($table->r as $u => $r) {
            if ($r >= 2 && $table->counts[$u * $table->q + $category] > 0) {
                $in[$table->grouped ? $table->clusterOf[$u] : $u] = $table->times[$u] ?? 1;
            }
        }
        $n = array_sum($in);
        $z = $confidence->z ** 2;

        return $figure->estimate > 0.5
            ? $figure->within($n / ($n + $z), 1.0, 'perfect-agreement bound')
            : $figure->within(0.0, $z / ($n + $z), 'perfect-agreement bound');
    }
}
