<?php

declare(strict_types=1);

namespace Core\Film;

use Core\CoreException;

/**
 * The pictures of a film brought to one constant rate, and the moment each was really taken. Frame n of the stream is
 * shown at n / rate and holds the latest picture whose own time, rounded to the nearest frame, is not after it; where
 * the camera paused, a picture stands for several frames and its true time says so. Times are seconds from the
 * film's first picture.
 */
final readonly class FrameClock
{
    public const FASTEST = 240.0;

    /** Rates that cameras keep; a measured one within a thousandth of these is meant to be it. */
    private const KEPT = [
        24000.0 / 1001.0,
        24.0,
        25.0,
        30000.0 / 1001.0,
        30.0,
        48.0,
        50.0,
        60000.0 / 1001.0,
        60.0,
        90.0,
        100.0,
        120000.0 / 1001.0,
        120.0,
        200.0,
        240000.0 / 1001.0,
        240.0,
    ];

    /** @param  list<float>  $taken  when the picture of each frame was taken, s */
    private function __construct(public float $rate, public array $taken)
    {
    }

    /**
     * @param  list<float>  $times  of the pictures as they came, ascending, the first 0
     * @param  int|null  $frames  how many the stream holds, where that has been counted
     *
     * @throws CoreException
     */
    public static function fromTimes(array $times, float $rate, ?int $frames = null): self
    {
        if ($times === [] || $rate <= 0.0) {
            throw FilmException::because('no-pictures');
        }
        $places = array_map(static fn (float $t): int => (int) floor($t * $rate + 0.5 + 1e-6), $times);
        $frames ??= $places[count($places) - 1] + 1;
        $taken = [];
        for ($n = 0, $k = 0; $n < $frames; $n++) {
            while ($k + 1 < count($places) && $places[$k + 1] <= $n) {
                $k++;
            }
            $taken[] = $times[$k];
        }

        return new self($rate, $taken);
    }

    /**
     * The rate that loses no picture of an ordinary film: that of its usual interval, at most 240 a second.
     *
     * @param  list<float>  $times
     *
     * @throws CoreException
     */
    public static function rateFor(array $times): float
    {
        $rate = min(self::FASTEST, 1.0 / max(1e-4, self::usualInterval($times)));
        foreach ([0.0004, 0.02] as $within) {
            foreach (self::KEPT as $kept) {
                if (abs($rate / $kept - 1.0) < $within) {
                    return $kept;
                }
            }
        }

        return max(1.0, round($rate, 3));
    }

    /**
     * The middle interval between pictures, s. Where a file rounds its times, the mean of those near the middle one.
     *
     * @param  list<float>  $times
     *
     * @throws CoreException
     */
    public static function usualInterval(array $times): float
    {
        $steps = [];
        for ($i = 1, $n = count($times); $i < $n; $i++) {
            $steps[] = $times[$i] - $times[$i - 1];
        }
        if ($steps === []) {
            throw FilmException::because('one-picture');
        }
        sort($steps);
        $middle = $steps[intdiv(count($steps), 2)];
        $near = array_filter($steps, static fn (float $s): bool => abs($s - $middle) <= 0.1 * $middle);

        return $near === [] ? $middle : array_sum($near) / count($near);
    }

    public function frames(): int
    {
        return count($this->taken);
    }

    /** The frame shown at a time, s from the first. */
    public function frameAt(float $t): int
    {
        return max(0, min($this->frames() - 1, (int) floor($t * $this->rate + 1e-6)));
    }

    /** The largest distance between where a frame stands in the stream and when its picture was taken, s. */
    public function worstShift(): float
    {
        $worst = 0.0;
        foreach ($this->taken as $n => $t) {
            $worst = max($worst, abs($t - $n / $this->rate));
        }

        return $worst;
    }

    /** Whether some picture stands away from the moment it was taken by more than a tenth of a frame. */
    public function isUneven(): bool
    {
        return $this->worstShift() > 0.1 / $this->rate;
    }
}
