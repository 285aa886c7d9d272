<?php

declare(strict_types=1);

namespace Core\Simulation;

/** Where a moving body's centre is, and what turns it. */
final readonly class Momentum
{
    /**
     * @return array{list<array{float, float, float}>, list<array{float, float, float}>} at every step the centre of
     *     mass, mm, and the rate of change of the angular momentum about it per kg, mm²/s², as coordinates multiply
     */
    public static function of(Body $body, int $count, float $step): array
    {
        $centre = $about = [];
        $places = [];
        for ($i = 0; $i < $count; $i++) {
            $places[$i] = Masses::of($body->pose($i * $step));
            $x = $y = $z = 0.0;
            foreach ($places[$i] as [$mass, $px, $py, $pz]) {
                $x += $mass * $px;
                $y += $mass * $py;
                $z += $mass * $pz;
            }
            $centre[] = [$x, $y, $z];
        }
        // From one step to the next Σ m · r × v is Σ m · (where it was × where it is), less the centre's own.
        for ($i = 0; $i < $count - 1; $i++) {
            [$cx, $cy, $cz] = $centre[$i];
            [$nx, $ny, $nz] = $centre[$i + 1];
            $x = $cz * $ny - $cy * $nz;
            $y = $cx * $nz - $cz * $nx;
            $z = $cy * $nx - $cx * $ny;
            $next = $places[$i + 1];
            foreach ($places[$i] as $k => [$mass, $ax, $ay, $az]) {
                [, $bx, $by, $bz] = $next[$k];
                $x += $mass * ($ay * $bz - $az * $by);
                $y += $mass * ($az * $bx - $ax * $bz);
                $z += $mass * ($ax * $by - $ay * $bx);
            }
            $about[] = [$x / $step, $y / $step, $z / $step];
        }
        $change = [[0.0, 0.0, 0.0]];
        for ($i = 1; $i < $count - 1; $i++) {
            $change[] = [
                ($about[$i][0] - $about[$i - 1][0]) / $step,
                ($about[$i][1] - $about[$i - 1][1]) / $step,
                ($about[$i][2] - $about[$i - 1][2]) / $step,
            ];
        }
        $change[] = [0.0, 0.0, 0.0];

        return [$centre, $change];
    }
}
