<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;

/** Under what conditions an instrument records: how noisy, how correlated, how far its zeros are off and wander. */
final readonly class Conditions
{
    /**
     * @param  float  $noise  times the instrument's own
     * @param  float  $correlation  time over which noise forgets itself, s; 0 for white
     * @param  float  $drift  points of lead share from one end of the recording to the other, either way
     * @param  bool  $offsets  whether the constant errors of the device class are drawn, as normal deviates
     */
    public function __construct(
        public float $noise = 1.0,
        public float $correlation = 0.0,
        public float $drift = 0.0,
        public bool $offsets = false,
    ) {
    }

    /** What the device class says of itself, its constant errors included. */
    public static function ordinary(): self
    {
        return new self(offsets: true);
    }

    /** Twice the noise, correlated over 30 ms, and three points of drift. */
    public static function harsh(): self
    {
        return new self(2.0, 0.030, 3.0, true);
    }

    /**
     * Noise of standard deviation one, sample after sample: a first-order autoregression.
     *
     * @return callable(): float
     */
    public function noise(Chance $chance, float $rateHz): callable
    {
        if ($this->correlation <= 0.0) {
            $times = $this->noise;

            return static fn (): float => $times * $chance->normal();
        }
        $keep = exp(-1.0 / ($rateHz * $this->correlation));
        $new = $this->noise * sqrt(1.0 - $keep * $keep);
        $now = $this->noise * $chance->normal();

        return static function () use (&$now, $keep, $new, $chance): float {
            $was = $now;
            $now = $keep * $now + $new * $chance->normal();

            return $was;
        };
    }

    /** A constant error with this half-width of its 95 % range; nought where none is drawn. */
    public function offset(Chance $chance, float $halfWidth): float
    {
        return $this->offsets ? $chance->normal(0.0, $halfWidth / 1.96) : 0.0;
    }
}
