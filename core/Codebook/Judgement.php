<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * A verdict with its margin – how far the deciding value stands beyond its threshold, in units of its own
 * 95 % uncertainty; null when nothing can be said – and the sentence that says why.
 */
final readonly class Judgement
{
    /**
     * @param  string|null  $proxy  what stood in for the fault, where it was judged indirectly
     * @param  list<array{measure: string, station: string|null, op: string, threshold: float|string}>  $deciding  the conditions it came from
     */
    public function __construct(public Verdict $verdict, public ?float $margin, public string $sentence, public ?string $proxy = null, public array $deciding = [])
    {
    }

    /** Whether the verdict stands clear of its threshold by more than its uncertainty. */
    public function isSure(): bool
    {
        return $this->margin !== null && $this->margin >= 1.0;
    }
}
