<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\StationTime;
use Core\Trace\DeviceClass;
use Core\Trace\Extreme;
use Core\Trace\Series;

/**
 * One quantity of a trace, smoothed for reading off values, with what is known of its errors. All half-widths
 * are of 95 % intervals in the quantity's own unit.
 */
final class SmoothSignal
{
    public readonly Series $series;

    /** What sensor noise leaves in one smoothed sample. */
    public readonly float $noise;

    /** Half-width of the 95 % range of where between two samples a moment fell, s. */
    public readonly float $sampling;

    private ?Series $slope = null;

    /**
     * @param  float  $sd  standard deviation of one raw sample
     * @param  float  $offset  constant error of the device: in every absolute value, in no difference within a swing
     * @param  bool  $derived  by stance geometry rather than by the instrument itself
     *
     * @throws CoreException
     */
    public function __construct(
        private readonly Series $raw,
        float $sd,
        public readonly float $offset,
        private readonly DeviceClass $device,
        public readonly bool $derived = false,
    ) {
        $this->series = $raw->smoothed($device->smoothing());
        $this->noise = 1.96 * $sd * sqrt($raw->varianceLeft($device->smoothing()));
        $this->sampling = 0.475 / $raw->rateHz;
    }

    /** @throws CoreException */
    public function slope(): Series
    {
        return $this->slope ??= $this->raw->derivative($this->device->slopeSmoothing());
    }

    /** Half-width for one value of slope() per unit standard deviation … of the noise this signal was given. */
    public function slopeNoise(): float
    {
        $sd = $this->noise / max(1e-12, 1.96 * sqrt($this->raw->varianceLeft($this->device->smoothing())));

        return 1.96 * $sd * $this->raw->slopeNoise($this->device->slopeSmoothing());
    }

    public function at(float $t): ?float
    {
        return $this->series->at($t);
    }

    /**
     * Noise and timing at a station: what is left of the uncertainty in a difference within one swing.
     *
     * @throws CoreException
     */
    public function timed(StationTime $time): float
    {
        $slope = $this->slope()->at($time->t);

        return hypot($this->noise, ($slope ?? 0.0) * hypot($time->uncertainty, $this->sampling));
    }

    /**
     * The uncertainty of an absolute value at a station.
     *
     * @throws CoreException
     */
    public function absolute(StationTime $time): float
    {
        return hypot($this->offset, $this->timed($time));
    }

    /** The uncertainty of an absolute value not tied to a station's time, such as an extreme. */
    public function level(): float
    {
        return hypot($this->offset, $this->noise);
    }

    /**
     * How far to either side of an extreme the signal stays within its noise: the honest uncertainty of its time, s.
     */
    public function flatness(Extreme $extreme, float $from, float $to): float
    {
        $step = max(0.002, 1.0 / $this->raw->rateHz / 2);
        $reach = [0.0, 0.0];
        foreach ([-1, 1] as $i => $sign) {
            for ($d = $step; $d < 0.2; $d += $step) {
                $t = $extreme->t + $sign * $d;
                $v = $t < $from || $t > $to ? null : $this->series->at($t);
                if ($v === null || abs($v - $extreme->value) > $this->noise) {
                    break;
                }
                $reach[$i] = $d;
            }
        }

        return max($this->sampling, ($reach[0] + $reach[1]) / 2);
    }

    /**
     * The uncertainty of the time at which a level is crossed at $t, s.
     *
     * @throws CoreException
     */
    public function crossing(float $t, bool $absolute): float
    {
        $slope = max(1e-9, abs($this->slope()->at($t) ?? 0.0));

        return hypot($this->sampling, ($absolute ? $this->level() : $this->noise) / $slope);
    }

    /**
     * How far from a crossing upward it may really have been, s: from where the signal may first have come over the
     * level to where it surely has, for good.
     *
     * @param  float  $hold  for how long it has to stay over it, s
     *
     * @throws CoreException
     */
    public function about(float $level, float $from, float $to, float $crossing, float $hold): float
    {
        $first = $this->series->risesThrough($level - $this->level(), $from, $to, 0.0) ?? $crossing;
        $last = $this->series->risesThrough($level + $this->level(), $crossing, $to, $hold) ?? $to;

        return min(0.2, max($this->sampling, $crossing - $first, $last - $crossing));
    }
}
