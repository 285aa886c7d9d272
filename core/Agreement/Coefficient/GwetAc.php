<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Weights;

/**
 * Gwet's AC1, with weights AC2: p_e = T Σ_k π_k(1 − π_k)/(q(q − 1)), T the sum of all weights. Steady where a category
 * is rare (Gwet 2008, 2014). Undefined with one category in all.
 */
final readonly class GwetAc extends ChanceCorrected
{
    protected function chance(array $proportions, Weights $weights): array
    {
        $q = $weights->q;

        return array_map(
            static fn (float $share): float => $weights->total / ($q * ($q - 1)) * (1 - $share),
            $proportions,
        );
    }
}
