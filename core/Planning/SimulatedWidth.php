<?php

declare(strict_types=1);

namespace Core\Planning;

/** What many simulated studies of one size reported. */
final readonly class SimulatedWidth
{
    /**
     * @param  float|null  $mean  mean width; null where no study had an interval
     * @param  float|null  $most  the width that four studies in five stay below
     * @param  float|null  $coverage  share of intervals that hold the expected value
     * @param  int  $undefined  studies without an interval
     */
    private function __construct(
        public int $cases,
        public int $studies,
        public ?float $mean,
        public ?float $most,
        public ?float $estimate,
        public ?float $coverage,
        public int $undefined,
    ) {
    }

    /**
     * @param  list<float>  $widths
     * @param  list<float>  $estimates
     */
    public static function summed(int $cases, int $studies, array $widths, array $estimates, int $covered): self
    {
        $n = count($widths);
        if ($n === 0) {
            return new self($cases, $studies, null, null, null, null, $studies);
        }
        sort($widths);

        return new self(
            $cases,
            $studies,
            (float) array_sum($widths) / $n,
            $widths[(int) floor(0.8 * ($n - 1))],
            (float) array_sum($estimates) / $n,
            (float) $covered / $n,
            $studies - $n,
        );
    }

    /** @return array<string, float|int|null> */
    public function toArray(): array
    {
        return [
            'cases' => $this->cases,
            'studies' => $this->studies,
            'mean_width' => $this->mean,
            'width_80' => $this->most,
            'mean_estimate' => $this->estimate,
            'coverage' => $this->coverage,
            'undefined' => $this->undefined,
        ];
    }
}
