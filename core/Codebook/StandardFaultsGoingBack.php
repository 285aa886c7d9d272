<?php

declare(strict_types=1);

namespace Core\Codebook;

/** The faults that show at set-up and going back, as shipped. */
final class StandardFaultsGoingBack
{
    /** @return array<string, array<string, mixed>> */
    public static function rows(): array
    {
        return [
            'setup-bias' => [
                'name' => 'uneven start',
                'look_for' => 'leaning to one side at address',
                'in_the_trace' => 'set-up share off the band',
                'station' => 'AD',
                'supported' => ['any', ['setup_share', '<', 40], ['setup_share', '>', 66]],
                'contradicted' => ['all', ['setup_share', '>=', 46], ['setup_share', '<=', 58]],
                'sights' => StandardFaults::pressure('lean of the trunk and hips between the feet'),
                'confused_with' => ['a deliberate low-shot set-up'],
                'counter_example' => 'A ball played back with the hands ahead on purpose, for a low flight.',
                'misses' => ['fat', 'thin'],
                'cause' => 'habit, a slope remembered, or a sore leg spared',
                'consequence' => 'the first move has to undo it',
                'helps' => ['box-turn'],
                'harms' => [],
            ],
            'locked-feet' => [
                'name' => 'feet too square',
                'look_for' => 'both feet straight ahead, the turn blocked on one side',
                'in_the_trace' => 'nothing of its own',
                'station' => 'AD',
                'supported' => ['lead_flare', '<', 8],
                'contradicted' => ['lead_flare', '>', 15],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'observable'],
                    [
                        'needs' => ['down-the-line'],
                        'sight' => 'indirect',
                        'proxy' => 'how much of the lead sole shows behind the trail foot',
                    ],
                    [
                        'needs' => ['flare'],
                        'sight' => 'indirect',
                        'proxy' => 'the outline of the feet given with the stance',
                    ],
                ],
                'confused_with' => ['a stance too narrow'],
                'counter_example' => 'Square feet of a supple player whose pelvis opens past forty degrees by impact.',
                'misses' => ['push', 'hook'],
                'cause' => 'being told to stand square',
                'consequence' => 'the hips stop and the hands go on',
                'helps' => ['open-set'],
                'harms' => [],
            ],
            'knees-in' => [
                'name' => 'knees kinked in at address',
                'look_for' => 'the knees stand inside the lines from hip to ankle',
                'in_the_trace' => 'nothing of its own',
                'station' => 'AD',
                'supported' => ['knee_set', '<', -8],
                'contradicted' => ['knee_set', '>', -2],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'observable'],
                ],
                'confused_with' => ['a narrow stance'],
                'counter_example' => 'A narrow stance with each knee over its own foot.',
                'misses' => ['push', 'high weak'],
                'cause' => 'told to press the knees together',
                'consequence' => 'no firm trail side to turn into',
                'helps' => ['open-set'],
                'harms' => ['heel-down-press'],
            ],
            'lead-leg-leave' => [
                'name' => 'gives up the lead leg',
                'look_for' => 'pressure drifts off the lead leg at once, and the lead knee does not flex',
                'in_the_trace' => 'lead share falls early and far',
                'station' => 'TB',
                'supported' => ['all', ['lead_leg_drift', '>', 26], ['lead_knee_gain', '<', 5]],
                'contradicted' => ['any', ['lead_leg_drift', '<', 18], ['lead_knee_gain', '>', 10]],
                'sights' => [
                    ['needs' => ['pressure', 'points'], 'sight' => 'observable'],
                    ['needs' => ['pressure', 'face-on'], 'sight' => 'observable'],
                    ['needs' => ['pressure', 'down-the-line'], 'sight' => 'observable'],
                    [
                        'needs' => ['pressure'],
                        'sight' => 'indirect',
                        'proxy' => 'how much pressure leaves the lead leg, without its knee',
                        'supported' => ['lead_leg_drift', '>', 30],
                        'contradicted' => ['lead_leg_drift', '<', 18],
                    ],
                    ...array_map(static fn (string $view): array => [
                        'needs' => [$view],
                        'sight' => 'indirect',
                        'proxy' => 'a lead knee that does not flex',
                    ], ['points', 'face-on', 'down-the-line']),
                ],
                'confused_with' => ['an ordinary early load'],
                'counter_example' => 'Pressure that goes to the trail side over a lead knee that bends with the turn.',
                'disagreement' => 'Only where the lead leg is taught to keep its pressure is this a fault at all.',
                'misses' => ['fat', 'slice'],
                'cause' => 'told to load the trail side',
                'consequence' => 'a long way back in little time',
                'helps' => ['box-turn'],
                'harms' => ['step-in', 'heel-plant'],
            ],
            'sway' => [
                'name' => 'drifting off the ball',
                'look_for' => 'the pelvis slides away from the target with little turn',
                'in_the_trace' => 'trail share high while the pelvis moves',
                'station' => 'LB',
                'supported' => ['pelvis_sway@LB', '<', -18],
                'contradicted' => ['pelvis_sway@LB', '>', -12],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'observable'],
                ],
                'confused_with' => ['a normal small move'],
                'counter_example' => 'A pelvis that turns behind a still centre, with the trail hip going back and '
                    .'not sideways.',
                'misses' => ['fat', 'thin', 'high weak'],
                'cause' => 'told to load the trail side',
                'consequence' => 'too far to come back in the time there is',
                'helps' => ['box-turn', 'step-in'],
                'harms' => [],
            ],
            'no-load' => [
                'name' => 'never loads the trail side',
                'look_for' => 'the body stays, or tips to the lead side',
                'in_the_trace' => 'trail share hardly rises',
                'station' => 'LB',
                'supported' => ['trail_peak', '<', 54],
                'contradicted' => ['trail_peak', '>', 61],
                'sights' => StandardFaults::pressure(
                    'lean of the trunk to the lead side',
                    ['chest_sway@LB', '>', 9],
                ),
                'confused_with' => ['a quiet centre, played on purpose'],
                'counter_example' => 'Trail share past 60 % by lead-arm level, however little the body is seen to '
                    .'move.',
                'disagreement' => 'Quiet-centre players load far less on purpose; other lenses draw the line '
                    .'elsewhere.',
                'misses' => ['high weak', 'slice'],
                'cause' => 'told to keep the pressure forward',
                'consequence' => 'nothing to shift from',
                'helps' => ['rocker', 'step-in'],
                'harms' => ['box-turn'],
            ],
            'outer-edge' => [
                'name' => 'rolls to the outside of the trail foot',
                'look_for' => 'the trail foot tips outward, the instep light',
                'in_the_trace' => 'the pressure lies at the outer edge of the trail foot',
                'station' => 'LB',
                'supported' => ['edge_fraction', '>', 32],
                'contradicted' => ['edge_fraction', '<', 18],
                'sights' => [
                    ['needs' => ['foot-cop'], 'sight' => 'observable'],
                    [
                        'needs' => ['face-on'],
                        'sight' => 'indirect',
                        'proxy' => 'the tilt of the trail foot and the knee outside it',
                    ],
                ],
                'confused_with' => ['drifting off the ball'],
                'counter_example' => 'A flat trail foot with the pressure under its instep and heel, however high the '
                    .'trail share.',
                'misses' => ['fat', 'slice'],
                'cause' => 'a pelvis that slides',
                'consequence' => 'no firm edge to start down from',
                'helps' => ['heel-down-press', 'box-turn'],
                'harms' => [],
            ],
            'late-load' => [
                'name' => 'loads too long',
                'look_for' => 'still moving back near the top',
                'in_the_trace' => 'trail share peaks near the top',
                'station' => 'TP',
                'supported' => ['trail_peak_at', '>', 0.85],
                'contradicted' => ['trail_peak_at', '<', 0.7],
                'sights' => StandardFaults::pressure('how late the pelvis is farthest back'),
                'confused_with' => ['a loaded top, played on purpose'],
                'counter_example' => 'The peak by lead-arm level, the turn finishing over a trail foot that is '
                    .'already giving up pressure.',
                'disagreement' => 'Players of a loaded top peak at the top by design.',
                'misses' => ['fat', 'push'],
                'cause' => 'a long, slow backswing',
                'consequence' => 'pressure comes back late',
                'helps' => ['pause-and-complete'],
                'harms' => [],
            ],
        ];
    }
}
