<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** What the calls alone, without the key, say of one rater. */
final readonly class LatentRates
{
    /**
     * @param  float  $hit  probability of "present" given that the latent class is present
     * @param  float  $alarm  the same given that it is absent
     * @param  int  $starts  how many starts ended at the best likelihood, of those made
     */
    public function __construct(
        public float $hit,
        public float $alarm,
        public float $prevalence,
        public bool $converged,
        public int $starts,
        public int $of,
        public bool $separated,
    ) {
    }

    /** Of the rater at a place of the fit's table, whose categories are absent and present. */
    public static function ofRater(DawidSkene $fit, int $at): self
    {
        return new self(
            $fit->confusion[$at][1][1],
            $fit->confusion[$at][0][1],
            $fit->prevalence[1],
            $fit->converged,
            $fit->starts,
            $fit->of,
            $fit->separated,
        );
    }
}
