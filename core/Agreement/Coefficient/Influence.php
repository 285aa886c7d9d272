<?php

declare(strict_types=1);

namespace Core\Agreement\Coefficient;

/** What each unit adds to a coefficient's error, with the agreement that chance alone would give. */
final readonly class Influence
{
    /** @param  array<int, float>  $byUnit */
    public function __construct(public float $chance, public array $byUnit)
    {
    }
}
