<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** One rater's figures: against the key, or against what the same rater said of the same case before. */
final readonly class RaterResult
{
    /**
     * @param  int  $n  ratings that were compared
     * @param  array<string, Figure>  $figures  by name
     */
    public function __construct(public string $rater, public int $n, public array $figures)
    {
    }
}
