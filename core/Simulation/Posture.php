<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;

/** Where pelvis and trunk are meant to be, and how arms, knees and eyes go along. */
final readonly class Posture
{
    /**
     * @param  array<string, float>  $s  seconds by station code
     * @return array<string, Sampled>
     *
     * @throws CoreException
     */
    public static function curves(GolferSpec $spec, array $s, float $duration): array
    {
        $p = $spec->plant;
        $own = new Chance('posture|'.$spec->seed);
        $drift = max(-2.0, min(2.0, $own->normal(0.0, 1.0)));
        $bent = max(-3.0, min(3.0, $own->normal(0.0, 1.5)));
        $crouch = max(-12.0, min(12.0, $own->normal(0.0, 6.0)));
        $swayLB = $p->pick('sway', -5.5 + $drift, -15.0, -22.0, -27.0) + $p->pick('no-load', 0.0, 6.0, 6.0, 6.0);
        $swayTP = match (true) {
            $p->severity('sway') > 0 => -12.0,
            $p->severity('late-load') > 0 => -6.0,
            default => 4.0 + $drift,
        };
        $hang = $p->pick('hang-back', 0.0, 4.0, 8.0, 12.0);
        $waits = $p->pick('late-recentre', 0.0, 9.0, 19.0, 22.0);
        $lunge = $p->pick('early-lunge', 0.0, 6.0, 11.0, 15.0);
        $late = $p->pick('late-arrival', 0.0, 4.0, 7.0, 9.0);
        $fall = $p->pick('fall-off', 0.0, 9.0, 20.0, 28.0);
        $spin = $p->severity('spin-out');
        $ahead = $p->pick('ahead-of-pressure', 0.0, 3.0, 7.0, 9.0);
        $apart = $p->pick('knee-part', 0.0, 0.3, 1.0, 1.5);
        $slide = $p->pick('slide', 0.0, 8.0, 18.0, 23.0);
        $rise = $p->pick('early-rise', 0.0, 58.0, 98.0, 122.0);
        $none = $p->pick('no-load', 0.0, 2.0, 4.0, 6.0);
        $kinked = $p->pick('knees-in', 0.0, 0.9, 2.5, 3.4);
        $behind = $p->pick('head-back', 0.0, 9.0, 24.0, 29.0);
        $lifts = $p->pick('trail-rise', 0.0, 10.0, 20.0, 25.0);
        $curve = static fn (float $rounding, float ...$values): Sampled => Score::atAll(
            $s,
            array_values($values),
            $duration,
            $rounding,
        );

        return [
            // Pelvis centre toward the target, % of stance width.
            'pelvis_x' => $curve(
                0.02,
                0.0,
                -2.5 + 0.3 * ($swayLB + 5.5),
                $swayLB,
                $swayTP + 0.5 * $lunge + 0.5 * $ahead,
                23.0 - $hang - $waits - $spin + $lunge + $ahead + 0.3 * $slide,
                25.0 - $hang - 0.8 * $waits - $spin + $lunge + $ahead + 0.6 * $slide,
                25.0 - $hang - 0.5 * $waits - 0.5 * $late + 0.6 * $lunge + 0.7 * $ahead + $slide,
                26.0 - $hang - 0.3 * $waits + 0.4 * $ahead + $slide,
                32.0 - 0.5 * $hang - $fall + 0.2 * $slide,
            ),
            'pelvis_y' => $curve(
                0.02,
                -148.0,
                -149.0,
                -151.0,
                -152.0 + 0.04 * $rise,
                -157.0 + 0.42 * $rise,
                -160.0 + 0.68 * $rise,
                -163.0 + $rise,
                -160.0 + 1.3 * $rise,
                -52.0 + 0.4 * $rise,
            ),
            // Height of the hips below a straight leg at address, mm.
            'squat' => $curve(
                0.02,
                ...array_fill(0, 9, 26.0 + 0.6 * $crouch)),
            // Lean of the trunk toward the trail side, degrees; its inclination toward the ball, from upright.
            'lean' => Score::through(
                $s,
                [
                    'AD' => 2.5,
                    'LB' => 0.5 - $none,
                    'TP' => -1.5 - 0.4 * $lunge - 0.75 * $none,
                    'LD' => 5.0 - 0.55 * $lunge + 0.25 * $hang + 0.12 * $slide + 0.4 * $behind,
                    'IM' => 15.0 - 0.5 * $lunge + 0.8 * $hang + 0.2 * $late + $behind,
                    'FI' => 7.0 + 0.7 * $fall + 0.3 * $hang,
                ],
                $duration,
                0.03,
                [[$s['IM'] + 0.12, 17.0 + 0.7 * $hang - 0.4 * $late]],
            ),
            'bend' => Score::through(
                $s,
                [
                    'AD' => 36.0 + $bent,
                    'LB' => 35.0 + $bent,
                    'TP' => 34.5 + $bent,
                    'LD' => 36.5 + $bent,
                    'IM' => 39.0 + $bent - 0.08 * $rise,
                    'FI' => 4.0,
                ],
                $duration,
                0.03,
            ),
            // The shoulders' own tilt about the chest, lead side up positive: the trail hand is the lower one.
            'tilt' => $curve(0.02, 13.0, 9.0, 4.0, 0.0, 5.0, 10.0, 14.0, 12.0, 2.0),
            'arm_plane' => $curve(0.014, 75.0, 66.0, 56.0, 53.0, 56.0, 60.0, 64.0, 60.0, 66.0),
            'reach' => $curve(0.014, 0.958, 0.985, 0.985, 0.975, 0.985, 0.988, 0.988, 0.975, 0.56),
            // Slope of the shaft's plane; at AD and IM Balance lays the sole on the ground.
            'shaft_plane' => $curve(0.014, 57.0, 56.0, 58.0, 60.0, 57.0, 54.0, 58.5, 56.0, 48.0),
            // How far the knees are pushed apart, as a sideways part of the direction they bend in.
            'knees_out' => $curve(0.02,
                -$kinked,
                -0.8 * $kinked,
                0.0,
                0.0,
                -0.12 + 0.6 * $apart,
                -0.28 + 1.2 * $apart,
                -0.2 + 0.7 * $apart,
                0.0,
                0.0,
            ),
            // How much lower the lead hip is than the trail one, degrees.
            'hips' => $curve(0.02, 0.0, 0.0, 0.0, 0.0, 0.8 * $lifts, $lifts, 0.5 * $lifts, 0.0, 0.0),
            'gaze' => $curve(0.02, 0.0, -4.0, -8.0, -12.0, -8.0, -5.0, 0.0, 10.0, 86.0),
        ];
    }
}
