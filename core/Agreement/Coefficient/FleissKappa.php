<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Weights;

/**
 * Fleiss' κ, p_e = Σ_kl w_kl π_k π_l: two raters who draw from the shares that all raters together gave (Fleiss 1971;
 * missing ratings and weights after Gwet 2014). Undefined where only one category was ever given.
 */
final readonly class FleissKappa extends ChanceCorrected
{
    protected function chance(array $proportions, Weights $weights): array
    {
        $q = $weights->q;
        $out = [];
        for ($k = 0; $k < $q; $k++) {
            $near = 0.0;
            for ($l = 0; $l < $q; $l++) {
                $near += $weights->w[$k * $q + $l] * $proportions[$l];
            }
            $out[] = $near;
        }

        return $out;
    }

    protected function isDefined(int $categories, int $used): bool
    {
        return $used > 1;
    }
}
