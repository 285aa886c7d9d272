<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Resampling\CaseError;

/**
 * Specific agreement: when one rater says a category, how often another says it too (Cicchetti & Feinstein 1990; several
 * raters after Cicchetti). Undefined for a category that no unit with two ratings has.
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
     * Specific agreement by the jackknife; where nobody ever differs, or everybody always, Wilson's bound on the units
     * in which the category occurs.
     *
     * @param  list<float>  $left  the value without each case
     */
    public function figure(ItemTable $table, int $category, float $value, array $left, Confidence $confidence): Figure
    {
        $figure = CaseError::jackknifed($value, $left, $confidence, 0.0);
        // A share of equal whole numbers is exactly 1, of none exactly 0.
        if (($value !== 0.0 && $value !== 1.0) || $table->cases < 2) {
            return $figure;
        }
        $n = 0;
        foreach ($table->r as $u => $r) {
            $n += $r >= 2 && $table->counts[$u * $table->q + $category] > 0 ? 1 : 0;
        }
        $z = $confidence->z ** 2;

        return $value > 0.5
            ? $figure->within($n / ($n + $z), 1.0, 'perfect-agreement bound')
            : $figure->within(0.0, $z / ($n + $z), 'perfect-agreement bound');
    }
}
