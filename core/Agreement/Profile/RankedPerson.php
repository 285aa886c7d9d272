<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** One rater's place among the others. */
final readonly class RankedPerson
{
    /**
     * @param  int  $n  calls with a key
     * @param  float  $rate  the share that was right
     * @param  float  $shrunken  the same, drawn toward the others as far as the calls leave it open
     * @param  int  $best  1 is the first; with 95 % certainty the rank lies between this and the worst
     */
    public function __construct(
        public string $rater,
        public int $n,
        public float $rate,
        public float $shrunken,
        public int $best,
        public int $worst,
    ) {
    }

    /** Whether the two cannot be told apart. */
    public function isTiedWith(self $other): bool
    {
        return $this->best <= $other->worst && $other->best <= $this->worst;
    }
}
