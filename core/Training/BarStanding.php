<?php

declare(strict_types=1);

namespace Core\Training;

/** How somebody stands beside a bar: what was found, of how many, and how many more would settle it. */
final readonly class BarStanding
{
    /** @param  int|null  $more  null where no number of more of the same would */
    public function __construct(
        public BarVerdict $verdict,
        public ?float $value,
        public int $n,
        public ?int $more,
    ) {
    }
}
