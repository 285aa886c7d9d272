<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Heel and toe exchanged. Two signs that have nothing to do with one another tell: the feet oppose each other the wrong
 * way in the start down, and the trail foot ends on its heel. One of them asks, both leave out.
 */
final readonly class Directions implements Check
{
    /** How hard the feet oppose each other to be told apart, %BW each. */
    private const OPPOSED = 5.0;

    /** Where the share lies lowest before its fastest shift and highest after it, s; when it has come over. */
    private const BEFORE = 0.45;

    private const AFTER = 0.3;

    private const COME = 0.9;

    /** Where a foot that has been left stands: so far from its middle toward the heel, per cent of its length. */
    private const ON_HEEL = -15.0;

    /** Load of a trail foot that has been left, per cent. */
    private const LEFT = [3.0, 20.0];

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        $share = $trace->device === DeviceClass::Plate ? null : $trace->leadShare();
        $slope = $share === null ? null : $trace->shareSlope();
        // A slope at the very ends is made of half a window.
        $fastest = $slope?->highest($trace->t0 + 0.1, $slope->end() - 0.1);
        if ($share === null || $fastest === null) {
            return [];
        }
        $signs = array_filter([
            self::pushes($trace, $share->smoothed(0.02), $fastest->t),
            self::endsOnHeel($trace, $share, $fastest->t),
        ]);
        if ($signs === []) {
            return [];
        }
        $both = count($signs) > 1;

        return [new QualityFinding(
            'reversed',
            $both ? 'serious' : 'warning',
            Remark::of($both ? Flaw::HeelAndToeExchanged : Flaw::HeelAndToePerhaps),
            $both ? QualityFinding::NULLED : QualityFinding::UNAFFECTED,
            [Signal::Horizontal, Signal::Twist, Signal::Cop, Signal::FootCop],
        )];
    }

    /**
     * Whether the feet oppose each other first the wrong way while the share comes over.
     *
     * @throws CoreException
     */
    private static function pushes(Trace $trace, Series $share, float $t): bool
    {
        $lead = $trace->footPush(Side::Lead, Axis::Y)?->smoothed(0.01);
        $trail = $trace->footPush(Side::Trail, Axis::Y)?->smoothed(0.01);
        $low = $share->lowest($t - self::BEFORE, $t);
        $high = $share->highest($t, $t + self::AFTER);
        if ($lead === null || $trail === null || $low === null || $high === null) {
            return false;
        }
        $come = $low->value + self::COME * ($high->value - $low->value);
        $until = $share->risesThrough($come, $t, $high->t, 0.0) ?? $high->t;
        for ($at = $low->t; $at < $until; $at += 1.0 / $trace->rateHz) {
            $opposed = (($trail->at($at) ?? 0.0) - ($lead->at($at) ?? 0.0)) / 2.0;
            if (abs($opposed) > self::OPPOSED) {
                return $opposed < 0.0;
            }
        }

        return false;
    }

    /** @throws CoreException */
    private static function endsOnHeel(Trace $trace, Series $share, float $t): bool
    {
        $along = $trace->footCop(Side::Trail)[0] ?? null;
        if ($along === null) {
            return false;
        }
        $places = [];
        foreach ($share->values as $i => $lead) {
            $left = 100.0 - $lead;
            if ($share->time($i) > $t && $left > self::LEFT[0] && $left < self::LEFT[1]
                && is_finite($along->values[$i])) {
                $places[] = $along->values[$i];
            }
        }
        sort($places);

        return count($places) > 0.05 * $trace->rateHz && $places[intdiv(count($places), 2)] < self::ON_HEEL;
    }
}
