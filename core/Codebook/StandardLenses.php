<?php

declare(strict_types=1);

namespace Core\Codebook;

/** The three lenses as shipped, as plain data in the published form of a codebook document. */
final class StandardLenses
{
    public const DEFAULT = 'early-recentre';

    /** @return array<string, array<string, mixed>> by lens key, the default first */
    public static function rows(): array
    {
        // Bands on which the lenses do not differ.
        $common = [
            'fallback' => [0, 12],
            'late_surge' => [0, 8],
            'finish_share' => [88, 100],
            'rise' => [138, 250],
            'rise_at' => [25, 95],
            'foot_spin' => [-15, 12],
            'toe_drift' => [-6, 6],
            'edge_fraction' => [-30, 18],
            'heel_toe_trail' => [8.5, 40],
            'heel_toe_trail_at' => [-40, 40],
            'heel_toe_ratio' => [1.3, 2.2],
            'mass_ahead@LD' => [-40, 12],
            'pelvis_depth' => [-6, 3],
            'pelvis_depth_pct' => [-3.5, 1.8],
            'edge_fraction_down' => [-40, 12],
            'trail_side_rise' => [0, 1.5],
            'knee_set' => [-2, 12],
            'thrown_back' => [0, 3],
            'head_sway@IM' => [-2.5, 4],
            'knee_gap_growth' => [-12, 0],
            'lead_flare' => [15, 35],
            'chest_first' => [-200, -20],
            'tempo' => [2.5, 3.9],
        ];
        $byClub = static fn (array $wedge): array => [
            'wedge' => [...$wedge, 'rise' => [112, 180], 'rise_at' => [10, 95]],
            'iron' => ['rise' => [125, 230]],
            'wood' => ['rise' => [138, 250], 'head_sway@IM' => [-4, 4]],
        ];
        $noLoad = static fn (float $below, float $above): array => [
            'no-load' => ['supported' => ['trail_peak', '<', $below], 'contradicted' => ['trail_peak', '>', $above]],
        ];

        return [
            'early-recentre' => [
                'name' => 'early recentre', 'version' => '2',
                'says' => 'With about a quarter of a second to come down there is little time to cross from a loaded '
                    .'trail foot after the top, so the pressure comes back while the turn is still finishing.',
                'trail_foot' => 'is unloaded, not pushed up',
                'lead_heel' => 'may lighten, settles by the top',
                'trail_heel' => 'lifts after shaft level and travels to the target',
                'bands' => [
                    'setup_share' => [46, 58],
                    'trail_peak' => [62, 84],
                    'trail_peak_at' => [0, 0.7],
                    'trail_second_peak' => [0, 4],
                    'top_share' => [40, 62],
                    'recentre_lead' => [-40, 160],
                    'level_share' => [62, 100],
                    'impact_share' => [80, 100],
                    'pelvis_sway@LB' => [-12, -1],
                    'trail_jump' => [0, 1.04],
                    'trail_heel_lift_at' => [0, 60],
                    'lead_leg_drift' => [0, 42],
                    'unload_at' => [40, 500],
                    'away_most_at' => [0, 0.55],
                ] + $common,
                'by_club' => $byClub(['setup_share' => [50, 64], 'trail_peak' => [50, 78]]),
                'off' => ['lead-leg-leave'],
                'rules' => [],
                'rules_by_club' => ['wedge' => $noLoad(44, 50)],
            ],
            'loaded-top' => [
                'name' => 'loaded top', 'version' => '2',
                'says' => 'The trail side is loaded fully to the top and drives off from there: back and along, into '
                    .'a lead foot that is planted hard.',
                'trail_foot' => 'drives off, back and along',
                'lead_heel' => 'may lift, then is planted hard',
                'trail_heel' => 'is free to leave',
                'bands' => [
                    'setup_share' => [45, 55],
                    'trail_peak' => [74, 90],
                    'trail_peak_at' => [0, 1],
                    'trail_second_peak' => [0, 12],
                    'top_share' => [12, 32],
                    'recentre_lead' => [-100, -15],
                    'level_share' => [48, 100],
                    'impact_share' => [80, 100],
                    'pelvis_sway@LB' => [-16, 0],
                    'trail_jump' => [0, 1.18],
                    'away_most_at' => [0.35, 0.9],
                ] + $common,
                'by_club' => $byClub(['setup_share' => [50, 62], 'trail_peak' => [62, 84]]),
                'rules_by_club' => ['wedge' => $noLoad(56, 62)],
                'off' => ['late-load', 'heel-pop', 'lead-leg-leave', 'trail-rise'],
                'rules' => [
                    'no-load' => ['supported' => ['trail_peak', '<', 68], 'contradicted' => ['trail_peak', '>', 74]],
                    'late-recentre' => [
                        'supported' => ['recentre_lead', '<', -140],
                        'contradicted' => ['recentre_lead', '>', -100],
                    ],
                    'early-lunge' => [
                        'supported' => ['any', ['top_share', '>', 46], ['chest_sway@LD', '>', 16]],
                        'contradicted' => [
                            'first',
                            ['all', ['top_share', '<', 38], ['chest_sway@LD', '<', 9]],
                            ['top_share', '<', 32],
                        ],
                    ],
                    'jump-off-trail' => [
                        'supported' => ['trail_jump', '>', 1.3],
                        'contradicted' => ['trail_jump', '<=', 1.18],
                        'proxies' => [
                            'mat' => [
                                'supported' => ['trail_second_peak', '>', 14],
                            ],
                        ],
                    ],
                ],
            ],
            'quiet-centre' => [
                'name' => 'quiet centre', 'version' => '2',
                'says' => 'The centre hardly leaves the lead side; pressure is kept in the lead leg, and a short '
                    .'press of the trail foot at the start down may follow.',
                'trail_foot' => 'steps, screws in, stays longer',
                'lead_heel' => 'stays down, pressure kept in the lead leg',
                'trail_heel' => 'stays down longest',
                'bands' => [
                    'setup_share' => [48, 60],
                    'trail_peak' => [52, 74],
                    'trail_peak_at' => [0, 1],
                    'trail_second_peak' => [0, 10],
                    'top_share' => [30, 50],
                    'recentre_lead' => [-130, 0],
                    'level_share' => [58, 100],
                    'impact_share' => [80, 100],
                    'pelvis_sway@LB' => [-6, 3],
                    'trail_jump' => [0, 1.22],
                    'trail_heel_lift_at' => [0, 45],
                    'lead_leg_drift' => [0, 18],
                    'foot_spin' => [-25, 8],
                ] + $common,
                'by_club' => $byClub(['setup_share' => [52, 66], 'trail_peak' => [46, 70]]),
                'rules_by_club' => ['wedge' => $noLoad(40, 46)],
                'off' => ['late-load'],
                'rules' => [
                    'no-load' => ['supported' => ['trail_peak', '<', 48], 'contradicted' => ['trail_peak', '>', 52]],
                    'late-recentre' => [
                        'supported' => ['recentre_lead', '<', -165],
                        'contradicted' => ['recentre_lead', '>', -130],
                    ],
                    'early-lunge' => [
                        'supported' => ['any', ['top_share', '>', 62], ['chest_sway@LD', '>', 16]],
                        'contradicted' => [
                            'first',
                            ['all', ['top_share', '<', 54], ['chest_sway@LD', '<', 9]],
                            ['top_share', '<', 46],
                        ],
                    ],
                    'jump-off-trail' => [
                        'supported' => ['trail_jump', '>', 1.3],
                        'contradicted' => ['trail_jump', '<=', 1.22],
                        'proxies' => [
                            'mat' => [
                                'supported' => ['trail_second_peak', '>', 12],
                            ],
                        ],
                    ],
                    'hang-back' => [
                        'supported' => [
                            'all',
                            ['impact_share', '<', 62],
                            ['any', ['cop_style', 'not', 'returning'], ['lead_peak', '<', 80]],
                        ],
                        'contradicted' => ['impact_share', '>=', 72],
                    ],
                    'sway' => [
                        'supported' => ['pelvis_sway@LB', '<', -12],
                        'contradicted' => ['pelvis_sway@LB', '>', -7],
                    ],
                    // Only the time is another; which way the heel goes is the same under every lens.
                    'heel-pop' => [
                        'supported' => [
                            'all',
                            ['trail_heel_lift_at', '>', 75],
                            ['heel_direction', '>=', 35],
                            ['heel_direction', '<=', 130],
                        ],
                        'contradicted' => [
                            'any',
                            ['trail_heel_lift_at', '<', 45],
                            ['heel_direction', '<', 15],
                            ['heel_direction', '>', 150],
                        ],
                        'proxies' => array_fill_keys(['face-on', 'down-the-line'], [
                            'supported' => ['trail_heel_lift_at', '>', 75],
                            'contradicted' => ['trail_heel_lift_at', '<', 45],
                        ]),
                    ],
                    'roll-down' => [
                        'supported' => ['edge_fraction_down', '>', 40],
                        'contradicted' => ['edge_fraction_down', '<', 20],
                    ],
                ],
            ],
        ];
    }
}
