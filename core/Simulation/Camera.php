<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Motion;
use Core\Motion\View;
use Core\Trace\Axis;

/** What a tracking system or a camera would have made of a motion: the axes it sees, with its own noise. */
final readonly class Camera
{
    /** Standard deviation of one coordinate, mm. */
    private const NOISE = ['points' => 1.5, 'face-on' => 4.0, 'down-the-line' => 4.0];

    /** @throws CoreException */
    public static function record(
        Motion $motion,
        View $view,
        string $seed,
        Conditions $conditions = new Conditions,
    ): Motion {
        $chance = new Chance("camera|{$view->value}|$seed");
        $sd = self::NOISE[$view->value];
        $seen = $motion->seen($view);
        $points = [];
        foreach ($seen->points as $name => $axes) {
            foreach ($axes as $axis => $values) {
                $noise = $conditions->noise($chance, $motion->rateHz);
                $place = $conditions->offset($chance, $view->placementMm());
                $points[$name][$axis] = $view->sees(Axis::from($axis))
                    ? array_map(static fn (float $v): float => $v + $place + $sd * $noise(), $values)
                    : $values;
            }
        }

        /** @var array<string, array{list<float>, list<float>, list<float>}> $points */
        return new Motion($motion->rateHz, $points, $motion->t0, $view);
    }
}
