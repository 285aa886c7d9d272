<?php

declare(strict_types=1);

namespace Core\Simulation;

/**
 * The vertical force under both feet, %BW: body weight and a few smooth pushes whose sizes are such that the force is
 * what was asked for at its moments – and that the body's centre, which it moves, is at the heights it should be at
 * and comes to rest.
 */
final readonly class Lift
{
    private const GRAVITY = 9806.65;

    /**
     * @param  list<array{float, float, float}>  $pushes  middle and reach before and after it, s
     * @param  list<array{float, float}>  $forces  time and %BW
     * @param  list<array{float, float, float}>  $heights  time, height in mm above the address and speed in mm/s;
     *     as many conditions in all as pushes
     */
    public static function of(float $duration, array $pushes, array $forces, array $heights): Sampled
    {
        $n = (int) round($duration * Sampled::RATE) + 1;
        $shape = [];
        foreach ($pushes as [$middle, $before, $after]) {
            $one = [];
            for ($i = 0; $i < $n; $i++) {
                $away = $i / Sampled::RATE - $middle;
                $u = $away / ($away < 0.0 ? $before : $after);
                $one[] = abs($u) < 1.0 ? 0.5 * (1.0 + cos(M_PI * $u)) : 0.0;
            }
            $shape[] = (new Sampled($one))->smoothed(0.008);
        }
        $rows = [];
        foreach ($forces as [$t, $force]) {
            $rows[] = [...array_map(static fn (Sampled $s): float => $s->at($t), $shape), $force - 100.0];
        }
        foreach ($heights as [$t, $height, $speed]) {
            $moved = array_map(static fn (Sampled $s): array => self::moved($s, $t), $shape);
            $rows[] = [...array_column($moved, 0), $height];
            $rows[] = [...array_column($moved, 1), $speed];
        }
        $size = self::solved($rows);
        $total = [];
        for ($i = 0; $i < $n; $i++) {
            $v = 100.0;
            foreach ($shape as $k => $one) {
                $v += $size[$k] * $one->values[$i];
            }
            $total[] = $v;
        }

        return new Sampled($total);
    }

    /** @return array{float, float} mm and mm/s that one per cent of body weight in this shape has done by then */
    private static function moved(Sampled $force, float $until): array
    {
        $height = $speed = 0.0;
        $step = 1.0 / Sampled::RATE;
        for ($i = 0; $i * $step < $until; $i++) {
            $height += $step * $speed;
            $speed += $step * ($force->values[$i] / 100.0) * self::GRAVITY;
        }

        return [$height, $speed];
    }

    /**
     * Gauss with the largest pivot.
     *
     * @param  list<list<float>>  $rows  each with its right-hand side last
     * @return list<float>
     */
    private static function solved(array $rows): array
    {
        $n = count($rows);
        for ($k = 0; $k < $n; $k++) {
            $pivot = $k;
            for ($i = $k + 1; $i < $n; $i++) {
                $pivot = abs($rows[$i][$k]) > abs($rows[$pivot][$k]) ? $i : $pivot;
            }
            [$rows[$k], $rows[$pivot]] = [$rows[$pivot], $rows[$k]];
            for ($i = $k + 1; $i < $n; $i++) {
                $f = $rows[$i][$k] / $rows[$k][$k];
                for ($j = $k; $j <= $n; $j++) {
                    $rows[$i][$j] -= $f * $rows[$k][$j];
                }
            }
        }
        $out = array_fill(0, $n, 0.0);
        for ($k = $n - 1; $k >= 0; $k--) {
            $out[$k] = $rows[$k][$n];
            for ($j = $k + 1; $j < $n; $j++) {
                $out[$k] -= $rows[$k][$j] * $out[$j];
            }
            $out[$k] /= $rows[$k][$k];
        }

        return array_values($out);
    }
}
