<?php

declare(strict_types=1);

namespace Core\Drawing;

/** Where an estimate is drawn, and from where to where its interval and the band behind it reach. */
final readonly class Mark
{
    public function __construct(
        public string $series,
        public float $x,
        public float $y,
        public ?float $from,
        public ?float $to,
        public ?float $bandFrom = null,
        public ?float $bandTo = null,
    ) {
    }
}
