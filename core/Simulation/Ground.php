<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;
use Core\Trace\Series;

/**
 * What the ground does to the synthetic golfer, under each foot, at 1000 Hz, before any instrument.
 *
 * Net horizontal force is mass times the acceleration of the body's centre (0.55 pelvis + 0.45 chest),
 * low-pass filtered; along x it is split between the feet by their share of the vertical force, along y the
 * lead foot bears four fifths. The vertical force, the opposed push of the feet and the free moment are the score's own
 * curves.
 */
final readonly class Ground
{
    public const RATE = 1000.0;

    private const GRAVITY = 9.80665;

    /**
     * @return array<string, list<float>> lead_ and trail_ before fx_n … copy_mm, noise-free
     *
     * @throws CoreException
     */
    public static function forces(GolferSpec $spec, Score $score, Body $body): array
    {
        $n = (int) floor($score->duration * self::RATE) + 1;
        $weight = $spec->massKg * self::GRAVITY;
        [$ax, $ay] = self::acceleration($score, $body, $n);
        $out = [];
        $curve = array_map(
            static fn (Curve $c): array => $c->sample($n, self::RATE),
            array_intersect_key(
                $score->curves,
                array_flip(['share', 'total', 'couple', 'twist', 'lead_cop', 'trail_cop', 'trail_edge']),
            ),
        );
        $feet = [];
        foreach (['lead' => $body->stance->lead, 'trail' => $body->stance->trail] as $side => $foot) {
            $heading = deg2rad($foot->heading());
            $feet[$side] = [$foot, sin($heading), cos($heading)];
        }
        for ($i = 0; $i < $n; $i++) {
            $share = $curve['share'][$i] / 100.0;
            $total = $curve['total'][$i] / 100.0 * $weight;
            $fx = $spec->massKg * $ax[$i] / 1000.0;
            $fy = $spec->massKg * $ay[$i] / 1000.0;
            $couple = $curve['couple'][$i] / 100.0 * $weight;
            $twist = $curve['twist'][$i] * $spec->massKg;
            foreach (['lead' => $share, 'trail' => 1.0 - $share] as $side => $part) {
                [$foot, $sin, $cos] = $feet[$side];
                // A foot that pushes backward is moved forward: the trail foot's share of the couple is +y.
                $opposed = $side === 'trail' ? $couple : -0.75 * $couple;
                $along = $curve[$side.'_cop'][$i] / 100.0 * $foot->lengthMm;
                $out[$side.'_fx_n'][] = $fx * $part;
                $out[$side.'_fy_n'][] = $fy * ($side === 'trail' ? 0.2 : 0.8) + $opposed;
                $out[$side.'_fz_n'][] = $total * $part;
                $out[$side.'_mz_nm'][] = $twist * $part;
                // Outward of the trail foot is away from the target.
                $across = $side === 'trail' ? -$curve['trail_edge'][$i] / 100.0 * $foot->widthMm : 0.0;
                $out[$side.'_copx_mm'][] = $foot->xMm + $along * $sin + $across * $cos;
                $out[$side.'_copy_mm'][] = $foot->yMm + $along * $cos - $across * $sin;
            }
        }

        return $out;
    }

    /**
     * @return array{list<float>, list<float>} mm/s² along x and y
     *
     * @throws CoreException
     */
    private static function acceleration(Score $score, Body $body, int $n): array
    {
        // A tenth of the rate is ample for the body's centre, whose motion stays below 10 Hz.
        $step = 10;
        $rate = self::RATE / $step;
        $x = $y = [];
        for ($i = 0; $i <= intdiv($n, $step) + 1; $i++) {
            $centre = $body->centre($i / $rate);
            $x[] = $centre->x;
            $y[] = $centre->y;
        }
        $out = [];
        foreach ([$x, $y] as $axis => $values) {
            $slow = (new Series($rate, $values))->derivative(0.04)->derivative(0.04)->smoothed(0.03);
            $out[$axis] = [];
            for ($i = 0; $i < $n; $i++) {
                $out[$axis][] = $slow->at($i / self::RATE) ?? 0.0;
            }
        }

        return [$out[0], $out[1]];
    }
}
