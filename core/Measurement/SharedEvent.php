<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\ClockMatch;
use Core\Motion\Views;
use Core\Trace\Axis;
use Core\Trace\Series;
use Core\Trace\Trace;

/**
 * What film and trace both see of one swing: by Newton's second law the net push of the ground along the target line
 * is mass times the acceleration of the body's centre, taken from what is seen of it. A mat knows no push,
 * and pressure runs ahead of the body, so with a mat only impact can match the clocks.
 */
final readonly class SharedEvent
{
    /** What of a body's mass goes along with a point: each segment's divided between its ends by its centre. */
    private const MASS = [
        'pelvis' => 0.36,
        'chest' => 0.28,
        'head' => 0.08,
        'lead_knee' => 0.07,
        'trail_knee' => 0.07,
        'lead_ankle' => 0.035,
        'trail_ankle' => 0.035,
        'lead_elbow' => 0.019,
        'trail_elbow' => 0.019,
        'lead_hand' => 0.015,
        'trail_hand' => 0.015,
    ];

    /** @throws CoreException */
    public static function match(Views $views, Trace $trace): ?ClockMatch
    {
        $push = $trace->netPush(Axis::X);
        $pelvis = $views->coordinate('pelvis', Axis::X);
        $chest = $views->coordinate('chest', Axis::X);
        if ($push === null || $pelvis === null || $chest === null || $pelvis->view !== $chest->view) {
            return null;
        }
        $sum = array_fill(0, count($pelvis->series->values), 0.0);
        $mass = 0.0;
        foreach (self::MASS as $point => $of) {
            $seen = $views->coordinate($point, Axis::X);
            if ($seen !== null && $seen->view === $pelvis->view) {
                $mass += $of;
                foreach ($seen->series->values as $i => $x) {
                    $sum[$i] += $of * $x;
                }
            }
        }
        $centre = new Series(
            $pelvis->series->rateHz,
            array_map(static fn (float $x): float => $x / $mass, array_values($sum)),
            $pelvis->series->t0,
        );

        // Both through the same windows, so that neither comes later for it.
        return ClockMatch::byCorrelation(
            $centre->smoothed(0.04)->derivative(0.05)->derivative(0.04),
            $push->smoothed(0.04)->smoothed(0.05),
        );
    }
}
