<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Measurement\Spread;
use Core\Number\Distribution;

/**
 * How much the mean of a later series has to differ from that of an earlier one to count as real: more than the
 * golfer's own spread from swing to swing and the instrument leave in doubt at 95 %.
 */
final readonly class RealChange
{
    private function __construct(public float $least, public int $before, public int $after)
    {
    }

    /**
     * @param  int  $after  swings that the later series will have, warm
     * @param  float  $instrument  half-width of the 95 % interval of one swing's value, in the measure's unit
     * @return self|null null where there is no series of two or more
     */
    public static function planned(?Spread $before, int $after, float $instrument): ?self
    {
        if ($before === null || $after < 1) {
            return null;
        }
        $t = Distribution::studentQuantile(0.975, (float) ($before->n - 1));
        $part = 1.0 / (float) $before->n + 1.0 / (float) $after;

        return new self(
            hypot($t * $before->sd * sqrt($part), $instrument * sqrt($part)),
            $before->n,
            $after,
        );
    }
}
