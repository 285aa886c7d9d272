<?php

declare(strict_types=1);

namespace Core\Drawing;

/** Where an estimate is drawn, and from where to where its interval reaches. */
final readonly class Mark
{
    public function __construct(
        public string $series,
        public float $x,
        public float $y,
        public ?float $from,
        public ?float $to,
    ) {
    }
}
