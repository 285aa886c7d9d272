<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Profile\CaseTalk;
use Core\Agreement\Profile\PeopleInOrder;

/** Everything that is made of a published staff round: its members with each other, with the key, and one by one. */
final readonly class RoundResult
{
    /**
     * @param  StudyResult|null  $study  null where nothing was said
     * @param  list<RaterResult>  $againstKey  over all items
     * @param  array<string, array<string, array{int, int, int, int}>>  $map  tp, fn, fp, tn by rater and item
     * @param  array<string, int>  $leftOut  entries left out of scoring, by why
     * @param  array<string, int>  $unsupported  calls on what the evidence could not show, by rater
     * @param  array<string, int>  $cannotTell  by rater
     * @param  RoundChange|null  $change  since the round before, where there is one to compare with
     * @param  list<StationTimes>  $times
     * @param  list<CaseTalk>  $talk  by place of the round, the most first
     * @param  list<RaterResult>  $countedWrong  against the key, abstentions counted wrong
     * @param  AdviceResult|null  $advice  null where no sheet could say it
     */
    public function __construct(
        public ?StudyResult $study,
        public array $againstKey,
        public array $map,
        public ArmResult $arms,
        public array $leftOut,
        public int $cases,
        public array $unsupported,
        public array $cannotTell,
        public ?int $keyVersion,
        public int $bootstrap,
        public int $seed,
        public ?RoundChange $change,
        public array $times,
        public array $talk,
        public array $countedWrong = [],
        public ?PeopleInOrder $order = null,
        public ?KeyErrorResult $keyError = null,
        public ?AdviceResult $advice = null,
    ) {
    }

    public function summary(): RoundSummary
    {
        return new RoundSummary(
            $this->study === null ? null : ItemSummary::ofItem($this->study->pooled),
            array_map(ItemSummary::ofItem(...), $this->study->items ?? []),
            $this->study->pooled->versusRest ?? [],
            $this->againstKey,
            $this->leftOut,
            $this->cases,
            $this->unsupported,
            $this->cannotTell,
            $this->keyVersion,
            $this->bootstrap,
            $this->seed,
            $this->countedWrong,
            $this->order,
            $this->keyError,
        );
    }
}
