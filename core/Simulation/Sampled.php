<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;

/** A quantity of the synthetic swing five hundred times a second from time 0; constant beyond its ends. */
final readonly class Sampled
{
    public const RATE = 500.0;

    /** @param  list<float>  $values */
    public function __construct(public array $values)
    {
    }

    /**
     * A curve rounded off, so that what follows it has no kink in its acceleration: a body has none.
     *
     * @param  float  $sd  of the rounding, s
     *
     * @throws CoreException
     */
    public static function rounded(Curve $curve, float $duration, float $sd): self
    {
        return (new self($curve->sample((int) round($duration * self::RATE) + 1, self::RATE)))->smoothed($sd);
    }

    /** Three running means, nearly a normal curve of this standard deviation in s; the ends go on as they are. */
    public function smoothed(float $sd): self
    {
        // A running mean of 2h + 1 samples has the variance (h² + h) / 3, three of them that sum.
        $half = (int) round(sqrt(($sd * self::RATE) ** 2 + 0.25) - 0.5);
        $values = $this->values;
        $last = count($values) - 1;
        for ($pass = 0; $pass < 3; $pass++) {
            $sum = ($half + 1) * $values[0];
            for ($i = 1; $i <= $half; $i++) {
                $sum += $values[min($last, $i)];
            }
            $out = [];
            for ($i = 0; $i <= $last; $i++) {
                $out[] = $sum / (2 * $half + 1);
                $sum += $values[min($last, $i + $half + 1)] - $values[max(0, $i - $half)];
            }
            $values = $out;
        }

        return new self($values);
    }

    /** The same that goes only so much of the way from where it starts. */
    public function scaled(float $size): self
    {
        $start = $this->values[0];

        return $size === 1.0
            ? $this
            : new self(array_map(static fn (float $v): float => $start + $size * ($v - $start), $this->values));
    }

    /** Between samples by the cubic through the two on either side. */
    public function at(float $t): float
    {
        $x = $t * self::RATE;
        $last = count($this->values) - 1;
        if ($x <= 0.0) {
            return $this->values[0];
        }
        if ($x >= $last) {
            return $this->values[$last];
        }
        $i = (int) ($x + 1e-6);
        $u = $x - $i;
        if ($u < 1e-6) {
            return $this->values[$i];
        }
        $b = $this->values[$i];
        $c = $this->values[$i + 1];
        $a = $this->values[$i - 1] ?? $b;
        $d = $this->values[$i + 2] ?? $c;

        return $b +
            0.5 * $u * ($c - $a + $u * (2.0 * $a - 5.0 * $b + 4.0 * $c - $d + $u * (3.0 * ($b - $c) + $d - $a)));
    }

    /** The first time after `from` at which the quantity reaches a level from below; the end where it never does. */
    public function rises(float $level, float $from): float
    {
        return $this->crosses($level, $from, 1.0);
    }

    /** The same from above. */
    public function falls(float $level, float $from): float
    {
        return $this->crosses($level, $from, -1.0);
    }

    private function crosses(float $level, float $from, float $way): float
    {
        $count = count($this->values);
        for ($i = max(1, (int) ceil($from * self::RATE)); $i < $count; $i++) {
            $before = $this->values[$i - 1];
            if ($way * ($before - $level) < 0.0 && $way * ($this->values[$i] - $level) >= 0.0) {
                return ($i - 1 + ($level - $before) / ($this->values[$i] - $before)) / self::RATE;
            }
        }

        return ($count - 1) / self::RATE;
    }
}
