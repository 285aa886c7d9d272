<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** Agreement with "cannot tell" counted as a value of its own. */
final readonly class ThreeWayResult
{
    /**
     * @param  list<string>  $categories
     * @param  array<string, Figure>  $coefficients  by name
     * @param  array<string, Figure>  $specific  by category
     */
    public function __construct(public array $categories, public array $coefficients, public array $specific)
    {
    }
}
