<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

use Core\Agreement\Clusters;

/** How far two raters' κ and agreement move when each cluster of cases is left out. */
final readonly class PairSpread
{
    /**
     * @param  float  $kappa  Σ_g (κ_(−g) − κ)²; NAN where κ is undefined without some cluster
     * @param  float  $agreement  Σ_g (p_(−g) − p)²; NAN likewise
     * @param  Clusters  $clusters  by the units that both rated
     */
    public function __construct(public float $kappa, public float $agreement, public Clusters $clusters)
    {
    }
}
