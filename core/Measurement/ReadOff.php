<?php

declare(strict_types=1);

namespace Core\Measurement;

/** A figure read off a recording, freed of the reading's own bias, with the half-width of its 95 % interval. */
final readonly class ReadOff
{
    public function __construct(public float $value, public float $uncertainty)
    {
    }

    /** The same with its uncertainty so many times. */
    public function times(float $factor): self
    {
        return new self($this->value, $factor * $this->uncertainty);
    }

    /**
     * @param  float  $true  the figure of the curve that was replayed
     * @param  list<float>  $errors  of the same figure read off replays; few where most replays had none
     */
    public static function of(float $read, float $true, array $errors): self
    {
        $n = count($errors);
        if (2 * $n < Jitter::COUNT) {
            return new self($read, max([0.0, ...array_map(abs(...), $errors)]));
        }
        $bias = array_sum($errors) / $n;
        $off = array_map(static fn (float $e): float => abs($e - $bias), $errors);
        sort($off);

        // Never beyond what a replay shows: what cannot be negative stays so.
        $value = max(min($read, $true + min([INF, ...$errors])), min(max($read, $true + max([-INF, ...$errors])), $read - $bias));

        return new self($value, $off[(int) floor(0.95 * ($n - 1))]);
    }
}
