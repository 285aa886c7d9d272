<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * A verdict with its margin – how far the deciding value stands beyond its threshold, in units of its own
 * 95 % uncertainty; null when nothing can be said – and the sentence that says why.
 */
final readonly class Judgement
{
    public function __construct(public Verdict $verdict, public ?float $margin, public string $sentence)
    {
    }

    /** Whether the verdict stands clear of its threshold by more than its uncertainty. */
    public function isSure(): bool
    {
        return $this->margin !== null && $this->margin >= 1.0;
    }
}
