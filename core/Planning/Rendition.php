<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Clock;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Trace\Foot;
use Core\Trace\Series;
use Core\Trace\Stance;
use Core\Trace\Trace;

/**
 * One swing as one place in a sitting shows it, where some cases are shown twice: on a clock of its own that begins
 * elsewhere, sampled between the samples, with the stance drawn a little beside where it was. No field of two
 * renditions of the same swing need be equal; their curves and pictures are as alike as before.
 *
 * Nothing is measured from a rendition. What a reader marks on it is carried back to the recording's clock exactly,
 * to a ten-thousandth of a second, which is what is stored.
 */
final readonly class Rendition
{
    /** Times are kept in these parts of a second, s. */
    private const GRID = 1e-4;

    /** How far ahead of address, and after the finish, a rendition begins and ends: least and most, s. */
    private const AHEAD = [0.20, 0.60];

    private const AFTER = [0.10, 0.50];

    /** Stations stand on a grid of the rendition's own, s. */
    private const STATIONS = 1.0 / 240;

    /** Least room for where a rendition begins; of a recording with less ahead of address it begins before it, s. */
    private const ROOM = 0.20;

    /** Traces and points are sampled at a multiple of this: a rate measured from its times is nobody else's, Hz. */
    private const RATES = 10.0;

    /** How often a start is drawn anew before one beside another's is taken. */
    private const TRIES = 200;

    /** Half-width of what is added to a film's drift, which is told: an exact one would name the film, ppm. */
    private const NUDGE_PPM = 40.0;

    /** Half-width by which a foot is drawn beside its place, and a size away from its own, mm; a flare, degrees. */
    private const NUDGE_MM = 2.0;

    private const NUDGE_DEG = 1.0;

    /**
     * @param  float  $start  where its clock's nought stands on the recording's clock, s
     * @param  float  $end  of what is shown, on the recording's clock, s
     * @param  list<float>  $nudges  fourteen draws in −1 … 1; twelve or thirteen in renditions of before
     */
    public function __construct(public float $start, public float $end, public array $nudges)
    {
    }

    /**
     * Of a recording that runs from $t0 to $end, s, with the stations found in it.
     *
     * @param  list<float>  $taken  where other renditions of the recording begin, s: this one begins at least a step of
     *     the stations' grid away, so that no station of the two is told at one time
     */
    public static function draw(
        Chance $chance,
        float $t0,
        float $end,
        StationTimes $stations,
        array $taken = [],
    ): self {
        $pick = static fn (float $low, float $high): float => self::GRID *
            round(($low + ($high - $low) * $chance->uniform()) / self::GRID);
        $address = $stations->t(Station::Address) ?? $t0 + 0.3;
        $finish = $stations->t(Station::Finish) ?? $end - 0.2;
        $from = max($t0, $address - self::AHEAD[1]);
        $latest = max($from, $address - self::AHEAD[0]);
        $from = min($from, $latest - self::ROOM);
        $to = min($end, $finish + self::AFTER[1]);
        $tries = 0;
        do {
            $start = round($pick($from, $latest), 4);
            $near = array_filter($taken, static fn (float $t): bool => abs($t - $start) < self::STATIONS);
        } while ($near !== [] && ++$tries < self::TRIES);
        $stop = $pick(min($to, $finish + self::AFTER[0]), $to);

        return new self(
            $start,
            round(min($stop, $end), 4),
            array_map(static fn (): float => round(2.0 * $chance->uniform() - 1.0, 3), range(1, 14)),
        );
    }

    /** Whether so little stands ahead of address that every rendition shows it: by a gap, where it begins before. */
    public static function isShort(float $t0, StationTimes $stations): bool
    {
        $address = $stations->t(Station::Address);

        return $address === null || $address - $t0 < self::AHEAD[0];
    }

    /** A time on the recording's clock from one on this clock, s. */
    public function toRecording(float $t): float
    {
        return round($t + $this->start, 4);
    }

    public function fromRecording(float $t): float
    {
        return round($t - $this->start, 4);
    }

    public function duration(): float
    {
        return $this->end - $this->start;
    }

    /**
     * By how much places are moved as a whole, mm: x, y, and heights. Standing still, they would be the same again
     * wherever the clock begins.
     *
     * @return array{float, float, float}
     */
    private function shift(): array
    {
        return array_map(
            fn (int $i): float => self::NUDGE_MM * ($this->nudges[$i] ?? 0.0),
            [10, 11, 12],
        );
    }

    /**
     * Sampled anew from its own nought on, centres of pressure moved as the body points are; a sample
     * beside a missing one is missing.
     *
     * @throws CoreException
     */
    public function trace(Trace $trace): Trace
    {
        $channels = [];
        foreach ($trace->channels as $name => $values) {
            $by = match (1) {
                preg_match('/copx_mm$/', $name) => $this->shift()[0],
                preg_match('/copy_mm$/', $name) => $this->shift()[1],
                default => 0.0,
            };
            $channels[$name] = array_map(
                static fn (float $v): float => $v + $by,
                $this->sampled(new Series($trace->rateHz, $values, $trace->t0)),
            );
        }

        return new Trace(
            $trace->device,
            self::rate($trace->rateHz),
            $channels,
            $trace->stance,
            $trace->massKg,
            0.0,
            $trace->clockJitterS,
        );
    }

    /**
     * The same for body points, which are moved by a millimetre or two as a whole.
     *
     * @throws CoreException
     */
    public function motion(Motion $motion): Motion
    {
        $shift = $this->shift();
        $points = [];
        foreach ($motion->points as $name => $axes) {
            $moved = fn (int $axis): array => array_map(
                static fn (float $v): float => $v + $shift[$axis],
                $this->sampled(new Series($motion->rateHz, $axes[$axis], $motion->t0)),
            );
            $points[$name] = [$moved(0), $moved(1), $moved(2)];
        }

        return new Motion(self::rate($motion->rateHz), $points, 0.0, $motion->view);
    }

    /** @throws CoreException */
    public function stations(StationTimes $stations): StationTimes
    {
        $times = [];
        $last = -1.0;
        foreach ($stations->all() as $code => $time) {
            $t = max($last + self::STATIONS, self::STATIONS * round(($time->t - $this->start) / self::STATIONS));
            if ($t >= 0.0 && $t <= $this->duration()) {
                $times[$code] = new StationTime($t, $time->uncertainty, $time->source);
                $last = $t;
            }
        }

        return StationTimes::fromTimes($times);
    }

    /** @throws CoreException */
    public function stance(Stance $stance): Stance
    {
        return new Stance($this->foot($stance->lead, 0), $this->foot($stance->trail, 5));
    }

    /**
     * Which frames of a filmed view are shown.
     *
     * @param  float  $firstAt  when the film's first frame was taken, on the recording's clock, s
     * @param  float  $rate  frames a second of the recording's clock
     * @param  list<int>  $taken  the first frames of other renditions, which this one does not begin with
     * @return array{int, int} first and last
     */
    public function frames(float $firstAt, float $rate, int $frames, array $taken = []): array
    {
        $first = max(0, (int) ceil(($this->start - $firstAt) * $rate - 1e-6));
        $last = min($frames - 1, (int) floor(($this->end - $firstAt) * $rate + 1e-6));
        while (in_array($first, $taken, true)) {
            $first++;
        }

        return [min($first, max(0, $frames - 2)), max($last, min($first + 1, $frames - 1))];
    }

    /**
     * The clock a filmed view is told by, from its own on the recording's clock: on this one, its drift not the film's
     * own to the last digit. In the middle of what is shown the two agree.
     *
     * @param  int  $first  the first frame shown, of the film's own
     * @param  float  $rate  frames a second of the film's clock
     */
    public function filmClock(Clock $clock, int $first, int $frames, float $rate): Clock
    {
        $drift = round($clock->driftPpm + self::NUDGE_PPM * ($this->nudges[13] ?? 0.0), 1);
        $half = ($frames - 1) / (2.0 * $rate);
        $middle = $clock->toRecording($first / $rate + $half) - $this->start;

        return new Clock($middle - $half * (1.0 + 1e-6 * $drift), $drift);
    }

    private static function rate(float $hz): float
    {
        return max(self::RATES, self::RATES * round($hz / self::RATES));
    }

    /** @return list<float> */
    private function sampled(Series $series): array
    {
        $out = [];
        $rate = self::rate($series->rateHz);
        for ($i = 0, $n = (int) floor($this->duration() * $rate + 1e-6); $i <= $n; $i++) {
            $out[] = $series->at($this->start + $i / $rate) ?? NAN;
        }

        return $out;
    }

    /** @throws CoreException */
    private function foot(Foot $foot, int $at): Foot
    {
        [$x, $y, $length, $width, $flare] = array_slice($this->nudges, $at, 5);

        return new Foot(
            round($foot->xMm + self::NUDGE_MM * $x, 1),
            round($foot->yMm + self::NUDGE_MM * $y, 1),
            round($foot->lengthMm + self::NUDGE_MM * $length, 1),
            round($foot->widthMm + self::NUDGE_MM * $width, 1),
            $foot->flareDeg === null ? null : round($foot->flareDeg + self::NUDGE_DEG * $flare, 1),
        );
    }
}
