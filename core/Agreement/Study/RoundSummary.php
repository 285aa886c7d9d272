<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;
use Core\Agreement\Profile\PeopleInOrder;

/** What a round tells at first sight: all but what is told of two people, or of one person's single faults. */
final readonly class RoundSummary
{
    /**
     * @param  ItemSummary|null  $pooled  null where nothing was said
     * @param  array<string, ItemSummary>  $items
     * @param  array<string, Figure>  $versusRest  mean κ with the others, by rater
     * @param  list<RaterResult>  $againstKey  over all items
     * @param  array<string, int>  $leftOut  entries left out of scoring, by why
     * @param  array<string, int>  $unsupported  calls on what the evidence could not show, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  list<RaterResult>  $countedWrong  against the key, abstentions counted wrong
     * @param  PeopleInOrder|null  $order  by right calls, abstentions counted wrong
     * @param  KeyErrorResult|null  $keyError  against a key that may err
     */
    public function __construct(
        public ?ItemSummary $pooled,
        public array $items,
        public array $versusRest,
        public array $againstKey,
        public array $leftOut,
        public int $cases,
        public array $unsupported,
        public array $cannotTell,
        public ?int $keyVersion,
        public int $bootstrap,
        public int $seed,
        public array $countedWrong = [],
        public ?PeopleInOrder $order = null,
        public ?KeyErrorResult $keyError = null,
    ) {
    }
}
