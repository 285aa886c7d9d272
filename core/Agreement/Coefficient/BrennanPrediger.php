<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Weights;

/**
 * Brennan and Prediger's coefficient: p_e = T/q², every category as likely as any other (Brennan & Prediger 1981).
 * Undefined with one category in all.
 */
final readonly class BrennanPrediger extends ChanceCorrected
{
    protected function chance(array $proportions, Weights $weights): array
    {
        return array_fill(0, count($proportions), $weights->total / ($weights->q * $weights->q));
    }
}
