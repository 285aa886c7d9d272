<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * One quantity sampled evenly in time. A missing sample is NAN; nothing in here invents one.
 */
final readonly class Series
{
    /**
     * @param  float  $rateHz  samples a second
     * @param  list<float>  $values
     * @param  float  $t0  time of the first sample in seconds from the start of the recording
     */
    public function __construct(public float $rateHz, public array $values, public float $t0 = 0.0)
    {
        if ($rateHz <= 0.0) {
            throw new CoreException('A series needs a positive sampling rate.');
        }
    }

    public function end(): float
    {
        return $this->t0 + (count($this->values) - 1) / $this->rateHz;
    }

    public function time(int $index): float
    {
        return $this->t0 + $index / $this->rateHz;
    }

    /** Linear between samples; null outside the series or beside a missing sample. */
    public function at(float $t): ?float
    {
        $x = ($t - $this->t0) * $this->rateHz;
        $last = count($this->values) - 1;
        if ($last < 0 || $x < -1e-6 || $x > $last + 1e-6) {
            return null;
        }
        $x = max(0.0, min((float) $last, $x));
        $i = (int) $x;
        $f = $x - $i;
        $value = $f < 1e-9 ? $this->values[$i] : $this->values[$i] + $f * ($this->values[$i + 1] - $this->values[$i]);

        return is_nan($value) ? null : $value;
    }

    /** Mean of the samples in [from, to]; null where there is none. */
    public function mean(float $from, float $to): ?float
    {
        [$a, $b] = $this->range($from, $to);
        $sum = 0.0;
        $n = 0;
        for ($i = $a; $i <= $b; $i++) {
            if (! is_nan($this->values[$i])) {
                $sum += $this->values[$i];
                $n++;
            }
        }

        return $n === 0 ? null : $sum / $n;
    }

    public function highest(float $from, float $to): ?Extreme
    {
        return $this->extreme($from, $to, 1);
    }

    public function lowest(float $from, float $to): ?Extreme
    {
        return $this->extreme($from, $to, -1);
    }

    /**
     * The first time in [from, to] at which the series rises through a level and stays at or above it for
     * $hold seconds; $from itself when it is above the level from the outset. Null if that never happens.
     */
    public function risesThrough(float $level, float $from, float $to, float $hold): ?float
    {
        [$a, $b] = $this->range($from, $to);
        $need = (int) ceil($hold * $this->rateHz);
        $last = count($this->values) - 1;
        for ($i = $a; $i <= $b; $i++) {
            if (! ($this->values[$i] >= $level)) {
                continue;
            }
            for ($j = $i; $j <= min($last, $i + $need); $j++) {
                if (! ($this->values[$j] >= $level)) {
                    $i = $j;

                    continue 2;
                }
            }
            if ($i === $a || is_nan($this->values[$i - 1])) {
                return $this->time($i);
            }
            $f = ($level - $this->values[$i - 1]) / ($this->values[$i] - $this->values[$i - 1]);

            return $this->time($i - 1) + $f / $this->rateHz;
        }

        return null;
    }

    /**
     * Quadratic Savitzky–Golay smoothing over ±$halfWidth seconds (Savitzky & Golay 1964; closed-form
     * weights after Madden 1978). Zero phase; keeps the height of a peak to second order. The window
     * shrinks at the ends; a window holding a missing sample leaves the sample as it is.
     */
    public function smoothed(float $halfWidth): self
    {
        return new self($this->rateHz, $this->filtered($halfWidth, 0), $this->t0);
    }

    /** First derivative per second by the same filter. */
    public function derivative(float $halfWidth): self
    {
        return new self($this->rateHz, $this->filtered($halfWidth, 1), $this->t0);
    }

    /** @return list<float> */
    private function filtered(float $halfWidth, int $order): array
    {
        $n = count($this->values);
        $full = max(1, (int) round($halfWidth * $this->rateHz));
        $out = [];
        for ($i = 0; $i < $n; $i++) {
            $m = min($full, $i, $n - 1 - $i);
            if ($m === 0) {
                $out[] = $order === 0 ? $this->values[$i] : $this->edgeSlope($i);

                continue;
            }
            $sum = 0.0;
            if ($order === 0) {
                $scale = 3.0 / ((2 * $m + 1) * (4 * $m * $m + 4 * $m - 3));
                $base = 3 * $m * $m + 3 * $m - 1;
                for ($j = -$m; $j <= $m; $j++) {
                    $sum += ($base - 5 * $j * $j) * $this->values[$i + $j];
                }
                $value = $sum * $scale;
                $out[] = is_nan($value) ? $this->values[$i] : $value;
            } else {
                for ($j = 1; $j <= $m; $j++) {
                    $sum += $j * ($this->values[$i + $j] - $this->values[$i - $j]);
                }
                $out[] = $sum * 3.0 / ($m * ($m + 1) * (2 * $m + 1)) * $this->rateHz;
            }
        }

        return $out;
    }

    private function edgeSlope(int $i): float
    {
        $n = count($this->values);
        if ($n < 2) {
            return 0.0;
        }
        $a = $i === 0 ? 0 : $n - 2;

        return ($this->values[$a + 1] - $this->values[$a]) * $this->rateHz;
    }

    private function extreme(float $from, float $to, int $sign): ?Extreme
    {
        [$a, $b] = $this->range($from, $to);
        $best = null;
        for ($i = $a; $i <= $b; $i++) {
            $v = $this->values[$i];
            if (! is_nan($v) && ($best === null || $sign * $v > $sign * $this->values[$best])) {
                $best = $i;
            }
        }

        return $best === null ? null : new Extreme($this->time($best), $this->values[$best]);
    }

    /** @return array{int, int} first and last index inside [from, to]; empty when first > last */
    private function range(float $from, float $to): array
    {
        return [
            max(0, (int) ceil(($from - $this->t0) * $this->rateHz - 1e-6)),
            min(count($this->values) - 1, (int) floor(($to - $this->t0) * $this->rateHz + 1e-6)),
        ];
    }
}
