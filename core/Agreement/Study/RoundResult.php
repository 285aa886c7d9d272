<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** What a published staff round tells: its members with each other, with the key, and by what they were shown. */
final readonly class RoundResult
{
    /**
     * @param  StudyResult|null  $study  null where nothing was said
     * @param  list<RaterResult>  $againstKey  over all items
     * @param  array<string, array<string, array{int, int, int, int}>>  $map  tp, fn, fp, tn by rater and item
     * @param  list<ArmFigures>  $arms
     * @param  list<ArmDifference>  $armDifferences
     * @param  array<string, int>  $leftOut  entries left out of scoring, by why
     * @param  array<string, int>  $unsupported  calls on what the evidence could not show, by rater
     * @param  array<string, int>  $cannotTell  by rater
     */
    public function __construct(
        public ?StudyResult $study,
        public array $againstKey,
        public array $map,
        public array $arms,
        public array $armDifferences,
        public array $leftOut,
        public int $cases,
        public array $unsupported,
        public array $cannotTell,
        public ?int $keyVersion,
        public int $bootstrap,
        public int $seed,
    ) {
    }
}
