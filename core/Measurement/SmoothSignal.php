<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\StationTime;
use Core\Trace\Noise;
use Core\Trace\Series;

/**
 * One quantity of a trace or of body points, smoothed for reading off values, with what is known of its errors. All
 * half-widths are of 95 % intervals in the quantity's own unit.
 */
final class SmoothSignal
{
    /** How many times wider the smoothing is that stands for the truth in replays, of values and of slopes. */
    private const CALM = 3.0;

    private const CALM_SLOPE = 2.0;

    private const CALMER = 1.6;

    public readonly Series $series;

    /** What sensor noise leaves in one smoothed sample, where the trace is as it is at rest. */
    public readonly float $noise;

    /** Half-width of the 95 % range of where between two samples a moment fell, s. */
    public readonly float $sampling;

    private ?Series $slope = null;

    private ?Replay $values = null;

    private ?Replay $slopes = null;

    private ?self $calm = null;

    /**
     * @param  Noise  $sensor  of one raw sample
     * @param  float  $offset  constant error of the device: in every absolute value, in no difference within a swing
     * @param  float  $smoothing  half-width of the smoothing for values, s, and for slopes
     * @param  bool  $derived  by stance geometry rather than by the instrument itself
     * @param  string  $key  the quantity's name
     * @param  Series|null  $times  how many times noisier than at rest, over time
     * @param  list<Series>  $wanders  what else it may be off by over time, each all one way throughout a swing
     *
     * @throws CoreException
     */
    public function __construct(
        private readonly Series $raw,
        private readonly Noise $sensor,
        public readonly float $offset,
        private readonly float $smoothing,
        private readonly float $slopeSmoothing,
        private readonly Jitter $jitter,
        public readonly bool $derived = false,
        private readonly string $key = '',
        private readonly ?Series $times = null,
        private readonly array $wanders = [],
    ) {
        $this->sampling = 0.475 / $raw->rateHz;
        $this->series = $raw->smoothed($smoothing);
        $this->noise = $sensor->factor() * $sensor->smoothed($smoothing);
    }

    /**
     * The same under wider smoothings, for when something was: a time is read the better the less trembles, a height is
     * not.
     *
     * @throws CoreException
     */
    public function calmer(): self
    {
        return $this->calm ??= new self(
            $this->raw,
            $this->sensor,
            $this->offset,
            self::CALMER * $this->smoothing,
            self::CALMER * $this->slopeSmoothing,
            $this->jitter,
            $this->derived,
            $this->key,
            $this->times,
            $this->wanders,
        );
    }

    /**
     * The same with slopes over another window.
     *
     * @throws CoreException
     */
    public function over(float $slopeSmoothing): self
    {
        return new self(
            $this->raw,
            $this->sensor,
            $this->offset,
            $this->smoothing,
            $slopeSmoothing,
            $this->jitter,
            $this->derived,
            $this->key,
            $this->times,
            $this->wanders,
        );
    }

    /** @throws CoreException */
    public function slope(): Series
    {
        return $this->slope ??= $this->raw->derivative($this->slopeSmoothing);
    }

    /** Half-width for one value of slope(). */
    public function slopeNoise(): float
    {
        return $this->sensor->factor() * $this->sensor->slope($this->slopeSmoothing);
    }

    /** What noise leaves in the mean over so many seconds. */
    public function meanNoise(float $span): float
    {
        return $this->sensor->factor() * $this->sensor->mean($span);
    }

    /** What sensor noise leaves in one smoothed sample at a time. */
    public function noiseAt(float $t): float
    {
        return $this->noise * ($this->times?->at($t) ?? 1.0);
    }

    /**
     * A figure of the curve and the stations' times, with all that makes it uncertain.
     *
     * @param  callable(Series, Moments): ?float  $figure
     *
     * @throws CoreException
     */
    public function read(callable $figure): ?ReadOff
    {
        $width = $this->smoothing;
        $this->values ??= new Replay(
            $this->jitter,
            $this->raw->smoothed(self::CALM * $width),
            $this->sensor,
            $this->sensor->smoothed($width),
            $this->offset,
            $width,
            false,
            $this->key,
            $this->times,
            $this->wanders,
            $this->until(),
        );

        return $this->values->read($this->series, $figure)?->times($this->sensor->factor() / 1.96);
    }

    /**
     * The same of the curve's slope.
     *
     * @param  callable(Series, Moments): ?float  $figure
     *
     * @throws CoreException
     */
    public function readSlope(callable $figure): ?ReadOff
    {
        $width = $this->slopeSmoothing;
        $this->slopes ??= new Replay(
            $this->jitter,
            $this->raw->derivative(self::CALM_SLOPE * $width),
            $this->sensor,
            $this->sensor->slope($width),
            0.0,
            $width,
            true,
            $this->key,
            until: $this->until(),
        );

        return $this->slopes->read($this->slope(), $figure)?->times($this->sensor->factor() / 1.96);
    }

    /** What follows impact is asked of shares only. */
    private function until(): ?float
    {
        return $this->key === 'share' ? $this->jitter->ends() : $this->jitter->ends('IM');
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
        $off = 0.0;
        $begins = $this->jitter->begins() ?? $time->t;
        foreach ($this->wanders as $wander) {
            $off = hypot($off, ($wander->at($time->t) ?? 0.0) - ($wander->at($begins) ?? 0.0));
        }

        return hypot($off, $this->trembles($time));
    }

    /**
     * The uncertainty of an absolute value at a station.
     *
     * @throws CoreException
     */
    public function absolute(StationTime $time): float
    {
        return hypot($this->constant($time->t), $this->trembles($time));
    }

    /** @throws CoreException */
    private function trembles(StationTime $time): float
    {
        return hypot($this->noiseAt($time->t), ($this->slope()->at($time->t) ?? 0.0) * $time->uncertainty);
    }

    /** The half of it that no smoothing takes away: a constant error, and how far a zero has wandered. */
    public function constant(float $t): float
    {
        $off = $this->offset;
        foreach ($this->wanders as $wander) {
            $off = hypot($off, $wander->at($t) ?? 0.0);
        }

        return $off;
    }

    /**
     * The uncertainty of the time at which a level is crossed at $t, s.
     *
     * @throws CoreException
     */
    public function crossing(float $t): float
    {
        return hypot($this->constant($t), $this->noise) / max(1e-9, abs($this->slope()->at($t) ?? 0.0));
    }
}
