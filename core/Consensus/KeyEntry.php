<?php

declare(strict_types=1);

namespace Core\Consensus;

use Core\Codebook\Judgement;
use Core\Reading\Call;

/**
 * What a key says of one item in one case: what the panel says together, what the measurements say, and how the two
 * stand.
 */
final readonly class KeyEntry
{
    public function __construct(
        public string $item,
        public Consensus $consensus,
        public Judgement $judgement,
        public Grade $grade,
    ) {
    }

    /**
     * @param  list<Call>  $calls  one per panel member
     * @param  float  $majority  in (0.5, 1], of those who could tell
     * @param  int  $able  how many must be able to tell
     */
    public static function fromCalls(string $item, array $calls, Judgement $judgement, float $majority, int $able): self
    {
        $consensus = Consensus::fromCalls($calls, $majority, $able);

        return new self($item, $consensus, $judgement, Grade::grading($consensus->label, $judgement));
    }
}
