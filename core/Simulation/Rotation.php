<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;

/**
 * One link of the swing as it turns: back through given angles, then down and through by its speed, which rises from
 * nothing at its reversal to a peak and falls to nothing at the finish – so that speed, not only place, is a body's.
 */
final readonly class Rotation
{
    /** How long a link goes on nearly as fast after impact, s, and how fast. */
    private const ON = 0.05;

    private const KEEPS_ON = 0.9;

    /**
     * @param  non-empty-list<array{float, float}>  $back  time and angle up to the reversal, which is the last
     * @param  array{float, float}  $impact  time and angle
     * @param  array{float, float}  $finish  time and angle
     * @param  float  $peak  when the link is fastest, s
     * @param  float  $keeps  its speed at impact as a fraction of that at a peak before it
     * @param  float  $rounding  s
     *
     * @throws CoreException
     */
    public static function of(
        float $duration,
        array $back,
        array $impact,
        array $finish,
        float $peak,
        float $keeps,
        float $rounding,
    ): Sampled {
        [$start, $top] = $back[count($back) - 1];
        $down = $peak < $impact[0] - 0.002
            ? [[$start, 0.0], [$peak, 1.0], [$impact[0], $keeps]]
            : [[$start, 0.0], [max($peak, $impact[0]), 1.0]];
        // What has turned through the ball is not stopped there.
        [$from, $speed] = $down[count($down) - 1];
        $down[] = [$from + self::ON, self::KEEPS_ON * $speed];
        [$from, $speed] = $down[count($down) - 1];
        $scale = ($impact[1] - $top) / self::area(new Curve([...$down, [$finish[0], 0.0]]), $start, $impact[0]);
        $left = ($finish[1] - $impact[1]) / $scale;
        $after = $from + min(0.6 * ($finish[0] - $from), $left / $speed);
        // How fast it still is there, such that it comes to rest at its finish.
        [$low, $high] = [0.0, 2.0 * $speed];
        for ($i = 0; $i < 22; $i++) {
            $half = ($low + $high) / 2;
            $through = new Curve([...$down, [$after, $half], [$finish[0], 0.0]]);
            [$low, $high] = self::area($through, $impact[0], $finish[0]) < $left ? [$half, $high] : [$low, $half];
        }
        $rate = new Curve([...$down, [$after, ($low + $high) / 2], [$finish[0], 0.0]]);
        $going = (new Curve([[$back[0][0] - 0.2, $back[0][1]], ...$back]))
            ->sample((int) floor($start * Sampled::RATE) + 1, Sampled::RATE);
        $angle = $top;
        $count = (int) round($duration * Sampled::RATE) + 1;
        $before = $rate->at($start);
        for ($i = count($going); $i < $count; $i++) {
            $now = $rate->at($i / Sampled::RATE);
            $angle += ($scale * ($before + $now)) / 2 / Sampled::RATE;
            $going[] = $angle;
            $before = $now;
        }

        return (new Sampled($going))->smoothed($rounding);
    }

    private static function area(Curve $rate, float $from, float $to): float
    {
        $steps = 60;
        $sum = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $sum += $rate->at($from + (($i + 0.5) / $steps) * ($to - $from));
        }

        return ($sum / $steps) * ($to - $from);
    }
}
