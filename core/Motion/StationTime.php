<?php

declare(strict_types=1);

namespace Core\Motion;

/** When a station was reached, how well that is known (half-width of a 95 % interval, s) and who said so. */
final readonly class StationTime
{
    public function __construct(public float $t, public float $uncertainty, public string $source)
    {
    }
}
