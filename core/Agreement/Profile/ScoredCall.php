<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** One call beside the key. */
final readonly class ScoredCall
{
    /** @param  float|null  $confidence  in [0, 1], stated, that the call is right */
    public function __construct(
        public string $case,
        public string $item,
        public bool $called,
        public bool $truth,
        public ?float $confidence,
    ) {
    }

    public function isRight(): bool
    {
        return $this->called === $this->truth;
    }

    /** @return 0|1|2|3 where it stands in the table: tp, fn, fp, tn */
    public function cell(): int
    {
        return $this->truth ? ($this->called ? 0 : 1) : ($this->called ? 2 : 3);
    }
}
