<?php

declare(strict_types=1);

namespace Core\Motion;

/**
 * How a clock of its own – a film's, that of body points – stands to the recording's, which is the trace's:
 * t_recording = about + offset + (t − about)·(1 + drift), where drift is in parts per million and 'about' is the own
 * time at which the offset is told: the first frame.
 */
final readonly class Clock
{
    public function __construct(public float $offsetS = 0.0, public float $driftPpm = 0.0, public float $aboutS = 0.0)
    {
    }

    /** The recording's time of an own one, s. */
    public function toRecording(float $own): float
    {
        return $this->aboutS + $this->offsetS + ($own - $this->aboutS) * $this->pace();
    }

    /** The own time of one of the recording's, s. */
    public function toOwn(float $recording): float
    {
        return $this->aboutS + ($recording - $this->aboutS - $this->offsetS) / $this->pace();
    }

    /** The same clock, its offset told at another of its times. */
    public function about(float $own): self
    {
        return new self($this->toRecording($own) - $own, $this->driftPpm, $own);
    }

    public function moved(float $byS): self
    {
        return new self($this->offsetS + $byS, $this->driftPpm, $this->aboutS);
    }

    public function drifting(float $ppm): self
    {
        return new self($this->offsetS, $ppm, $this->aboutS);
    }

    /** Seconds of the recording in one of its own. */
    public function pace(): float
    {
        return 1.0 + 1e-6 * $this->driftPpm;
    }

    /** What it counts as so many a second, counted by the recording's clock. */
    public function rate(float $hz): float
    {
        return $hz / $this->pace();
    }
}
