<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;

/**
 * What a second swing, or a second series, has more than the first, with the half-width of its 95 % interval, in the
 * measure's unit.
 */
final readonly class Difference
{
    /** @throws CoreException */
    private function __construct(public float $change, public float $uncertainty)
    {
        if (! is_finite($change) || ! is_finite($uncertainty) || $uncertainty < 0.0) {
            throw MeasurementException::because('difference');
        }
    }

    /**
     * Of two single swings: their uncertainties joined. It says nothing of the golfer's own spread.
     *
     * @throws CoreException
     */
    public static function ofSwings(
        float $first,
        float $firstUncertainty,
        float $second,
        float $secondUncertainty,
    ): self {
        return new self($second - $first, hypot($firstUncertainty, $secondUncertainty));
    }

    /**
     * Of two series: Welch's interval over their swings, joined with the instrument's own part.
     *
     * @param  float  $quantile  Student's t at 97.5 % for Spread::degrees()
     * @param  float  $instrument  what the instrument's error leaves in the difference, 95 % half-width
     *
     * @throws CoreException
     */
    public static function ofSeries(Spread $first, Spread $second, float $quantile, float $instrument): self
    {
        return new self(
            $second->mean - $first->mean,
            hypot($quantile * sqrt($first->sd ** 2 / $first->n + $second->sd ** 2 / $second->n), $instrument),
        );
    }

    /** Whether it is larger than its uncertainty. */
    public function isBeyond(): bool
    {
        return abs($this->change) > $this->uncertainty;
    }
}
