<?php

declare(strict_types=1);

namespace Core\Drawing;

final readonly class ForestRow
{
    /** @param  list<Estimate>  $estimates */
    public function __construct(public string $name, public array $estimates, public bool $strong = false)
    {
    }
}
