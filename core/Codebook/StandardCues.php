<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Phrases as shipped: what they tend to provoke, and what they claim that few instruments can show. */
final class StandardCues
{
    /** @return array<string, array<string, mixed>> by key, as a codebook document holds them */
    public static function rows(): array
    {
        $of = static fn (array $said, array $provokes, string $why, string $instead, array $claims = []): array => [
            'said' => $said,
            'provokes' => $provokes,
            'claims' => $claims,
            'why' => $why,
            'instead' => $instead,
        ];

        return [
            'get-forward' => $of(
                ['get forward', 'get to the lead side', 'move forward', 'go forward', 'shift forward'],
                ['early-lunge', 'ahead-of-pressure'],
                'Told to get forward, many throw the chest forward and leave the pressure behind.',
                'Feel the lead heel take you before the turn is over.',
            ),
            'fire-hips' => $of(
                [
                    'fire the hips', 'fire your hips', 'clear the hips', 'clear your hips', 'spin the hips',
                    'open the hips',
                ],
                ['spin-out', 'chest-first'],
                'Forcing the hips open first spins the trail foot and stalls or outruns the arms.',
                'Plant the lead foot, then turn.',
            ),
            'stay-back' => $of(
                ['stay back', 'stay behind it', 'stay behind the ball', 'head behind the ball', 'hang back'],
                ['hang-back', 'late-recentre', 'head-back'],
                'Told to stay behind the ball, many leave the pressure there as well.',
                'Nose steady, lead heel heavy.',
            ),
            'cover-ball' => $of(
                ['cover the ball', 'cover it', 'get on top of it', 'chest over the ball'],
                ['early-lunge', 'chest-first'],
                'Covering is done by throwing the head forward more often than by turning.',
                'Chest turns over a planted lead foot.',
            ),
            'load-more' => $of(
                ['load more', 'load the trail leg', 'load up', 'load it fully', 'sit on the trail leg'],
                ['late-load', 'sway', 'late-recentre'],
                'More load is found by drifting, or by waiting on the trail foot too long.',
                'Turn over the trail instep, no farther.',
            ),
            'hold-the-top' => $of(
                ['hold the top', 'wait at the top', 'pause at the top', 'set it at the top'],
                ['late-recentre', 'late-load'],
                'Waiting at the top keeps the pressure there under most lenses.',
                'Finish the turn while the pressure comes back.',
            ),
            'jump' => $of(
                ['jump', 'jump up', 'leap', 'explode up', 'spring up'],
                ['jump-off-trail', 'early-rise', 'late-push'],
                'The push is given by the foot that carries the body, and at the top that is the trail foot.',
                'Press the lead heel down and through.',
            ),
            'heel-up' => $of(
                ['get the heel up', 'heel off the ground', 'kick the heel', 'kick the knee in'],
                ['heel-pop', 'spin-out'],
                'Lifted on purpose the heel leaves early and toward the ball.',
                'Let the trail heel be pulled off.',
            ),
            'knees-apart' => $of(
                ['spread the knees', 'knees apart', 'separate the knees'],
                ['knee-part'],
                'Spread on purpose the knees stop the turn; on a rotated body a film shows a gap that is none.',
                'Lead knee out over the lead foot.',
            ),
            'slide' => $of(
                ['slide', 'bump the hips', 'bump it', 'push the hips at the target'],
                ['ahead-of-pressure', 'early-lunge'],
                'A bump that is told becomes a slide over a trail foot still pressed.',
                'Press the lead foot before the hips go.',
            ),
            'whose-push' => $of(
                ['push off the trail foot', 'push off', 'push with the trail foot', 'trail foot pushes', 'drive off'],
                ['jump-off-trail'],
                'Which foot pushed only two plates can say: a mat knows how hard, one plate only the net.',
                'Feel the ground under the lead heel.',
                [['foot-force']],
            ),
            'twist-the-ground' => $of(
                ['twist the ground', 'screw into the ground', 'screw the feet', 'torque the ground', 'use the torque'],
                [],
                'Twist shows on plates only; a mat and a film have none.',
                'Turn against steady feet.',
                [['force']],
            ),
            'push-back' => $of(
                ['push back with the heel', 'push the ground back', 'scissor the feet', 'feet against each other'],
                [],
                'That the feet push against each other along the toes shows on two plates only.',
                'Lead toes forward, trail heel back.',
                [['foot-push']],
            ),
            'knee-gap-claim' => $of(
                ['the knees part', 'your knees part', 'gap between the knees'],
                [],
                'On a rotated body a film shows a gap between the knees that is none; it takes points in space.',
                'Describe what the feet do.',
                [['points']],
            ),
        ];
    }
}
