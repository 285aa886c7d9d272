<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** What is told where "cannot tell" counts as disagreeing with everybody, and against the key as wrong. */
final readonly class AbstentionResult
{
    /**
     * @param  array<string, Figure>  $coefficients  percent_agreement and brennan_prediger
     * @param  array<string, Figure>  $specific  by category
     * @param  list<RaterResult>  $againstKey
     */
    public function __construct(public array $coefficients, public array $specific, public array $againstKey)
    {
    }
}
