<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\MeanOverItems;
use Core\Agreement\Figure;

/** What is told of an item, or of several pooled, without saying anything of single people. */
final readonly class ItemSummary
{
    /**
     * @param  array<string, Figure>  $coefficients  by name
     * @param  array<string, Figure>  $specific  specific agreement by category
     */
    public function __construct(
        public int $cases,
        public array $coefficients,
        public array $specific,
        public ?ThreeWayResult $threeWay = null,
        public ?MeanOverItems $mean = null,
    ) {
    }

    public static function ofItem(ItemResult $item): self
    {
        return new self($item->cases, $item->coefficients, $item->specific, $item->threeWay, $item->mean);
    }
}
