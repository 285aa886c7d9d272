<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** By how much a figure differs between two things shown: the second less the first. */
final readonly class ArmDifference
{
    /**
     * @param  float|null  $p  adjusted for the number of comparisons
     * @param  float|null  $detectable  the true difference that would be found four times in five
     * @param  string  $figure  gwet_ac1, sensitivity or specificity
     */
    public function __construct(
        public string $first,
        public string $second,
        public Figure $difference,
        public ?float $p,
        public ?float $detectable,
        public string $figure = 'gwet_ac1',
    ) {
    }
}
