<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** The raters against a key that may err itself. */
final readonly class KeyErrorResult
{
    /**
     * @param  int  $questions  all that the panel was asked, contested ones among them
     * @param  int  $settled  those that it settled
     * @param  float  $sensitivity  of the panel's members, estimated
     * @param  list<RaterResult>  $raters  sensitivity and specificity; if_contested_present, the sensitivity if every
     *     contested question had gone that way, and if_contested_absent, the specificity likewise
     */
    public function __construct(
        public int $questions,
        public int $settled,
        public float $prevalence,
        public float $sensitivity,
        public float $specificity,
        public array $raters,
    ) {
    }
}
