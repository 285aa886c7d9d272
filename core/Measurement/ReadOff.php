<?php

declare(strict_types=1);

namespace Core\Measurement;

/** A figure read off a recording, freed of the reading's own bias, with the half-width of its 95 % interval. */
final readonly class ReadOff
{
    /** Where 95 in 100 replays reach so many times as far as half of them, they read two places and not one. */
    private const ELSEWHERE = 6.0;

    public function __construct(public float $value, public float $uncertainty)
    {
    }

    /** The same with its uncertainty so many times. */
    public function times(float $factor): self
    {
        return new self($this->value, $factor * $this->uncertainty);
    }

    /** The same with one uncertainty more. */
    public function besides(float $halfWidth): self
    {
        return new self($this->value, hypot($this->uncertainty, $halfWidth));
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
        $off = self::away($errors, $bias);
        if ($off[(int) floor(0.95 * ($n - 1))] > self::ELSEWHERE * $off[intdiv($n, 2)]) {
            // Noise decides between places far apart: no middle of them is one.
            $far = self::away($errors, $read - $true);

            return new self($read, $far[(int) floor(0.975 * ($n - 1))]);
        }

        // Never beyond what a replay shows: what cannot be negative stays so.
        $least = min($read, $true + min([INF, ...$errors]));
        $value = max($least, min(max($read, $true + max([-INF, ...$errors])), $read - $bias));

        return new self($value, $off[(int) floor(0.95 * ($n - 1))]);
    }

    /**
     * @param  list<float>  $errors
     * @return list<float> how far each lies from there, the nearest first
     */
    private static function away(array $errors, float $from): array
    {
        $off = array_map(static fn (float $e): float => abs($e - $from), $errors);
        sort($off);

        return $off;
    }
}
