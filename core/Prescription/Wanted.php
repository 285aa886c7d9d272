<?php

declare(strict_types=1);

namespace Core\Prescription;

use Core\Codebook\ExpectedChange;

/** What a measure is wanted to be, so that a change of it is for the better or the worse. */
final readonly class Wanted
{
    /** @param  array{float, float}|null  $band */
    private function __construct(private ?ExpectedChange $change, private ?array $band)
    {
    }

    public static function asExpected(ExpectedChange $change): self
    {
        return new self($change, null);
    }

    /** @param  array{float, float}|null  $band  where there is none, no change is better than another */
    public static function inBand(?array $band): self
    {
        return new self(null, $band);
    }

    /** How good a value is, in the measure's unit; only differences of it mean something. */
    public function goodness(float $value): float
    {
        return match (true) {
            $this->change !== null => $this->change->goodness($value),
            $this->band !== null => -max(0.0, $this->band[0] - $value, $value - $this->band[1]),
            default => 0.0,
        };
    }

    /** Whether all of an interval is as good as can be. */
    public function isMetBy(float $low, float $high): bool
    {
        return $this->band !== null && $low >= $this->band[0] && $high <= $this->band[1];
    }

    /** Whether any value is better than another. */
    public function isKnown(): bool
    {
        return $this->change !== null || $this->band !== null;
    }
}
