<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** How far people agreed where they were shown one thing. */
final readonly class ArmFigures
{
    /**
     * @param  string  $arm  film, trace or both
     * @param  float|null  $same  the share of same calls
     * @param  float|null  $sensitivity  of what the key calls present, found
     * @param  float|null  $specificity  of what it calls absent, called absent
     */
    public function __construct(
        public string $arm,
        public int $cases,
        public ?float $ac1,
        public ?float $same,
        public ?float $sensitivity = null,
        public ?float $specificity = null,
    ) {
    }
}
