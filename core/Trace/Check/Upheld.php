<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Who stands still before and after has been held up in between: what the ground gave sums up to the weight over that
 * time, however it was given. What lacks was not measured – a foot, or a part of it, stood beside the plate – or the
 * zero or the gain has wandered.
 */
final readonly class Upheld implements Check
{
    /** So much of the weight may lack on average, %BW: it widens; and beyond the second the force is not believed. */
    private const LACKS = [0.6, 2.0];

    /** How long the end is looked at, s; it is still when it wanders by no more than so much, %BW. */
    private const END = 0.25;

    private const STILL = 4.0;

    private const SHORTEST = 1.0;

    /** Off the stated weight at rest, %BW. */
    private const AT_REST = 4.0;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        $total = $trace->totalForce();
        $stands = $total === null ? null : Standing::of($trace);
        if ($total === null || $stands === null) {
            return [];
        }
        $n = count($total->values);
        $end = (int) round(self::END * $trace->rateHz);
        [$from, $long] = $stands->span;
        $first = $from + intdiv($long, 2);
        if ($n - $end - $first < self::SHORTEST * $trace->rateHz || $end < 2) {
            return [];
        }
        $last = array_slice($total->smoothed(0.02)->values, -$end);
        $weight = $stands->mean($total->values)[0];
        $sum = array_sum(array_slice($total->values, $first, $n - intdiv($end, 2) - $first));
        // A missing sample, or no weight at all, finds nothing.
        if (! is_finite($sum) || $weight < 1.0 || $last === [] || max($last) - min($last) > self::STILL) {
            return [];
        }
        $lacks = 100.0 * (1.0 - $sum / ($n - intdiv($end, 2) - $first) / $weight);
        if (abs($lacks) <= self::LACKS[0]) {
            return [];
        }
        // A plate that is wrong at rest as well does not only wander: what it shows of a push is anybody's guess.
        $isWrongAtRest = $trace->massKg !== null
            && abs($weight - 100.0) > self::AT_REST;
        $isGrave = abs($lacks) > self::LACKS[1] || $isWrongAtRest;

        return [new QualityFinding(
            'upheld',
            $isGrave ? 'serious' : 'warning',
            Remark::of($lacks > 0.0 ? Flaw::WeightLacks : Flaw::WeightTooMuch, percent: abs($lacks)),
            $isGrave ? QualityFinding::NULLED : QualityFinding::WIDENED,
            [Signal::Share, Signal::Total, Signal::FootForce, Signal::Horizontal, Signal::Twist],
            [$total->time($first + intdiv($long, 2)), $total->end()],
            1.0 + 4.0 * abs($lacks),
        )];
    }
}
