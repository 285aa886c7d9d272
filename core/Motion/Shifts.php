<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Series;
use Core\Trace\Trace;

/**
 * Each time somebody who stood still on both feet has shifted to the lead side as fast as a swing does: as many swings
 * does a trace hold. Walking on, stepping and swaying from foot to foot do not come out of standing; waggles and
 * fidgeting shift too little.
 */
final class Shifts
{
    /** The share rises at least so fast, %/s, and so far, %. */
    private const SLOPE = 38.0;

    private const RANGE = 12.0;

    /** Before and after its fastest moment within so long, s. */
    private const BEFORE = 0.9;

    private const AFTER = 0.6;

    /** A rise reaches as far as it is so steep, of its own steepest; two swings lie at least so far apart, s. */
    private const FOOT = 0.25;

    private const APART = 1.9;

    /** Who stands before a swing wanders by no more in so long: %, %BW, s; so long before the shift at most, s. */
    private const CALM = ['share' => 5.0, 'total' => 8.0, 'lasts' => 0.5, 'within' => 2.8];

    /** On both feet: share between. */
    private const BOTH = [25.0, 78.0];

    /**
     * Who stands to a ball has a share about so, %, or has not moved by RANGE for so long, s; and does not come from a
     * trail foot loaded like this, %; a step leaves the other foot quite.
     */
    private const WAY = ['even' => [42.0, 62.0], 'within' => 1.5, 'loaded' => [8.0, 36.0]];

    /** A recording that begins so late before a shift shows less of the standing, s. */
    private const TIGHT = ['before' => 1.7, 'lasts' => 0.1];

    /** A full swing presses the ground by more than the weight, %BW. */
    private const PRESS = 106.0;

    /**
     * @return list<array{t: float, slope: float, stood: array{float, float}}> the fastest moment of each shift, s, and
     *                                                                         %/s; from when to when its golfer stood
     *                                                                         before it, s; in order of time
     *
     * @throws CoreException
     */
    public static function in(Trace $trace): array
    {
        $share = $trace->leadShare()?->smoothed(0.03);
        if ($share === null) {
            return [];
        }
        $slope = $share->derivative(0.03);
        $total = $trace->totalForce()?->smoothed(0.012);
        $found = [];
        foreach (self::largest($slope) as [$t, $value]) {
            $low = $share->lowest($t - self::BEFORE, $t);
            $high = $share->highest($t, $t + self::AFTER);
            $press = $total?->highest($t - self::BEFORE, $t + self::AFTER);
            if (
                $low === null ||
                $high === null ||
                $high->value - $low->value < self::RANGE ||
                ($press !== null && $press->value < self::PRESS)
            ) {
                continue;
            }
            $stood = self::stood($share, $total, $low->t, $t);
            if ($stood !== null) {
                $found[] = ['t' => $t, 'slope' => $value, 'stood' => $stood];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a['t'] <=> $b['t']);

        return $found;
    }

    /**
     * @param  Series  $total  vertical force, %BW
     *
     * @throws CoreException
     */
    public static function presses(Series $total, float $least = self::PRESS): bool
    {
        return ($total->smoothed(0.012)->highest($total->t0, $total->end())->value ?? 0.0) >= $least;
    }

    /**
     * Each rise's fastest moment and slope there, those that bring most first, none beside one that brings more.
     *
     * @return list<array{float, float}>
     */
    private static function largest(Series $slope): array
    {
        $rises = [];
        $v = $slope->values;
        for ($i = 1, $last = count($v) - 2; $i <= $last; $i++) {
            if ($v[$i] >= self::SLOPE && $v[$i] >= $v[$i - 1] && $v[$i] > $v[$i + 1]) {
                [$from, $to] = [$i, $i];
                while ($from > 0 && $v[$from - 1] > self::FOOT * $v[$i] && $v[$from - 1] <= $v[$i]) {
                    $from--;
                }
                while ($to <= $last && $v[$to + 1] > self::FOOT * $v[$i] && $v[$to + 1] <= $v[$i]) {
                    $to++;
                }
                $brings = array_sum(array_slice($v, $from, $to - $from + 1)) / $slope->rateHz;
                $rises[] = [$slope->time($i), $v[$i], $brings];
            }
        }
        usort($rises, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        $kept = [];
        foreach ($rises as [$t, $value]) {
            foreach ($kept as [$other]) {
                if (abs($other - $t) < self::APART) {
                    continue 2;
                }
            }
            $kept[] = [$t, $value];
        }

        return $kept;
    }

    /**
     * The last calm stretch on both feet before the way to a shift, s.
     *
     * @return array{float, float}|null
     */
    private static function stood(Series $share, ?Series $total, float $low, float $t): ?array
    {
        $from = max($share->t0, $t - self::CALM['within']);
        $lasts = self::CALM['lasts'];
        for ($end = $low - 0.15; $end - $lasts >= $from - 1e-9; $end -= 0.05) {
            if (self::isCalm($share, $total, $end - $lasts, $end)) {
                $begin = $end - $lasts;
                while ($begin - 0.1 >= $share->t0 && self::isCalm($share, $total, $begin - 0.1, $end)) {
                    $begin -= 0.1;
                }

                return self::isOnTheWay($share, $begin, $end)
                    ? null
                    : [$begin - 0.1 < $share->t0 ? $share->t0 : $begin, $end];
            }
        }
        $tight = $share->t0 + self::TIGHT['lasts'];

        return $t - $share->t0 < self::TIGHT['before'] && self::isCalm($share, $total, $share->t0, $tight)
            ? [$share->t0, $tight]
            : null;
    }

    /** Whether who is calm is so in the midst of something slow: nobody comes to a ball from a loaded trail foot. */
    private static function isOnTheWay(Series $share, float $from, float $to): bool
    {
        $level = $share->mean($from, $to);
        $low = $share->lowest($from - self::WAY['within'], $from);
        $high = $share->highest($from - self::WAY['within'], $from);
        if ($level === null || $low === null || $high === null) {
            return false;
        }
        $isUneven = $level < self::WAY['even'][0] || $level > self::WAY['even'][1];
        $wasLoaded = $low->value > self::WAY['loaded'][0] && $low->value < self::WAY['loaded'][1];

        return ($isUneven || $wasLoaded) && $high->value - $low->value > self::RANGE;
    }

    private static function isCalm(Series $share, ?Series $total, float $from, float $to): bool
    {
        [$low, $high] = [$share->lowest($from, $to), $share->highest($from, $to)];
        if (
            $low === null ||
            $high === null ||
            $high->value - $low->value > self::CALM['share'] ||
            $low->value < self::BOTH[0] ||
            $high->value > self::BOTH[1]
        ) {
            return false;
        }
        [$least, $most] = [$total?->lowest($from, $to), $total?->highest($from, $to)];

        return $least === null || $most === null || $most->value - $least->value <= self::CALM['total'];
    }
}
