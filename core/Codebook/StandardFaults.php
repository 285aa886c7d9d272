<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * The fault catalogue as shipped, version 1, as plain data in the published form of a codebook document. Rules are
 * those of the default lens; other lenses override them by key. Sights: the first whose needs are all met says how
 * well the fault is seen; an indirect one may carry rules of its own over the proxy.
 */
final class StandardFaults
{
    /**
     * @param  array<mixed>|null  $yes
     * @param  array<mixed>|null  $no
     * @return list<array<string, mixed>>
     */
    private static function pressure(
        string $proxy,
        ?array $yes = null,
        ?array $no = null,
        string $film = 'indirect',
    ): array {
        return [
            ['needs' => ['pressure'], 'sight' => 'observable'],
            ...array_map(
                static fn (string $view): array => array_filter([
                    'needs' => [$view],
                    'sight' => $film,
                    'proxy' => $film === 'indirect' ? $proxy : null,
                    'supported' => $yes,
                    'contradicted' => $no,
                ], static fn (mixed $value): bool => $value !== null && $value !== []),
                ['points', 'face-on'],
            ),
        ];
    }

    /** @return array<string, array<string, mixed>> by fault key, in the order in which they show in a swing */
    public static function rows(): array
    {
        return self::setUpAndBack() + self::startDown() + self::throughTheBall();
    }

    /** @return array<string, array<string, mixed>> */
    private static function setUpAndBack(): array
    {
        return [
            'setup-bias' => [
                'name' => 'uneven start',
                'look_for' => 'leaning to one side at address',
                'in_the_trace' => 'set-up share off the band',
                'station' => 'AD',
                'supported' => ['any', ['setup_share', '<', 40], ['setup_share', '>', 66]],
                'contradicted' => ['all', ['setup_share', '>=', 46], ['setup_share', '<=', 58]],
                'sights' => self::pressure('lean of the trunk and hips between the feet'),
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
                'helps' => ['box-turn'],
                'harms' => ['step-in'],
            ],
            'no-load' => [
                'name' => 'never loads the trail side',
                'look_for' => 'the body stays, or tips to the lead side',
                'in_the_trace' => 'trail share hardly rises',
                'station' => 'LB',
                'supported' => ['trail_peak', '<', 54],
                'contradicted' => ['trail_peak', '>', 61],
                'sights' => self::pressure(
                    'lean of the trunk to the lead side',
                    ['chest_sway@LB', '>', 9],
                    ['chest_sway@LB', '<', 4],
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
                'sights' => self::pressure('how late the pelvis is farthest back'),
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

    /** @return array<string, array<string, mixed>> */
    private static function startDown(): array
    {
        return [
            'late-recentre' => [
                'name' => 'pressure comes back late',
                'look_for' => 'held on the trail side at the top and into the start down',
                'in_the_trace' => 'half the pressure crosses long after the top',
                'station' => 'TP',
                'supported' => ['recentre_lead', '<', -70],
                'contradicted' => ['recentre_lead', '>', -40],
                'sights' => self::pressure(
                    'chest and pelvis over the feet at the start down',
                    ['all', ['pelvis_sway@LD', '<', 12], ['chest_sway@LD', '<', 2]],
                    ['pelvis_sway@LD', '>', 18],
                ),
                'confused_with' => ['hanging back, which it often causes'],
                'counter_example' => 'Pressure crossing the half within a few hundredths of a second of the top.',
                'disagreement' => 'Lenses differ by as much as a tenth of a second on when it should cross.',
                'misses' => ['fat', 'push', 'high weak'],
                'cause' => 'loading too long, or waiting at the top',
                'consequence' => 'hanging back, or arriving late',
                'helps' => ['step-in', 'heel-plant', 'wall-bump', 'pause-and-complete', 'rocker'],
                'harms' => [],
            ],
            'early-lunge' => [
                'name' => 'goes too soon, body ahead',
                'look_for' => 'the chest passes the lead side early',
                'in_the_trace' => 'lead share high at the top',
                'station' => 'LD',
                'supported' => ['any', ['top_share', '>', 70], ['chest_sway@LD', '>', 16]],
                'contradicted' => ['all', ['top_share', '<', 63], ['chest_sway@LD', '<', 9]],
                'sights' => [
                    ['needs' => ['pressure'], 'sight' => 'observable'],
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'observable'],
                ],
                'confused_with' => ['recentring done right'],
                'counter_example' => 'Half to 60 % on the lead side at the top with the chest still behind.',
                'misses' => ['thin', 'top', 'slice'],
                'cause' => 'told to get pressure forward',
                'consequence' => 'no room left to push from',
                'helps' => ['arm-drop'],
                'harms' => ['step-in', 'heel-plant'],
            ],
            'ahead-of-pressure' => [
                'name' => 'body goes, pressure stays',
                'look_for' => 'the body slides to the target over a trail foot that is still pressed',
                'in_the_trace' => 'the share lags the body',
                'station' => 'LD',
                'supported' => ['all', ['mass_ahead@LD', '>', 22], ['level_share', '<', 58]],
                'contradicted' => ['any', ['mass_ahead@LD', '<', 12], ['level_share', '>=', 64]],
                'sights' => [
                    ['needs' => ['pressure', 'points'], 'sight' => 'observable'],
                    ['needs' => ['pressure', 'face-on'], 'sight' => 'observable'],
                ],
                'confused_with' => ['going too soon', 'a good pressure shift with the body back'],
                'counter_example' => 'Pressure on the lead side by lead-arm level with the chest still behind it.',
                'misses' => ['push', 'hook', 'thin'],
                'cause' => 'throwing the body to move the pressure',
                'consequence' => 'nothing to brace against',
                'helps' => ['wall-bump', 'heel-plant'],
                'harms' => ['brush-ahead'],
            ],
            'jump-off-trail' => [
                'name' => 'jumps off the trail foot',
                'look_for' => 'the trail side rises as it starts down',
                'in_the_trace' => 'vertical force under the trail foot grows after the top',
                'station' => 'LD',
                'supported' => ['trail_jump', '>', 1.12],
                'contradicted' => ['trail_jump', '<=', 1.04],
                'sights' => [
                    ['needs' => ['foot-force'], 'sight' => 'observable'],
                    [
                        'needs' => ['mat'],
                        'sight' => 'indirect',
                        'proxy' => 'a second press of the trail foot',
                        'supported' => ['trail_second_peak', '>', 6],
                        'contradicted' => ['trail_second_peak', '<', 2],
                    ],
                    [
                        'needs' => ['face-on'],
                        'sight' => 'indirect',
                        'proxy' => 'the trail shoulder and hip rising together',
                    ],
                ],
                'confused_with' => [
                    'a drive off the trail foot under the loaded-top lens',
                    'a second press of a quiet-centre player',
                ],
                'counter_example' => 'A trail foot that is unloaded from the top on, whatever the heel does.',
                'disagreement' => 'Push off the trail foot, or unload it: lenses draw the line elsewhere.',
                'misses' => ['top', 'push', 'slice'],
                'cause' => 'trying for speed from the trail leg',
                'consequence' => 'standing up, or spinning out',
                'helps' => ['heel-plant', 'heel-down-press'],
                'harms' => ['hop-through'],
            ],
            'chest-first' => [
                'name' => 'unwinds before grounded',
                'look_for' => 'the chest opens while the lead foot is light',
                'in_the_trace' => 'the share rises after the chest has started',
                'station' => 'LD',
                'supported' => ['chest_first', '>', 20],
                'contradicted' => ['chest_first', '<', -20],
                'sights' => [
                    ['needs' => ['pressure', 'points'], 'sight' => 'observable', 'rate_hz' => 80],
                    ['needs' => ['pressure', 'face-on'], 'sight' => 'observable', 'rate_hz' => 80],
                    [
                        'needs' => ['face-on'],
                        'sight' => 'indirect',
                        'proxy' => 'the lead foot flat before the shirt turns',
                    ],
                ],
                'confused_with' => ['a fast tempo'],
                'counter_example' => 'Everything quick, but the lead side pressed before the chest turns.',
                'misses' => ['slice', 'thin'],
                'cause' => 'hitting from the top',
                'consequence' => 'an outside path',
                'helps' => ['hop-through', 'step-in', 'pause-and-complete'],
                'harms' => ['arm-drop'],
            ],
            'spin-out' => [
                'name' => 'spinning out',
                'look_for' => 'the lead hip pulls straight back, the trail foot twists on the spot',
                'in_the_trace' => 'the share stalls',
                'station' => 'LD',
                'supported' => ['all', ['foot_spin', '>', 25], ['level_share', '<', 55]],
                'contradicted' => ['any', ['foot_spin', '<', 12], ['level_share', '>', 64]],
                'sights' => [
                    ['needs' => ['pressure', 'points'], 'sight' => 'observable'],
                    ['needs' => ['pressure', 'face-on'], 'sight' => 'observable'],
                    [
                        'needs' => ['face-on'],
                        'sight' => 'indirect',
                        'proxy' => 'the outline of the trail foot',
                        'supported' => ['foot_spin', '>', 30],
                        'contradicted' => ['foot_spin', '<', 10],
                    ],
                ],
                'confused_with' => ['a screw-in with the pressure moving on'],
                'counter_example' => 'A trail foot that turns while the pressure goes on to the lead side.',
                'disagreement' => 'A trail foot that screws in and keeps the hips closed is taught by some; where the '
                    .'pressure goes tells the two apart.',
                'misses' => ['slice', 'thin'],
                'cause' => 'told to open the hips',
                'consequence' => 'the arms are left behind',
                'helps' => ['marker-guard'],
                'harms' => ['open-set'],
            ],
            'knee-part' => [
                'name' => 'knees forced apart',
                'look_for' => 'hips square and low, knees spread on purpose',
                'in_the_trace' => 'the trail share is held',
                'station' => 'SD',
                'supported' => ['knee_gap_growth', '>', 4],
                'contradicted' => ['knee_gap_growth', '<', 0],
                'sights' => [['needs' => ['points'], 'sight' => 'observable']],
                'confused_with' => ['the ordinary look of a turned body'],
                'counter_example' => 'Knees that look apart on face-on film of a turned body; only three dimensions '
                    .'can tell.',
                'misses' => ['push', 'hook'],
                'cause' => 'copying a picture',
                'consequence' => 'hips that cannot turn',
                'helps' => ['heel-plant'],
                'harms' => [],
            ],
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function throughTheBall(): array
    {
        $copY = static fn (string $proxy): array => [
            ['needs' => ['cop-y'], 'sight' => 'observable'],
            ['needs' => ['down-the-line'], 'sight' => 'indirect', 'proxy' => $proxy],
        ];

        return [
            'heel-pop' => [
                'name' => 'trail heel rolls up early, toward the ball',
                'look_for' => 'the trail heel rises and rolls in before the shaft is level',
                'in_the_trace' => 'the pressure runs to the trail toes early',
                'station' => 'SD',
                'supported' => ['trail_heel_lift_at', '>', 95],
                'contradicted' => ['trail_heel_lift_at', '<', 60],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'observable'],
                    ['needs' => ['down-the-line'], 'sight' => 'observable'],
                    [
                        'needs' => ['foot-cop'],
                        'sight' => 'indirect',
                        'proxy' => 'pressure running to the trail toes early',
                    ],
                ],
                'confused_with' => ['a normal release of the trail foot'],
                'counter_example' => 'A heel that leaves after shaft level and travels toward the target.',
                'disagreement' => 'A trail heel free to leave early goes with driving off the trail foot.',
                'misses' => ['push', 'slice', 'toe'],
                'cause' => 'pushing up from the trail toes',
                'consequence' => 'hips move to the ball',
                'helps' => ['heel-down-press'],
                'harms' => ['slider-push'],
            ],
            'slide' => [
                'name' => 'slides past without turning',
                'look_for' => 'the pelvis runs to the target with the hips closed',
                'in_the_trace' => 'the lead share is fine',
                'station' => 'IM',
                'supported' => ['all', ['pelvis_sway@IM', '>', 28], ['pelvis_turn@IM', '<', 20]],
                'contradicted' => ['any', ['pelvis_sway@IM', '<', 18], ['pelvis_turn@IM', '>', 32]],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'indirect', 'proxy' => 'the apparent width of the hips'],
                ],
                'confused_with' => ['a bump with turn'],
                'counter_example' => 'A bump toward the target that turns by the time the shaft is level.',
                'misses' => ['push', 'hook'],
                'cause' => 'a bump rehearsed without the turn',
                'consequence' => 'the club stuck behind',
                'helps' => ['open-set', 'short-finish'],
                'harms' => ['wall-bump', 'step-in'],
            ],
            'early-rise' => [
                'name' => 'stands up before impact',
                'look_for' => 'the pelvis moves to the ball and posture is lost',
                'in_the_trace' => 'the rise comes early',
                'station' => 'SD',
                'supported' => ['any', ['pelvis_depth', '>', 6], ['rise_at', '>', 120]],
                'contradicted' => ['all', ['pelvis_depth', '<', 3], ['rise_at', '<', 95]],
                'sights' => [
                    ['needs' => ['points'], 'sight' => 'observable'],
                    ['needs' => ['down-the-line'], 'sight' => 'observable'],
                    ['needs' => ['force'], 'sight' => 'observable'],
                    ['needs' => ['face-on'], 'sight' => 'indirect', 'proxy' => 'the head and chest rising'],
                ],
                'confused_with' => ['a well-timed push'],
                'counter_example' => 'A push that straightens the lead leg through the ball with the seat still back.',
                'misses' => ['thin', 'toe', 'push'],
                'cause' => 'pushing before there is room',
                'consequence' => 'the hands are thrown out',
                'helps' => ['brush-ahead'],
                'harms' => ['hop-through'],
            ],
            'toe-dive' => [
                'name' => 'falls toward the ball',
                'look_for' => 'heels up, on the toes',
                'in_the_trace' => 'the pressure runs to the toes',
                'station' => 'IM',
                'supported' => ['toe_drift', '>', 14],
                'contradicted' => ['toe_drift', '<', 6],
                'sights' => $copY('heels up and the hips over the toes'),
                'confused_with' => ['standing up before impact'],
                'counter_example' => 'Pressure under the ball of the lead foot at impact that was there at the top as '
                    .'well.',
                'misses' => ['toe', 'slice'],
                'cause' => 'standing too far away, or reaching',
                'consequence' => 'stands up',
                'helps' => ['heel-down-press'],
                'harms' => ['slider-push'],
            ],
            'heel-fall' => [
                'name' => 'falls back on the heels',
                'look_for' => 'the toes light',
                'in_the_trace' => 'the pressure runs to the heels',
                'station' => 'IM',
                'supported' => ['toe_drift', '<', -14],
                'contradicted' => ['toe_drift', '>', -6],
                'sights' => $copY('toes up and the hips behind the heels'),
                'confused_with' => ['a post that leans to a fade'],
                'counter_example' => 'A lead heel pressed by a hip that clears while the trail foot stays on its ball.',
                'misses' => ['thin', 'slice'],
                'cause' => 'pulling the body away from the ball',
                'consequence' => 'reach lost',
                'helps' => ['marker-guard'],
                'harms' => ['open-set'],
            ],
            'weak-couple' => [
                'name' => 'feet do not oppose each other',
                'look_for' => 'no push-back of the trail foot',
                'in_the_trace' => 'small opposing forces along heel and toe',
                'station' => 'SD',
                'supported' => ['any', ['heel_toe_trail', '<', 5], ['heel_toe_ratio', '>', 2.8]],
                'contradicted' => [
                    'all',
                    ['heel_toe_trail', '>=', 8],
                    ['heel_toe_ratio', '>=', 1.3],
                    ['heel_toe_ratio', '<=', 2.2],
                ],
                'sights' => [['needs' => ['foot-push'], 'sight' => 'observable']],
                'confused_with' => [],
                'counter_example' => 'Quiet feet that push against each other hard; only a plate under each can tell.',
                'misses' => ['high weak'],
                'cause' => 'arms alone',
                'consequence' => 'slow to turn',
                'helps' => ['slider-push'],
                'harms' => [],
            ],
            'hang-back' => [
                'name' => 'hanging back',
                'look_for' => 'body and pressure trail at strike',
                'in_the_trace' => 'low lead share at impact',
                'station' => 'IM',
                'supported' => [
                    'all',
                    ['impact_share', '<', 68],
                    ['any', ['cop_style', 'not', 'returning'], ['lead_peak', '<', 80]],
                ],
                'contradicted' => [
                    'any',
                    ['impact_share', '>=', 77],
                    ['all', ['cop_style', 'is', 'returning'], ['lead_peak', '>=', 80]],
                ],
                'sights' => self::pressure(
                    'chest and pelvis over the feet and the trail heel at impact',
                    ['all', ['chest_sway@IM', '<', -4], ['trail_heel_lift', '<', 2.5]],
                    ['any', ['chest_sway@IM', '>', 2], ['trail_heel_lift', '>', 4.5]],
                ),
                'confused_with' => [
                    'a returning style of pressure',
                    'the rescue of an outside path',
                    'a sore lead knee',
                ],
                'counter_example' => 'A path that reached the lead side fully and came part of the way back before '
                    .'the ball.',
                'misses' => ['fat', 'thin', 'hook', 'high weak'],
                'cause' => 'pressure that comes back late, or a path thrown outside',
                'consequence' => 'flipping the club',
                'helps' => ['step-in', 'brush-ahead', 'split-stance'],
                'harms' => [],
            ],
            'late-arrival' => [
                'name' => 'arrives late, then is thrown forward',
                'look_for' => 'falls past the ball after it',
                'in_the_trace' => 'the share jumps after impact',
                'station' => 'IM',
                'supported' => ['all', ['impact_share', '<', 76], ['late_surge', '>', 14]],
                'contradicted' => ['late_surge', '<', 8],
                'sights' => self::pressure('the body overtaking the lead foot after the ball'),
                'confused_with' => ['a strong post'],
                'counter_example' => 'A share that is already high at impact and stays there.',
                'misses' => ['fat', 'push'],
                'cause' => 'pressure that comes back late',
                'consequence' => 'a step past the ball',
                'helps' => ['heel-plant', 'step-in'],
                'harms' => [],
            ],
            'late-push' => [
                'name' => 'lead-leg push late or small',
                'look_for' => 'no push up through the ball',
                'in_the_trace' => 'the rise is small, or after impact',
                'station' => 'IM',
                'supported' => ['any', ['rise', '<', 118], ['rise_at', '<', 0]],
                'contradicted' => ['all', ['rise', '>=', 138], ['rise_at', '>=', 25], ['rise_at', '<=', 95]],
                'sights' => [
                    ['needs' => ['force'], 'sight' => 'observable'],
                    [
                        'needs' => ['points'],
                        'sight' => 'indirect',
                        // How much it is bent depends more on stance and build than on the push: a hint, undecided.
                        'proxy' => 'the lead knee still bent through the ball',
                    ],
                    [
                        'needs' => ['face-on'],
                        'sight' => 'indirect',
                        'proxy' => 'the lead knee still bent through the ball',
                    ],
                ],
                'confused_with' => ['a deliberate soft shot'],
                'counter_example' => 'A lead leg that straightens through the ball with the force already past its '
                    .'peak.',
                'misses' => ['high weak', 'thin'],
                'cause' => 'arriving late, or a sore lead knee spared',
                'consequence' => 'speed from the arms alone',
                'helps' => ['hop-through', 'heel-plant'],
                'harms' => [],
            ],
            'fall-off' => [
                'name' => 'does not finish on the lead side',
                'look_for' => 'steps back, finish bent back',
                'in_the_trace' => 'share returns to the trail side',
                'station' => 'FI',
                'supported' => ['any', ['fallback', '>', 25], ['finish_share', '<', 74]],
                'contradicted' => ['all', ['fallback', '<', 12], ['finish_share', '>=', 88]],
                'sights' => self::pressure('', ['pelvis_sway@FI', '<', 16], ['pelvis_sway@FI', '>', 23], 'observable'),
                'confused_with' => ['a held or relaxed finish', 'a finish that looks right after a bad start down'],
                'counter_example' => 'A full finish on the lead side with a relaxed recoil after it.',
                'misses' => ['slice', 'thin', 'fat'],
                'cause' => 'hanging back, or a balance limit',
                'consequence' => 'no check on the swing before it',
                'helps' => ['brush-ahead', 'short-finish'],
                'harms' => [],
            ],
        ];
    }
}
