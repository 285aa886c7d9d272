<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/** One call beside the key. */
final readonly class ScoredCall
{
    /**
     * @param  float|null  $confidence  in [0, 1], stated, that the call is right
     * @param  string|null  $golfer  whose swing it is of
     * @param  float|null  $others  the share of the others who called it present; null where there is nobody
     */
    public function __construct(
        public string $case,
        public string $item,
        public bool $called,
        public bool $truth,
        public ?float $confidence,
        public ?string $golfer = null,
        public ?float $others = null,
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
