<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** How far agreement moved from one round to another, over the people and the faults that both have. */
final readonly class RoundChange
{
    /**
     * @param  Figure  $difference  of AC1, second less first
     * @param  float|null  $detectable  the smallest difference that would be found four times in five
     */
    public function __construct(
        public int $people,
        public int $faults,
        public ?float $first,
        public ?float $second,
        public Figure $difference,
        public ?float $p,
        public ?float $detectable,
    ) {
    }
}
