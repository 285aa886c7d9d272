<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Consensus\CaseConsensus;
use Core\Reading\Reading;

/** One case as everybody read it, with what the panel says of it and what the ball did. */
final readonly class AdvisedCase
{
    /**
     * @param  string  $golfer  whose swing it is: cases of one golfer are alike
     * @param  array<string, Reading>  $readings  by reader, of sheets that could say all of it
     * @param  CaseConsensus|null  $key  null where no panel said it
     * @param  list<list<string>>  $flights  the misses of each ball that was logged; none of a ball without one
     * @param  array<string, string>  $labels  what the key says of each fault, where it is scored
     */
    public function __construct(
        public string $case,
        public string $golfer,
        public array $readings,
        public ?CaseConsensus $key,
        public array $flights,
        public array $labels = [],
    ) {
    }
}
