<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** What the penalised likelihood of FacetFit is at one point: its height, its slopes and its curvature in blocks. */
final readonly class FacetPoint
{
    /**
     * @param  float  $loss  −log likelihood + Σb²/(2σ²)
     * @param  list<float>  $slopes  of the likelihood, by small level, the mean last
     * @param  list<float>  $largeSlopes  by level of the large facet
     * @param  array<int, array<int, float>>  $curve  of the small levels
     * @param  array<int, float>  $large  of the large facet's levels: a diagonal
     * @param  array<int, array<int, float>>  $cross  by large level and small place
     */
    public function __construct(
        public float $loss,
        public array $slopes,
        public array $largeSlopes,
        private array $curve,
        public array $large,
        public array $cross,
    ) {
    }

    /** @return array<int, array<int, float>> the Schur complement of the large facet: its lower triangle */
    public function reduced(): array
    {
        $out = $this->curve;
        foreach ($this->cross as $level => $row) {
            foreach ($row as $j => $v) {
                if ($v === 0.0) {
                    continue;
                }
                $part = $v / $this->large[$level];
                for ($k = 0; $k <= $j; $k++) {
                    $out[$j][$k] -= $part * $row[$k];
                }
            }
        }

        return $out;
    }
}
