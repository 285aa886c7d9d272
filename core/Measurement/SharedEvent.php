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
 * is mass times the acceleration of the body's centre, taken as the middle of pelvis and chest. A mat knows no push,
 * and pressure runs ahead of the body, so with a mat only impact can match the clocks.
 */
final readonly class SharedEvent
{
    /** @throws CoreException */
    public static function match(Views $views, Trace $trace): ?ClockMatch
    {
        $push = $trace->netPush(Axis::X);
        $pelvis = $views->coordinate('pelvis', Axis::X);
        $chest = $views->coordinate('chest', Axis::X);
        if ($push === null || $pelvis === null || $chest === null || $pelvis->view !== $chest->view) {
            return null;
        }
        $centre = new Series(
            $pelvis->series->rateHz,
            array_map(
                static fn (float $a, float $b): float => ($a + $b) / 2,
                $pelvis->series->values,
                $chest->series->values,
            ),
            $pelvis->series->t0,
        );

        return ClockMatch::byCorrelation($centre->derivative(0.05)->derivative(0.04), $push->smoothed(0.05));
    }
}
