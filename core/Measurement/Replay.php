<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Trace\Noise;
use Core\Trace\Series;

/**
 * One quantity of one swing, recorded again and again: a calmer smoothing of it stands for what happened, and each time
 * its noise, its constant error and the stations' times fall anew. What is read off the replays as it was off the
 * recording errs as the recording does, so their spread is the reading's ± and their mean error what to take off it
 * (Efron & Tibshirani 1993, 6.5 and 10.2: parametric bootstrap and its bias). Seeded: the same recording, the same ±.
 */
final class Replay
{
    /** Seconds between two points of a replay, where the recording is finer. */
    private const STEP = 0.005;

    /** Points of noise, and beside them the longest replay. */
    private const BANK = 16384;

    private const LONGEST = 2048;

    private const MEMORY_STEP = 0.002;

    private const MOST_BANKS = 32;

    /** A replay is so much longer than what is asked for, s. */
    private const BEYOND = 0.15;

    /** @var list<float> */
    private static array $white = [];

    /** @var array<string, list<float>> */
    private static array $banks = [];

    private Series $reference;

    /** @var list<Series> */
    private array $replays = [];

    /**
     * @param  Series  $calm  what stands for the truth
     * @param  float  $sd  of one value as it is read, after smoothing
     * @param  float  $offset  half-width of the 95 % range of a constant error
     * @param  float  $halfWidth  of the smoothing, s, and whether it gives slopes: what the noise looks like
     * @param  string  $key  the quantity's name: its own draws of the constant error
     * @param  Series|null  $times  how many times noisier than where it was estimated, over time
     * @param  float|null  $until  until when the replays are asked for, s; to the end where it is null
     * @param  list<Series>  $wanders  half-widths of what else it may be off by over time, each all one way
     *
     * @throws CoreException
     */
    public function __construct(
        private readonly Jitter $jitter,
        Series $calm,
        Noise $noise,
        float $sd,
        float $offset,
        float $halfWidth,
        bool $isSlope,
        string $key,
        ?Series $times = null,
        array $wanders = [],
        ?float $until = null,
    ) {
        $step = max(self::STEP, 1.0 / $calm->rateHz);
        $from = max($calm->t0, ($jitter->begins() ?? $calm->t0) - self::BEYOND);
        $to = min($calm->end(), ($until ?? $calm->end()) + self::BEYOND);
        $n = max(2, min(self::LONGEST, (int) floor(($to - $from) / $step + 1e-6) + 1));
        $values = $level = [];
        for ($i = 0; $i < $n; $i++) {
            $values[] = $calm->at($from + $i * $step) ?? NAN;
            $level[] = $times === null ? $sd : $sd * ($times->at($from + $i * $step) ?? 1.0);
        }
        $this->reference = new Series(1.0 / $step, $values, $from);
        if ($jitter->drawn === []) {
            return;
        }
        $bank = self::bank($step, $halfWidth, $noise->memory, $isSlope);
        $offsets = Jitter::normal("offset|$key");
        $away = array_map(static fn (Series $w): array => array_map(
            static fn (int $i): float => ($w->at($from + $i * $step) ?? 0.0) / 1.96,
            range(0, $n - 1),
        ), $wanders);
        $apart = intdiv(self::BANK, Jitter::COUNT);
        for ($k = 0; $k < Jitter::COUNT; $k++) {
            $at = $k * $apart;
            $off = $offset / 1.96 * $offsets[$k];
            $out = [];
            foreach ($values as $i => $v) {
                $out[] = $v + $off + $level[$i] * $bank[$at + $i];
            }
            foreach ($away as $w => $by) {
                $way = Jitter::normal("wander|$w|$key")[$k];
                foreach ($by as $i => $d) {
                    $out[$i] += $way * $d;
                }
            }
            $this->replays[] = new Series(1.0 / $step, array_values($out), $from);
        }
    }

    /**
     * @param  Series  $recorded  what the figure is read off
     * @param  callable(Series, Moments): ?float  $figure  of a curve and the stations' times
     * @return ReadOff|null null where the recording has none
     */
    public function read(Series $recorded, callable $figure): ?ReadOff
    {
        $read = $figure($recorded, $this->jitter->told);
        if ($read === null) {
            return null;
        }
        $true = $figure($this->reference, $this->jitter->told);
        $errors = [];
        foreach ($this->replays as $k => $replay) {
            $again = $true === null ? null : $figure($replay, $this->jitter->drawn[$k]);
            if ($again !== null) {
                $errors[] = $again - $true;
            }
        }

        return ReadOff::of($read, $true ?? $read, $errors);
    }

    /**
     * Noise of standard deviation one as the smoothing leaves it, on the replays' own grid.
     *
     * @return list<float>
     *
     * @throws CoreException
     */
    private static function bank(float $step, float $halfWidth, float $memory, bool $isSlope): array
    {
        // A memory to the two milliseconds: no bank for every recording's own.
        $memory = self::MEMORY_STEP * round($memory / self::MEMORY_STEP);
        $key = sprintf('%.4f|%.4f|%.3f|%d', $step, $halfWidth, $memory, $isSlope);
        if (isset(self::$banks[$key])) {
            return self::$banks[$key];
        }
        if (count(self::$banks) >= self::MOST_BANKS) {
            self::$banks = [];
        }
        if (self::$white === []) {
            $chance = new Chance('replay');
            for ($i = 0; $i < self::BANK + self::LONGEST; $i++) {
                self::$white[] = $chance->normal();
            }
        }
        $keep = $memory > 0.0 ? exp(-$step / $memory) : 0.0;
        $now = 0.0;
        $noise = [];
        foreach (self::$white as $z) {
            $noise[] = $now = $keep * $now + $z;
        }
        $series = new Series(1.0 / $step, $noise);
        // On the grid a narrow smoothing leaves what a wider one would: neighbours apart by half its width agree.
        $shaped = $isSlope ? $series->derivative($halfWidth)->values : $series->smoothed($halfWidth)->values;
        $square = 0.0;
        foreach ($shaped as $v) {
            $square += $v * $v;
        }
        $by = 1.0 / sqrt(max(1e-12, $square / count($shaped)));

        return self::$banks[$key] = array_map(static fn (float $v): float => $by * $v, $shaped);
    }
}
