<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** Whether what was shown changes how far people agree. */
final readonly class ArmResult
{
    /**
     * @param  list<ArmFigures>  $arms
     * @param  list<ArmDifference>  $differences
     */
    public function __construct(public array $arms, public array $differences)
    {
    }
}
