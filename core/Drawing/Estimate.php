<?php

declare(strict_types=1);

namespace Core\Drawing;

/**
 * An estimate with its interval, where it has one; the series says which quantity of several it is. The band behind it
 * is where it may lie if what it is measured against errs.
 */
final readonly class Estimate
{
    public function __construct(
        public string $series,
        public float $value,
        public ?float $low,
        public ?float $high,
        public ?float $bandLow = null,
        public ?float $bandHigh = null,
    ) {
    }
}
