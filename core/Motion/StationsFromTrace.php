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
    /** Usual times from top to impact and parts of it, and of address to top, s and fractions. */
    private const DOWN = 0.258;

    private const PARTS = ['TB' => 0.40, 'LB' => 0.60, 'LD' => 0.53, 'SD' => 0.83];

    private const THROUGH = 0.05;

    private const FINISH = 0.72;

    /** Within so long after the trail peak the share has come over, and so long the recording goes on, s. */
    private const SHIFT = 0.75;

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
        $share = $trace->leadShare()?->smoothed(0.03);
        if ($share === null) {
            return null;
        }
        $low = $share->lowest($share->t0 + 0.1, $share->end() - self::AFTER_LOW);
        $high = $low === null ? null : $share->highest($low->t, $low->t + self::SHIFT);
        if ($low === null || $high === null || $high->value - $low->value < 8.0) {
            return null;
        }
        $im = self::impact($trace, $share, $low, $high);
        $tp = $im - self::DOWN;
        $ad = self::address($share, $low);
        if ($ad === null || $ad >= $tp - 0.3) {
            $ad = $tp - 0.86;
        }
        $back = $tp - $ad;
        $seconds = [
            'AD' => $ad,
            'TB' => $ad + self::PARTS['TB'] * $back,
            'LB' => $ad + self::PARTS['LB'] * $back,
            'TP' => $tp,
            'LD' => $tp + self::PARTS['LD'] * self::DOWN,
            'SD' => $tp + self::PARTS['SD'] * self::DOWN,
            'IM' => $im,
            'ST' => $im + self::THROUGH,
            'FI' => $im + self::FINISH,
        ];
        $times = $doubts = [];
        foreach ($seconds as $code => $t) {
            if ($t >= $trace->t0 && $t <= $share->end()) {
                $times[$code] = new StationTime($t, self::UNCERTAIN[$code], StationSource::Trace);
                $doubts[$code] = Remark::of(Doubt::FromTheTraceAlone);
            }
        }

        return new FoundStations(StationTimes::fromTimes($times), $doubts);
    }

    /** @throws CoreException */
    private static function impact(Trace $trace, Series $share, Extreme $low, Extreme $high): float
    {
        $total = $trace->totalForce()?->smoothed(0.012);
        $peak = $total?->highest($low->t + 0.1, $high->t + 0.3);
        if ($total !== null && $peak !== null && $peak->value > 112.0) {
            $fall = $total->derivative(0.02)->lowest($peak->t, $peak->t + 0.2);

            // The push is let go as the ball goes.
            return $fall === null ? $peak->t + 0.06 : $fall->t + 0.006;
        }

        return 0.012 +
            ($share->risesThrough($low->value + 0.97 * ($high->value - $low->value), $low->t, $high->t, 0.0) ??
                $high->t);
    }

    /**
     * When the share leaves its level at set-up on its way to the trail peak, the press before it included.
     *
     * @throws CoreException
     */
    private static function address(Series $share, Extreme $low): ?float
    {
        $level = $share->mean($share->t0, $share->t0 + 0.3);
        if ($level === null || $level - $low->value < 4.0) {
            return null;
        }
        $goes = $share->lastAbove($level - 0.10 * ($level - $low->value), $share->t0, $low->t);
        $from = $goes === null ? INF : max($share->t0, $goes - self::PRESS);
        for ($t = $from; $goes !== null && $t < $goes; $t += 0.004) {
            if (abs(($share->at($t) ?? $level) - $level) > self::LEAVES) {
                return $t - 0.02;
            }
        }

        return $goes;
    }
}
