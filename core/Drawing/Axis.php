<?php

declare(strict_types=1);

namespace Core\Drawing;

/** A straight axis: values of a quantity to places on the page, with the values that are written beside it. */
final readonly class Axis
{
    /**
     * @param  float  $from  the value at its start
     * @param  float  $to  the value at its end, another one than at its start
     * @param  array<int|string, float>  $ticks  values that are written beside it, by how they are written
     */
    public function __construct(public float $from, public float $to, public array $ticks)
    {
    }

    /** Shares from none to all. */
    public static function shares(): self
    {
        return new self(0.0, 1.0, ['0 %' => 0.0, '25 %' => 0.25, '50 %' => 0.5, '75 %' => 0.75, '100 %' => 1.0]);
    }

    /** Where a value stands between two places; beyond them where it lies beyond the axis. */
    public function place(float $value, float $start, float $end): float
    {
        return $start + (($value - $this->from) / ($this->to - $this->from)) * ($end - $start);
    }
}
