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

    /**
     * Whether more often than not another calls present what one calls present; null where the cases are too few, or
     * the interval too wide, to say.
     */
    public function isSeenAlike(): ?bool
    {
        $present = $this->specific['present'] ?? null;

        return match (true) {
            $present === null || $present->isThin($this->cases) => null,
            $present->low >= 0.5 => true,
            $present->high !== null && $present->high < 0.5 => false,
            default => null,
        };
    }
}
