<?php

declare(strict_types=1);

namespace Core\Drawing;

/** Where an estimate stands in a plot, and between which heights its interval lies. */
final readonly class Reach
{
    public function __construct(public float $x, public float $y, public float $lower, public float $upper)
    {
    }
}
