<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\Drill;

/** A drill with what speaks for it and against it. */
final readonly class RankedDrill
{
    /** @param  list<Reason>  $reasons  for it first */
    public function __construct(public Drill $drill, public array $reasons)
    {
    }

    /** @return list<Reason> what has to be answered by whoever chooses it all the same */
    public function against(): array
    {
        return array_values(array_filter($this->reasons, static fn (Reason $r): bool => $r->code->asksWhy()));
    }

    /** How much the gravest limit that it loads asks; 0 where it loads none. */
    public function severity(): int
    {
        return max(0, ...array_map(static fn (Reason $r): int => $r->limit?->severity->rank() ?? 0, $this->reasons));
    }

    public function has(ReasonCode $code): bool
    {
        return in_array($code, array_column($this->reasons, 'code'), true);
    }
}
