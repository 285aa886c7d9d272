<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Weights;

/**
 * A coefficient of agreement that follows from how many raters put a unit into which category, worked out as it is
 * defined: unit by unit, slow and plain. Resampling takes the same coefficients from packed sums
 * (`Core\Agreement\Resampling\CountSums`); both are held against one another by random data and, when
 * asked, on anybody's own ratings.
 */
interface Coefficient
{
    /**
     * @return float|null null where it is undefined: without a unit that two raters judged, and where its own
     *     description says
     */
    public function value(ItemTable $table, Weights $weights): ?float;

    /**
     * What each unit adds to the coefficient's error: its influence, centred.
     *
     * @param  float  $value  of the coefficient
     * @param  list<float>  $proportions  π_k, the mean share of each category over units
     */
    public function influence(ItemTable $table, Weights $weights, float $value, array $proportions): Influence;
}
