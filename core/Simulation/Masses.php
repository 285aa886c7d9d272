<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Motion\Vec3;

/**
 * Where a body's mass lies: segments with the mass fractions, centres and radii of gyration that are usual in movement
 * science (Winter 1990, after Dempster), each as two halves of its mass on its own line, which gives its centre and its
 * moment of inertia across exactly. The thorax has a quarter of its mass at the shoulders, so that it resists turning
 * too. The club is counted as massless: mass times acceleration of the golfer's own segments is all the ground feels.
 */
final readonly class Masses
{
    /** From point, to point, fraction of body mass, its centre and radius of gyration as fractions of the line. */
    private const SEGMENTS = [
        ['lead_hip', 'lead_knee', 0.1, 0.433, 0.323],
        ['trail_hip', 'trail_knee', 0.1, 0.433, 0.323],
        ['lead_knee', 'lead_ankle', 0.0465, 0.433, 0.302],
        ['trail_knee', 'trail_ankle', 0.0465, 0.433, 0.302],
        ['lead_heel', 'lead_toe', 0.0145, 0.5, 0.475],
        ['trail_heel', 'trail_toe', 0.0145, 0.5, 0.475],
        ['lead_hip', 'trail_hip', 0.142, 0.5, 0.5],
        ['pelvis', 'chest', 0.26625, 0.6, 0.25],
        ['lead_shoulder', 'trail_shoulder', 0.08875, 0.5, 0.5],
        ['neck', 'head', 0.081, 1.0, 0.4],
        ['lead_shoulder', 'lead_elbow', 0.028, 0.436, 0.322],
        ['trail_shoulder', 'trail_elbow', 0.028, 0.436, 0.322],
        ['lead_elbow', 'lead_hand', 0.022, 0.682, 0.468],
        ['trail_elbow', 'trail_hand', 0.022, 0.682, 0.468],
    ];

    /**
     * @param  array<string, Vec3>  $pose  points by name, mm
     * @return list<array{float, float, float, float}> fraction of body mass and place in mm of every half segment
     */
    public static function of(array $pose): array
    {
        $out = [];
        foreach (self::SEGMENTS as [$from, $to, $mass, $centre, $gyration]) {
            $a = $pose[$from];
            $b = $pose[$to];
            foreach ([$centre - $gyration, $centre + $gyration] as $f) {
                $out[] = [
                    0.5 * $mass,
                    $a->x + $f * ($b->x - $a->x),
                    $a->y + $f * ($b->y - $a->y),
                    $a->z + $f * ($b->z - $a->z),
                ];
            }
        }

        return $out;
    }
}
