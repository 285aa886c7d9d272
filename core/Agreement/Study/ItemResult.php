<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Coefficient\MeanOverItems;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Figure;
use Core\Agreement\Profile\PeopleInOrder;

/** Everything that is told of one item, or of several pooled. */
final readonly class ItemResult
{
    /**
     * @param  list<string>  $categories
     * @param  array<string, Figure>  $coefficients  by name
     * @param  array<string, Figure>  $specific  specific agreement by category
     * @param  list<PairResult>  $pairs
     * @param  array<string, Figure>  $versusRest  mean κ with the others, by rater
     * @param  list<RaterResult>  $self  agreement with oneself over repeats
     * @param  list<RaterResult>  $againstKey
     * @param  MeanOverItems|null  $mean  of several pooled
     * @param  PeopleInOrder|null  $order  over all there is
     */
    public function __construct(
        public int $cases,
        public int $raters,
        public int $ratings,
        public array $categories,
        public array $coefficients,
        public array $specific,
        public array $pairs,
        public int $undefinedPairs,
        public array $versusRest,
        public array $self,
        public array $againstKey,
        public ?ThreeWayResult $threeWay = null,
        public ?AbstentionResult $abstention = null,
        public ?MeanOverItems $mean = null,
        public ?PeopleInOrder $order = null,
        public ?KeyErrorResult $keyError = null,
    ) {
    }

    /**
     * The same with other figures against the key.
     *
     * @param  list<RaterResult>  $key
     */
    public function against(array $key): self
    {
        return new self(
            $this->cases, $this->raters, $this->ratings, $this->categories, $this->coefficients, $this->specific,
            $this->pairs, $this->undefinedPairs, $this->versusRest, $this->self, $key, $this->threeWay,
            $this->abstention, $this->mean, $this->order, $this->keyError,
        );
    }
}
