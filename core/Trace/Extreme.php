<?php

declare(strict_types=1);

namespace Core\Trace;

/** A largest or smallest value and the time it was reached. */
final readonly class Extreme
{
    public function __construct(public float $t, public float $value)
    {
    }
}
