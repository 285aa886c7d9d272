<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Remark\Remark;
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
    private const DOWN = 0.255;

    private const PARTS = ['TB' => 0.40, 'LB' => 0.60, 'LD' => 0.57, 'SD' => 0.79];

    private const THROUGH = 0.075;

    private const FINISH = 0.72;

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
        [$start, $end] = [$share->t0 + 0.05, $share->end() - 0.05];
        $slope = $share->derivative(0.04);
        $steep = $slope->highest($start, $end);
        if ($steep === null || $steep->value < 40.0) {
            return null;
        }
        $im = self::impact($trace, $share, $steep->t);
        $tp = $im - self::DOWN;
        $ad = self::address($share, $tp);
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
    private static function impact(Trace $trace, Series $share, float $steep): float
    {
        $total = $trace->totalForce()?->smoothed(0.012);
        $peak = $total?->highest($steep - 0.05, $steep + 0.35);
        if ($total !== null && $peak !== null && $peak->value > 112.0) {
            $fall = $total->derivative(0.02)->lowest($peak->t, $peak->t + 0.2);

            // The force falls fastest about a fiftieth of a second after the ball has gone.
            return $fall === null ? $peak->t + 0.06 : $fall->t - 0.02;
        }
        $before = $share->lowest($share->t0, $steep);
        $after = $share->highest($steep, $steep + 0.45);
        if ($before === null || $after === null) {
            return $steep + 0.12;
        }

        return $share->risesThrough($before->value + 0.93 * ($after->value - $before->value), $steep, $after->t, 0.0) ??
            $after->t;
    }

    /** When the share leaves its level at set-up for good, on its way to the trail peak. */
    private static function address(Series $share, float $tp): ?float
    {
        $low = $share->lowest($share->t0, $tp + 0.05);
        $level = $share->mean($share->t0, $share->t0 + 0.3);
        if ($low === null || $level === null || $level - $low->value < 4.0) {
            return null;
        }
        $depth = $level - $low->value;
        $near = $share->lastAbove($level - 0.10 * $depth, $share->t0, $low->t);
        $far = $share->lastAbove($level - 0.40 * $depth, $share->t0, $low->t);

        return $near === null || $far === null ? $near : max($share->t0, 2 * $near - $far);
    }
}
