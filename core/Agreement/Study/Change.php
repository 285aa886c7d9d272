<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** How far one figure moved between two rounds of the same cases and readers. */
final readonly class Change
{
    /**
     * @param  Figure  $difference  second less first; for these readers, and beside it for readers like them
     * @param  float|null  $p  by swapping golfers: that these readers did not move
     * @param  float|null  $adjusted  the same over all that is compared together (Holm 1979)
     * @param  float|null  $detectable  the true difference that would be found four times in five
     */
    public function __construct(
        public ?float $first,
        public ?float $second,
        public Figure $difference,
        public ?float $p,
        public ?float $adjusted,
        public ?float $detectable,
    ) {
    }
}
