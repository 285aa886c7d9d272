<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measure;

/** One trait of footwork that leans a swing toward one shape of flight. */
final readonly class Leaning
{
    /**
     * @param  string  $trait  code of the trait
     * @param  Measure  $measure  by which it is told
     * @param  'draw'|'fade'|'even'|null  $side  null where it is not measured
     * @param  bool  $isSure  whether the value lies beyond the threshold by more than its ±
     * @param  float|string|null  $value  what was measured, in the measure's unit
     */
    public function __construct(
        public string $trait,
        public Measure $measure,
        public ?string $side,
        public bool $isSure,
        public float|string|null $value,
    ) {
    }
}
