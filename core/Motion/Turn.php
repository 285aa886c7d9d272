<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;
use Core\Trace\Series;

/**
 * How far hips or shoulders are turned about the vertical, in degrees from the target line, positive when open
 * to the target. From 3-D points the direction of the line between the two joints; from face-on film an estimate
 * by its apparent width against address, which cannot know the sign: closed until the width peaks on the way down.
 */
final readonly class Turn
{
    /** What a slanted line, clothing and perspective do to an apparent width, degrees (half-width of 95 %). */
    private const FILM_ERROR = 12.0;

    private function __construct(public Series $series, public float $uncertainty, public bool $indirect)
    {
    }

    /**
     * @param  'hip'|'shoulder'  $joint
     *
     * @throws CoreException
     */
    public static function ofJoint(Views $views, string $joint, StationTimes $stations): ?self
    {
        $points = $views->of(View::Points);
        if ($points !== null && $points->has("lead_$joint") && $points->has("trail_$joint")) {
            $out = [];
            $before = 0.0;
            [$lx, $ly] = $points->points["lead_$joint"];
            [$tx, $ty] = $points->points["trail_$joint"];
            $width = 0.0;
            foreach ($lx as $i => $x) {
                $angle = rad2deg(atan2(-($ly[$i] - $ty[$i]), $x - $tx[$i]));
                // Past 180 degrees the angle goes on, it does not leap.
                $before = is_nan($angle) ? $before : $before + fmod($angle - $before + 540.0, 360.0) - 180.0;
                $out[] = is_nan($angle) ? NAN : $before;
                $width = max($width, hypot($x - $tx[$i], $ly[$i] - $ty[$i]));
            }

            return new self(
                new Series($points->rateHz, $out, $points->t0),
                rad2deg(M_SQRT2 * $views->error(View::Points, true) / max(50.0, $width)),
                false,
            );
        }

        return self::fromWidth($views, $joint, $stations);
    }

    /**
     * From how wide the line looks face on beside how wide it looked at address: a line that slants is narrower by that
     * too, so its height is taken off first.
     *
     * @throws CoreException
     */
    private static function fromWidth(Views $views, string $joint, StationTimes $stations): ?self
    {
        [$ad, $tp, $im] = [$stations->t(Station::Address), $stations->t(Station::Top), $stations->t(Station::Impact)];
        [$width, $height] = [self::across($views, $joint, Axis::X), self::across($views, $joint, Axis::Z)];
        if ($width === null || $height === null || $ad === null || $tp === null || $im === null) {
            return null;
        }
        [$wide, $high] = [$width->mean($ad - 0.2, $ad), $height->mean($ad - 0.2, $ad)];
        $full = $wide === null || $high === null ? 0.0 : hypot($wide, $high);
        if ($full < 50.0) {
            return null;
        }
        $level = [];
        foreach ($width->values as $i => $w) {
            $level[] = $w / sqrt(max(0.04 * $full * $full, $full * $full - $height->values[$i] ** 2));
        }
        $cosine = new Series($width->rateHz, $level, $width->t0);
        $square = $cosine->highest($tp, $im + 0.1);
        if ($square === null) {
            return null;
        }
        $out = [];
        foreach ($cosine->values as $i => $c) {
            $turn = rad2deg(acos(max(-1.0, min(1.0, $c))));
            $out[] = $cosine->time($i) < $square->t ? -$turn : $turn;
        }

        return new self(new Series($width->rateHz, $out, $width->t0), self::FILM_ERROR, true);
    }

    /**
     * From the trail joint to the lead one along an axis, face on and smoothed, mm.
     *
     * @throws CoreException
     */
    private static function across(Views $views, string $joint, Axis $axis): ?Series
    {
        $lead = $views->in(View::FaceOn, "lead_$joint", $axis);
        $trail = $views->in(View::FaceOn, "trail_$joint", $axis);

        return $lead === null || $trail === null ? null : (new Series(
            $lead->rateHz,
            array_map(static fn (float $a, float $b): float => $a - $b, $lead->values, $trail->values),
            $lead->t0,
        ))->smoothed(0.03);
    }

    /**
     * Degrees a second.
     *
     * @throws CoreException
     */
    public function rate(): Series
    {
        return $this->series->derivative(0.035);
    }
}
