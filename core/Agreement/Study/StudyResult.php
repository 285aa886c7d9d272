<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Scale;

/** What a study found, item by item and pooled, with what was asked for. */
final readonly class StudyResult
{
    /** @param  array<string, ItemResult>  $items */
    public function __construct(
        public Scale $scale,
        public float $confidence,
        public int $bootstrap,
        public int $seed,
        public array $items,
        public ItemResult $pooled,
    ) {
    }
}
