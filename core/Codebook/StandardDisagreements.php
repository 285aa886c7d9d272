<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Where good coaches disagree, as shipped: told at the measures they disagree about, a line for each side. */
final class StandardDisagreements
{
    /** @return list<array{measures: list<string>, one: string, other: string}> */
    public static function rows(): array
    {
        return [
            self::row(
                ['chest_over_lead', 'head_sway', 'chest_sway', 'mass_ahead'],
                'The chest is over the lead heel at impact.',
                'Only the pressure is forward at impact; the chest is held back behind it.',
            ),
            self::row(
                ['impact_share', 'lead_peak', 'finish_share'],
                'About 80 % on the lead side at impact is enough.',
                'Nearer 90 % belongs on the lead side at impact.',
            ),
            self::row(
                ['lead_region', 'toe_drift'],
                'The lead heel bears the pressure through the ball.',
                'The ball of the lead foot bears it.',
            ),
            self::row(
                ['foot_spin', 'pelvis_turn', 'trail_roll', 'edge_fraction_down'],
                'The trail foot screws into the ground and keeps the hips closed: it turns the other way.',
                'The trail foot turns out and goes with the hips. The direction of the turn tells the two apart first, '
                    .'then where the pressure goes.',
            ),
            self::row(
                ['shoulder_tilt', 'pelvis_tilt'],
                'Side bend toward the ball is held long.',
                'Side bend is let go early, the body stands up through the ball.',
            ),
            self::row(
                ['chest_first', 'chest_turn'],
                'The upper arm stays at the ribs, and the arms go with the chest.',
                'The upper arm is free to lift, and falls before the chest opens.',
            ),
            self::row(
                ['trail_jump', 'trail_second_peak', 'unload_at', 'unload_rate', 'heel_toe_trail'],
                'The trail foot pushes off, back and along, after the top.',
                'The trail foot is unloaded before the top and pushes nothing up.',
            ),
            self::row(
                ['cop_style', 'thrown_back', 'impact_share', 'lead_peak'],
                'The pressure stays forward through the ball.',
                'It returns part of the way before the ball. Both are found in skilled players, so that a returning '
                    .'style alone is not hanging back.',
            ),
            self::row(
                ['recentre_lead', 'top_share', 'trail_peak', 'trail_peak_at'],
                'Pressure is coming back to the lead side while the turn still finishes.',
                'The trail side is loaded fully to the top, or was never loaded much.',
            ),
            self::row(
                ['lead_heel_lift', 'replant_at', 'lead_leg_drift'],
                'The lead heel may lift going back and is planted hard.',
                'The lead heel stays down and the lead leg keeps its pressure.',
            ),
            self::row(
                ['trail_heel_lift_at', 'heel_direction', 'trail_heel_lift'],
                'The trail heel is free to leave early.',
                'The trail heel stays down long, and travels to the target when it goes.',
            ),
        ];
    }

    /**
     * @param  list<string>  $measures
     * @return array{measures: list<string>, one: string, other: string}
     */
    private static function row(array $measures, string $one, string $other): array
    {
        return ['measures' => $measures, 'one' => $one, 'other' => $other];
    }
}
