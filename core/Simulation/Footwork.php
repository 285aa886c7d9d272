<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;

/** How the feet lift and turn, and where under each the pressure is. */
final readonly class Footwork
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
        $chance = new Chance('footwork|'.$spec->seed);
        $spin = $p->pick('spin-out', $chance->normal(6.0, 1.2), 19.0, 33.0, 42.0);
        $edge = $chance->normal(5.0, 2.0);
        $along = $chance->normal(0.0, 1.2);
        $heel = $p->severity('hang-back') > 0 ? 12.0 : 42.0;
        $fall = $p->severity('fall-off') > 0;
        $pop = $p->pick('heel-pop', 0.0, 8.0, 23.0, 32.0);
        $roll = $p->pick('outer-edge', 0.0, 19.0, 36.0, 42.0);
        $down = $p->pick('roll-down', 0.0, 24.0, 46.0, 56.0);
        // A heel that rolls up toward the ball goes over the toes and not round them.
        $over = $p->pick('heel-pop', 0.0, 20.0, 62.0, 72.0);
        $spin *= $p->pick('heel-pop', 1.0, 0.6, 0.1, 0.0);
        $stays = $p->pick('lead-leg-leave', 0.0, 0.4, 0.9, 1.0);
        $toes =
            $p->pick('toe-dive', 0.0, 13.0, 25.0, 31.0) -
            $p->pick('heel-fall', 0.0, 10.0, 21.5, 27.0);
        $curve = static fn (float $rounding, float ...$values): Sampled => Score::atAll(
            $s,
            array_values($values),
            $duration,
            $rounding,
        );

        return [
            // Heel heights in mm; heading change in degrees, toes toward the target positive.
            'trail_heel' => $curve(
                0.012,
                0.0,
                0.0,
                0.0,
                0.0,
                2.0 + $pop,
                9.0 + 1.2 * $pop + 0.4 * $over,
                $heel + $over,
                $heel + 40.0 + 0.4 * $pop,
                $fall ? 70.0 : 0.098 * $spec->heightMm,
            ),
            'trail_spin' => $curve(
                0.012,
                0.0,
                0.0,
                0.0,
                0.0,
                0.25 * $spin,
                0.6 * $spin,
                $spin,
                $spin + 8.0,
                $fall ? $spin + 14.0 : 52.0,
            ),
            'lead_heel' => $curve(
                0.012,
                0.0,
                2.0,
                10.0 - 10.0 * $stays,
                14.0 - 14.0 * $stays,
                0.0,
                0.0,
                0.0,
                0.0,
                0.0,
            ),
            'lead_spin' => $curve(0.012, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 2.0, 10.0),
            'lead_toe' => $curve(0.012, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, $fall ? 30.0 : 0.0),
            // Pressure along each foot, % of its length from the middle, toes positive.
            'trail_cop' => $curve(0.016, 2.0 + $along,
                -3.0 + $along,
                -9.0 + $along,
                -8.0 + $along,
                4.0 + $along,
                12.0 + 0.2 * $toes,
                22.0 + 0.4 * $toes,
                26.0 + 0.3 * $toes,
                34.0,
            ),
            // Across the trail foot, % of its width, outer edge positive.
            'trail_edge' => $curve(
                0.016,
                0.0,
                3.0 + 0.5 * $roll,
                $edge + $roll,
                $edge - 1.0 + $roll + 0.35 * $down,
                -3.0 + 0.5 * $roll + $down,
                -7.0 + 0.3 * $roll + $down,
                -10.0 + 0.5 * $down,
                -8.0,
                0.0,
            ),
            'lead_cop' => $curve(
                0.016,
                2.0 + $along,
                5.0 + $along,
                9.0 + $along,
                6.0 + $along,
                4.0 + $along + 0.3 * $toes,
                0.0 + $along + 0.7 * $toes,
                -6.0 + $along + $toes,
                -11.0 + 0.8 * $toes,
                -14.0 + 0.3 * $toes,
            ),
        ];
    }
}
