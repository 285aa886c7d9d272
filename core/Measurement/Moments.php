<?php

declare(strict_types=1);

namespace Core\Measurement;

/** When the stations of a swing were, as told or in one replay. */
final readonly class Moments
{
    /** @param  array<string, float>  $at  seconds by station code */
    public function __construct(public array $at)
    {
    }

    public function has(string ...$codes): bool
    {
        return array_diff($codes, array_keys($this->at)) === [];
    }

    /** Seconds; asked only for stations that are held. */
    public function at(string $code): float
    {
        return $this->at[$code] ?? NAN;
    }
}
