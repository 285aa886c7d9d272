<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** Whether what was shown changes how far people agree. */
final readonly class ArmResult
{
    /**
     * @param  list<ArmFigures>  $arms
     * @param  list<ArmDifference>  $differences
     * @param  bool  $crossed  whether each case was shown in each way, so that differences are within cases
     */
    public function __construct(public array $arms, public array $differences, public bool $crossed = false)
    {
    }
}
