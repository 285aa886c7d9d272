<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/**
 * How much there is to talk about in what was said of one question: how far people are apart, and how far from the key.
 *
 * Both parts are shares, so that questions with few and with many answers can be put in one order; "cannot tell"
 * counts in neither, and takes weight away: two who differ among eight who could not see it are no dispute. Ours, no
 * published index: it orders a debrief and is never reported as agreement.
 */
final readonly class Contention
{
    /**
     * @param  int  $present  how many called it present
     * @param  int  $absent  how many called it absent
     * @param  int  $unsure  how many could not tell
     * @param  bool|null  $truth  what the key says: present, absent; null where it is silent
     */
    public function __construct(
        public int $present,
        public int $absent,
        public int $unsure = 0,
        public ?bool $truth = null,
    ) {
    }

    /**
     * Share of pairs of people whose calls differ, 0 to 1: 1 − a_i of two categories; null with fewer than two calls.
     */
    public function apart(): ?float
    {
        $n = $this->present + $this->absent;

        return $n < 2 ? null : 2.0 * $this->present * $this->absent / ($n * ($n - 1));
    }

    /** Share of the calls that differ from the key, 0 to 1; null where the key is silent or nobody called. */
    public function wrong(): ?float
    {
        $n = $this->present + $this->absent;

        return $n === 0 || $this->truth === null ? null : (float) ($this->truth ? $this->absent : $this->present) / $n;
    }

    /** Mean of the parts there are, times the share of people who could tell, 0 to 1. */
    public function weight(): float
    {
        $able = $this->present + $this->absent;
        $parts = array_filter([$this->apart(), $this->wrong()], static fn (?float $v): bool => $v !== null);

        return $parts === [] ? 0.0 : array_sum($parts) / count($parts) * $able / ($able + $this->unsure);
    }
}
