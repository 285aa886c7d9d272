<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;

/** Whether readers would do the same with what they see, among themselves and beside the panel. */
final readonly class AdviceResult
{
    /**
     * Figures of a reader beside the panel and the ball, in their order. Of the drills chosen that the panel judged so
     * many would help, do harm, or are unsafe for this golfer; of the rest it cannot be said.
     */
    public const FIGURES = [
        'causes', 'chain', 'priority', 'decision', 'trend', 'breaks', 'helps', 'harms', 'unsafe', 'miss',
    ];

    /**
     * @param  array<string, int>  $settled  of how many cases the key settles causes, chain and priority; of how many
     *     questions the decision, of how many rungs of drills what they would do
     * @param  array<string, Figure>  $among  causes, chain (α with MASI's distance), overlap (mean Jaccard index of
     *     causes), priority, decision and drill (α)
     * @param  list<RaterResult>  $beside  by reader
     */
    public function __construct(
        public int $cases,
        public int $readers,
        public array $settled,
        public array $among,
        public array $beside,
    ) {
    }
}
