<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Extreme;
use Core\Trace\Series;
use Core\Trace\Trace;

/**
 * Proposes stations where there is a trace and nothing else. The share leaves its level at set-up about address; the
 * vertical force, where there is one, falls fastest just after impact, and without it the share has just arrived on
 * the lead side; the rest is set by the usual proportions of a swing. Every proposal is doubtful by design.
 */
final class StationsFromTrace
{
    /**
     * Usual time from top to impact, s; how surely any swing has it, as the spread of its logarithm; and what is no
     * usual swing and asks it nothing.
     */
    private const DOWN = ['usual' => 0.258, 'spread' => 0.2, 'unlike' => 0.3];

    /**
     * How many times as long as from top to impact it is from the least to nearly the most lead share, and from the
     * vertical force's dip to its letting go, each with the spread of its logarithm.
     */
    private const SHARE_RISES = [2.25, 0.14];

    private const FORCE_RISES = [0.66, 0.12];

    /** No swing at a ball comes down slower, s. */
    private const SLOWEST = 0.42;

    private const PARTS = ['TB' => 0.40, 'LB' => 0.60, 'LD' => 0.53, 'SD' => 0.83];

    private const THROUGH = 0.19;

    /** From impact to the finish, s. */
    private const FINISH = 0.74;

    /** Points of share that a full swing brings over, and below which it may be small; and that a half one brings. */
    private const FULL = [50.0, 62.0];

    private const HALF = [25.0, 40.0];

    private const CHIP = 26.0;

    /**
     * Within so long after the trail peak the share has come over, and so long the recording goes on, s; longer where
     * the way to the trail peak took long, by so many times it, or the first half of the way over, by so many times it.
     */
    private const SHIFT = 0.75;

    private const SLOWER = 1.5;

    private const HALVES = 2.5;

    private const AFTER_LOW = 0.5;

    /** A press of the lead foot before the move away takes no longer, s; the share has left its level by so much, %. */
    private const PRESS = 0.45;

    private const LEAVES = 2.5;

    /** Half-widths of 95 % intervals, s. */
    private const UNCERTAIN = [
        'AD' => 0.1,
        'TB' => 0.12,
        'LB' => 0.11,
        'TP' => 0.08,
        'LD' => 0.07,
        'SD' => 0.065,
        'IM' => 0.06,
        'ST' => 0.065,
        'FI' => 0.2,
    ];

    /** @throws CoreException */
    public static function find(Trace $trace): ?FoundStations
    {
        $whole = $trace->leadShare()?->smoothed(0.03);
        $swing = $whole === null ? null : self::swing($trace);
        if ($whole === null || $swing === null) {
            return null;
        }
        [$from, $to, $stood] = $swing;
        $low = $whole->lowest(max($from, $whole->t0 + 0.1), min($to, $whole->end() - self::AFTER_LOW));
        if ($low === null) {
            return null;
        }
        $level = $whole->mean($stood[0], min($stood[1], $stood[0] + 0.3));
        $ad = $level === null ? null : self::address($whole, $level, $stood[0], $low);
        $high = self::high($whole, $low, $low->t - ($ad ?? $low->t));
        if ($high === null || $high->value - $low->value < 8.0) {
            return null;
        }
        [$im, $down, $spread] = self::impact($trace, $whole, $low, $high);
        $tp = $im - $down;
        if ($ad === null || $ad >= $tp - 0.3) {
            $ad = $tp - 0.86 * $down / self::DOWN['usual'];
        }
        $back = $tp - $ad;
        $seconds = [
            'AD' => $ad,
            'TB' => $ad + self::PARTS['TB'] * $back,
            'LB' => $ad + self::PARTS['LB'] * $back,
            'TP' => $tp,
            'LD' => $tp + self::PARTS['LD'] * $down,
            'SD' => $tp + self::PARTS['SD'] * $down,
            'IM' => $im,
            'ST' => $im + self::THROUGH * $down,
            'FI' => $im + self::FINISH,
        ];
        // How far up the arm goes no pressure tells; what comes over little may be a small swing.
        $small = self::part($high->value - $low->value, self::FULL);
        $least = self::part($high->value - $low->value, self::HALF);
        $unsure = ['LB' => 0.4 * $small * $back, 'LD' => 0.55 * $small * $down, 'ST' => self::FINISH * $least];
        $doubt = $down > self::SLOWEST
            ? Remark::of(Doubt::OddDownswing, down_ms: 1000 * $down)
            : Remark::of(Doubt::FromTheTraceAlone);
        if ($high->value - $low->value < self::CHIP) {
            // Neither arm nor shaft need have come level.
            $seconds = array_diff_key($seconds, array_flip(['TB', 'LB', 'LD', 'SD']));
        }
        $times = $doubts = [];
        foreach ($seconds as $code => $t) {
            if ($t >= $trace->t0 && $t <= $whole->end()) {
                // What is unsure of the tempo is the more unsure the farther a station lies from impact.
                $part = abs($im - $t) / $down;
                $more = $part * 3.0 * $spread * max(0.0, $down - self::DOWN['usual']);
                $times[$code] = new StationTime(
                    $t,
                    hypot(hypot(self::UNCERTAIN[$code], $more), $unsure[$code] ?? 0.0),
                    StationSource::Trace,
                );
                $doubts[$code] = $doubt;
            }
        }

        return new FoundStations(StationTimes::fromTimes($times), $doubts);
    }

    /**
     * 1 below the first of two numbers, nought above the second.
     *
     * @param  array{float, float}  $of
     */
    private static function part(float $v, array $of): float
    {
        return max(0.0, min(1.0, ($of[1] - $v) / ($of[1] - $of[0])));
    }

    /**
     * Where the share has come over: sought the longer, the longer the way back took, unless half of it comes at once.
     *
     * @param  float  $back  s
     */
    private static function high(Series $share, Extreme $low, float $back): ?Extreme
    {
        $far = $share->highest($low->t, $low->t + max(self::SHIFT, self::SLOWER * $back));
        $half = $far === null
            ? null
            : $share->risesThrough(($low->value + $far->value) / 2.0, $low->t, $far->t, 0.0);
        $within = min(self::SLOWER * $back, self::HALVES * (($half ?? $low->t) - $low->t));

        return $share->highest($low->t, $low->t + max(self::SHIFT, $within));
    }

    /**
     * Where the steepest of its swings lies, s, and when its golfer stood before it.
     *
     * @return array{float, float, array{float, float}}|null
     *
     * @throws CoreException
     */
    private static function swing(Trace $trace): ?array
    {
        $shifts = Shifts::in($trace);
        if ($shifts === []) {
            return null;
        }
        $steepest = (int) array_search(max(array_column($shifts, 'slope')), array_column($shifts, 'slope'), true);
        ['stood' => $stood] = $shifts[$steepest];

        return [$stood[0], $shifts[$steepest + 1]['stood'][0] ?? INF, $stood];
    }

    /**
     * Impact, s; the time from the top to it, s; and the spread of that time's logarithm.
     *
     * @return array{float, float, float}
     *
     * @throws CoreException
     */
    private static function impact(Trace $trace, Series $share, Extreme $low, Extreme $high): array
    {
        $nearly = $low->value + 0.97 * ($high->value - $low->value);
        $come = $share->risesThrough($nearly, $low->t, $high->t, 0.0) ?? $high->t;
        $tells = [[($come - $low->t) / self::SHARE_RISES[0], self::SHARE_RISES[1]]];
        $im = $come + 0.012;
        $total = $trace->totalForce()?->smoothed(0.012);
        $peak = $total?->highest($low->t + 0.1, $high->t + 0.3);
        if ($total !== null && $peak !== null && $peak->value > 112.0) {
            $fall = $total->derivative(0.02)->lowest($peak->t, $peak->t + 0.2);
            // The push is let go as the ball goes.
            $im = $fall === null ? $peak->t + 0.06 : $fall->t + 0.006;
            $dip = $total->lowest($peak->t - 0.5, $peak->t);
            if ($dip !== null) {
                $tells[] = [($im - 0.006 - $dip->t) / self::FORCE_RISES[0], self::FORCE_RISES[1]];
            }
        }

        $told = self::together($tells);
        $isUsual = abs(log($told[0] / self::DOWN['usual'])) < self::DOWN['unlike'];

        return [
            $im,
            ...($isUsual ? self::together([...$tells, [self::DOWN['usual'], self::DOWN['spread']]]) : $told),
        ];
    }

    /**
     * What several tell of one time, each weighed by how surely.
     *
     * @param  non-empty-list<array{float, float}>  $tells  seconds and the spread of their logarithm
     * @return array{float, float}
     */
    private static function together(array $tells): array
    {
        $sum = $weights = 0.0;
        foreach ($tells as [$seconds, $spread]) {
            $sum += log(max(0.05, $seconds)) / $spread ** 2;
            $weights += 1.0 / $spread ** 2;
        }

        return [exp($sum / $weights), 1.0 / sqrt($weights)];
    }

    /**
     * When the share leaves its level at set-up on its way to the trail peak, the press before it included.
     *
     * @throws CoreException
     */
    private static function address(Series $share, float $level, float $stood, Extreme $low): ?float
    {
        if ($level - $low->value < 4.0) {
            return null;
        }
        $goes = $share->lastAbove($level - 0.10 * ($level - $low->value), $stood, $low->t);
        $from = $goes === null ? INF : max($stood, $goes - self::PRESS);
        for ($t = $from; $goes !== null && $t < $goes; $t += 0.004) {
            if (abs(($share->at($t) ?? $level) - $level) > self::LEAVES) {
                return $t - 0.02;
            }
        }

        return $goes;
    }
}
