<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\ItemTable;
use Core\Agreement\Weights;

/**
 * p_a: the share of pairs of raters that agree, averaged over the units that two raters or more judged. Nothing is
 * taken off for chance, and weights are not used. Undefined without such a unit.
 */
final readonly class PercentAgreement extends ChanceCorrected
{
    protected function chance(array $proportions, Weights $weights): array
    {
        return array_fill(0, count($proportions), 0.0);
    }

    protected function isDefined(int $categories, int $used): bool
    {
        return true;
    }

    public function value(ItemTable $table, Weights $weights): ?float
    {
        return parent::value($table, Weights::identity($table->q));
    }

    public function influence(ItemTable $table, Weights $weights, float $value, array $proportions): Influence
    {
        return parent::influence($table, Weights::identity($table->q), $value, $proportions);
    }
}
