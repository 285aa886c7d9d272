<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** Two rounds compared on the cases and the readers that both have. */
final readonly class ComparisonResult
{
    /**
     * @param  int  $anchors  cases of both rounds
     * @param  int  $clusters  golfers of those
     * @param  int  $units  cases by faults
     * @param  array<string, Change>  $coefficients  by name
     * @param  array<string, Change>  $specific  specific agreement by category
     * @param  array<string, Change>  $right  the share of right calls, by reader; empty without a key
     */
    public function __construct(
        public int $anchors,
        public int $clusters,
        public int $units,
        public int $readers,
        public array $coefficients,
        public array $specific,
        public array $right,
    ) {
    }
}
