<?php

declare(strict_types=1);

namespace Core\Simulation;

/** How often a ± held what really happened, and how wide it was beside the error. */
final class Held
{
    public int $n = 0;

    public int $held = 0;

    private float $squares = 0.0;

    /** @var list<float> half-widths */
    private array $widths = [];

    public function count(float $error, float $halfWidth): void
    {
        $this->n++;
        $this->held += abs($error) <= $halfWidth ? 1 : 0;
        $this->squares += $error * $error;
        $this->widths[] = $halfWidth;
    }

    public function add(self $other): void
    {
        $this->n += $other->n;
        $this->held += $other->held;
        $this->squares += $other->squares;
        array_push($this->widths, ...$other->widths);
    }

    public function share(): float
    {
        return (float) $this->held / (float) max(1, $this->n);
    }

    /** The middle half-width. */
    public function width(): float
    {
        $widths = $this->widths;
        sort($widths);

        return $widths[intdiv($this->n, 2)] ?? NAN;
    }

    /** 1.96 times the root mean square error. */
    public function error(): float
    {
        return 1.96 * sqrt($this->squares / max(1, $this->n));
    }
}
