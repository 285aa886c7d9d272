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
     *
     * @throws CoreException
     */
    public function __construct(public float $rateHz, public array $values, public float $t0 = 0.0)
    {
        if ($rateHz <= 0.0) {
            throw TraceException::because('rate');
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

    /**
     * The part up to a time.
     *
     * @throws CoreException
     */
    public function before(float $t): self
    {
        return new self(
            $this->rateHz,
            array_slice($this->values, 0, max(1, (int) floor(($t - $this->t0) * $this->rateHz) + 1)),
            $this->t0,
        );
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
            if (is_nan($this->values[$i]) || $this->values[$i] < $level) {
                continue;
            }
            for ($j = $i; $j <= min($last, $i + $need); $j++) {
                if (is_nan($this->values[$j]) || $this->values[$j] < $level) {
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
     * The last time in [from, to] at which the series is at or above a level; null when it never is.
     * Linear between samples: from then on it stays below for good, as far as `to`.
     */
    public function lastAbove(float $level, float $from, float $to): ?float
    {
        [$a, $b] = $this->range($from, $to);
        for ($i = $b; $i >= $a; $i--) {
            $v = $this->values[$i];
            if (is_nan($v) || $v < $level) {
                continue;
            }
            $next = $i < $b ? $this->values[$i + 1] : NAN;

            return is_nan($next) ? $this->time($i) : $this->time($i) + ($v - $level) / ($v - $next) / $this->rateHz;
        }

        return null;
    }

    /**
     * The same times, every value through $f; a missing sample stays missing.
     *
     * @param  callable(float): float  $f
     *
     * @throws CoreException
     */
    public function map(callable $f): self
    {
        return new self(
            $this->rateHz,
            array_map(static fn (float $v): float => is_nan($v) ? NAN : $f($v), $this->values),
            $this->t0,
        );
    }

    /**
     * Every value so much less.
     *
     * @throws CoreException
     */
    public function minus(float $level): self
    {
        return new self(
            $this->rateHz,
            array_map(static fn (float $v): float => $v - $level, $this->values),
            $this->t0,
        );
    }

    /**
     * Quadratic Savitzky–Golay smoothing over ±$halfWidth seconds (Savitzky & Golay 1964; closed-form
     * weights after Madden 1978). Zero phase; keeps the height of a peak to second order; −3 dB at about
     * 0.47 / halfWidth Hz (Schafer 2011). The window shrinks at the ends; a window holding a missing
     * sample leaves the sample as it is.
     *
     * @throws CoreException
     */
    public function smoothed(float $halfWidth): self
    {
        return new self($this->rateHz, $this->filtered($halfWidth, 0), $this->t0);
    }

    /**
     * First derivative per second by the same filter; NAN where the window holds a missing sample.
     *
     * @throws CoreException
     */
    public function derivative(float $halfWidth): self
    {
        return new self($this->rateHz, $this->filtered($halfWidth, 1), $this->t0);
    }

    /** Samples to either side of a window of this half-width in seconds. */
    public static function half(float $halfWidth, float $rateHz): int
    {
        return max(1, (int) round($halfWidth * $rateHz));
    }

    /** @return list<float> the weights of smoothed() over ±$m samples */
    public static function weights(int $m): array
    {
        $scale = 3.0 / ((2 * $m + 1) * (4 * $m * $m + 4 * $m - 3));
        $base = 3 * $m * $m + 3 * $m - 1;

        return array_map(static fn (int $j): float => $scale * ($base - 5 * $j * $j), range(-$m, $m));
    }

    /** @return list<float> the weights of derivative() over ±$m samples, per sample */
    public static function slopeWeights(int $m): array
    {
        $scale = 3.0 / ($m * ($m + 1) * (2 * $m + 1));

        return array_map(static fn (int $j): float => $scale * $j, range(-$m, $m));
    }

    /**
     * A largest or smallest value, between samples by the parabola through the three about it.
     *
     * @param  int  $sign  1 for the largest, −1 for the smallest
     */
    public function peak(float $from, float $to, int $sign): ?Extreme
    {
        $best = $this->extreme($from, $to, $sign);
        if ($best === null) {
            return null;
        }
        $i = (int) round(($best->t - $this->t0) * $this->rateHz);
        [$a, $b, $c] = [$this->values[$i - 1] ?? NAN, $best->value, $this->values[$i + 1] ?? NAN];
        $bend = $a - 2.0 * $b + $c;
        $d = 0.5 * ($a - $c) / ($bend ?: NAN);
        $t = $best->t + $d / $this->rateHz;

        // At the end of a span it may still rise beyond it.
        return $sign * $bend < 0.0 && abs($d) <= 1.0 && $t >= $from && $t <= $to
            ? new Extreme($t, $b - 0.25 * ($a - $c) * $d)
            : $this->orAnEnd($best, $from, $to, $sign);
    }

    /** An extreme among samples, or what lies between samples at an end of the span, if that is farther. */
    private function orAnEnd(Extreme $best, float $from, float $to, int $sign): Extreme
    {
        foreach ([$from, $to] as $t) {
            $v = $this->at($t);
            $best = $v !== null && $sign * $v > $sign * $best->value ? new Extreme($t, $v) : $best;
        }

        return $best;
    }

    /**
     * At another rate without aliasing.
     *
     * @throws CoreException
     */
    public function resampled(float $rateHz): self
    {
        return Resampler::at($this, $rateHz);
    }

    /**
     * Sums over the window are carried from sample to sample about its moving middle, so the cost does not
     * grow with the window and nothing large is subtracted from anything large.
     *
     * @return list<float>
     */
    private function filtered(float $halfWidth, int $order): array
    {
        $v = $this->values;
        $n = count($v);
        $m = self::half($halfWidth, $this->rateHz);
        if ($n <= 2 * $m) {
            return array_map(fn (int $i): float => $this->shrunk($i, $m, $order), range(0, $n - 1));
        }
        $out = [];
        for ($i = 0; $i < $m; $i++) {
            $out[] = $this->shrunk($i, $m, $order);
        }
        $s0 = $s1 = $s2 = 0.0;
        $gaps = 0;
        for ($j = -$m; $j <= $m; $j++) {
            $x = $v[$m + $j];
            if (is_nan($x)) {
                $gaps++;
            } else {
                $s0 += $x;
                $s1 += $j * $x;
                $s2 += $j * $j * $x;
            }
        }
        $m2 = $m * $m;
        $scale = 3.0 / ((2 * $m + 1) * (4 * $m2 + 4 * $m - 3));
        $base = 3 * $m2 + 3 * $m - 1;
        $slope = 3.0 / ($m * ($m + 1) * (2 * $m + 1)) * $this->rateHz;
        for ($i = $m; ; $i++) {
            $out[] =
                $gaps > 0
                    ? ($order === 0
                        ? $v[$i]
                        : NAN)
                    : ($order === 0
                        ? $scale * ($base * $s0 - 5 * $s2)
                        : $slope * $s1);
            if ($i + $m + 1 >= $n) {
                break;
            }
            $x = $v[$i - $m];
            if (is_nan($x)) {
                $gaps--;
            } else {
                $s0 -= $x;
                $s1 += $m * $x;
                $s2 -= $m2 * $x;
            }
            $s2 += $s0 - 2 * $s1;
            $s1 -= $s0;
            $x = $v[$i + $m + 1];
            if (is_nan($x)) {
                $gaps++;
            } else {
                $s0 += $x;
                $s1 += $m * $x;
                $s2 += $m2 * $x;
            }
        }
        for ($i = $n - $m; $i < $n; $i++) {
            $out[] = $this->shrunk($i, $m, $order);
        }

        return $out;
    }

    /** The filter near an end, over as wide a window as there is. */
    private function shrunk(int $i, int $full, int $order): float
    {
        $m = min($full, $i, count($this->values) - 1 - $i);
        if ($m === 0) {
            return $order === 0 ? $this->values[$i] : $this->edgeSlope($i);
        }
        $sum = 0.0;
        if ($order === 1) {
            for ($j = 1; $j <= $m; $j++) {
                $sum += $j * ($this->values[$i + $j] - $this->values[$i - $j]);
            }

            return $sum * 3.0 / ($m * ($m + 1) * (2 * $m + 1)) * $this->rateHz;
        }
        for ($j = -$m; $j <= $m; $j++) {
            $sum += (3 * $m * $m + 3 * $m - 1 - 5 * $j * $j) * $this->values[$i + $j];
        }
        $value = $sum * 3.0 / ((2 * $m + 1) * (4 * $m * $m + 4 * $m - 3));

        return is_nan($value) ? $this->values[$i] : $value;
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
