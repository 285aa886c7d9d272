<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;

/**
 * How pelvis, chest, lead arm and shaft turn: each reverses and is fastest a little after the one before it, and the
 * club at the ball. Degrees; pelvis and chest open to the target positive, arm and shaft about their planes, 0 hanging
 * down and ±90 level.
 */
final readonly class Turning
{
    /**
     * @return array<string, Sampled>
     *
     * @throws CoreException
     */
    public static function curves(
        GolferSpec $spec,
        float $ad,
        float $tp,
        float $im,
        float $fi,
        float $duration,
    ): array {
        $p = $spec->plant;
        $own = new Chance('turning|'.$spec->seed);
        $rest = $spec->pace->restS;
        $back = $tp - $rest - $ad;
        $down = $im - $tp;
        $fall = $p->pick('fall-off', 0.0, 9.0, 20.0, 28.0);
        $spin = $p->severity('spin-out');
        $coil = 8.0 * $p->severity('sway');
        $shut = $p->pick('slide', 0.0, 10.0, 23.0, 29.0);
        $hang = $p->pick('hang-back', 0.0, 4.0, 8.0, 12.0);

        $hips = -44.0 + max(-5.0, min(5.0, $own->normal(0.0, 2.5))) + $coil;
        $shoulders = -92.0 + max(-6.0, min(6.0, $own->normal(0.0, 3.0))) + $coil;
        $open = 37.0 + max(-3.0, min(4.0, $own->normal(0.0, 2.0))) + 4.0 * $spin - $shut;
        $chest = 20.0 + max(-5.0, min(5.0, $own->normal(0.0, 2.5))) + 2.0 * $spin - 0.4 * $hang;
        $arms = -121.0 + max(-7.0, min(7.0, $own->normal(0.0, 3.0)));
        // Shorter clubs are played with a shorter swing.
        $set = -258.0 + max(-10.0, min(8.0, $own->normal(0.0, 4.0))) + 0.06 * max(0.0, 1000.0 - $spec->clubMm);

        $hipsTurn = $tp - 0.16 * $down;
        // Who unwinds first has turned back fully a little before the shaft reverses; who jumps, a little after.
        $chestTurn = $tp + match (true) {
            $p->severity('chest-first') > 0 => $p->pick('chest-first', -0.012, -0.008, -0.036, -0.045),
            $p->severity('jump-off-trail') > 0 => 0.03,
            default => -0.012,
        };
        $early = min(0.03, 0.01 * $spin);
        // A creeping start has gone a little of the way by a fifth of the time.
        $away = static fn (float $from, float $to): array => [
            [$ad, $from],
            ...$spec->pace->creep > 0.0
                ? [[$ad + 0.2 * $back, $from + (0.16 - 0.13 * $spec->pace->creep) * ($to - $from)]]
                : [],
            [$ad + 0.4 * $back, $to],
        ];
        // Who rests there arrives so much before he goes.
        $top = static fn (float $t, float $angle): array => $rest > 0.0
            ? [[$t - $rest, $angle], [$t, $angle]]
            : [[$t, $angle]];
        $waggle = $spec->pace->waggles
            ? [[0.06, 1.0], [0.2, -24.0], [0.34, 4.0], [0.46, -9.0], [0.58, 1.0]]
            : [];

        return [
            'pelvis_turn' => Rotation::of(
                $duration,
                [
                    ...$away(0.0, 0.32 * $hips),
                    [$ad + 0.6 * $back, 0.68 * $hips],
                    ...$top($hipsTurn, $hips),
                ],
                [$im, $open],
                [$fi, 92.0 - 0.5 * $fall - 0.4 * $shut],
                $im - 0.38 * $down - $early,
                0.74,
                0.02,
            ),
            'chest_turn' => Rotation::of(
                $duration,
                [
                    ...$away(-2.0, 0.37 * $shoulders),
                    [$ad + 0.6 * $back, 0.72 * $shoulders],
                    ...$top($chestTurn, $shoulders),
                ],
                [$im, $chest],
                [$fi, 106.0 - 0.5 * $fall],
                $im - 0.29 * $down - $early,
                0.84,
                0.018,
            ),
            'arm' => Rotation::of(
                $duration,
                [...$away(-10.0, -48.0), [$ad + 0.6 * $back, -90.0], ...$top($tp - 0.006, $arms)],
                [$im, -9.0],
                [$fi, 166.0],
                $im - 0.20 * $down,
                0.88,
                0.014,
            ),
            'shaft' => Rotation::of(
                $duration,
                [
                    ...$waggle,
                    ...$away(1.0, -90.0),
                    [$ad + 0.6 * $back, -168.0],
                    ...$top($tp, $set),
                ],
                [$im, -5.5],
                [$fi, 292.0],
                $im + 0.006,
                1.0,
                0.006,
            ),
        ];
    }
}
