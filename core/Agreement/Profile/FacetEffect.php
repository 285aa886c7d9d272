<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** One reader, case, fault or round on the scale of a many-facet model. */
final readonly class FacetEffect
{
    /**
     * @param  float  $estimate  in logits from the mean of its facet; upward: right more often
     * @param  float  $se  conditional on the spread of the facets
     * @param  float  $seWithMean  of mean and effect together
     * @param  int  $n  calls
     * @param  float  $infit  mean square of what the model leaves, weighted by what it expects; 1 where it fits
     * @param  float  $outfit  the same unweighted, which strange single calls move more
     */
    public function __construct(
        public string $name,
        public float $estimate,
        public float $se,
        public float $seWithMean,
        public int $n,
        public float $infit,
        public float $outfit,
    ) {
    }
}
