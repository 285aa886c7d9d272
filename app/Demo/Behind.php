<?php

declare(strict_types=1);

namespace App\Demo;

use Core\Consensus\LiesIn;
use Core\Reading\Outside;

/** What lies behind the invented swings and is not in the feet; used as they are read, stored nowhere. */
final class Behind
{
    /** Causes by golfer. */
    public const OUTSIDE = [
        'Dunnock' => [Outside::Fear],
        'Heron' => [Outside::ThrownOut],
        'Siskin' => [Outside::BallPosition],
        'Goldcrest' => [Outside::Posture],
        'Wren' => [Outside::Limit],
        'Wheatear' => [Outside::ThrownOut],
    ];

    /** Where the panel's members saw the difference, and what moved them. */
    public const FOLLOWING = [
        [LiesIn::Seeing, 'looked again at the moment pinned'],
        [LiesIn::Seeing, 'had taken the frame before'],
        [LiesIn::Definition, 'the counter-example fits this one'],
        [LiesIn::Evidence, 'the camera hides it'],
        [LiesIn::School, 'was taught to call it sooner'],
    ];

    /** What the head coach noted on the cases of a debrief. */
    public const NOTES = [
        'Half of the room looks at the foot, half at the hip: ask what each looks at first.',
        'Let somebody say the cause aloud before the spread is shown.',
        'Play it at a quarter of the speed, feet only.',
    ];

    /** What was decided: about what, in words, by whom ('' is the head coach), due so many days later. */
    public const DECISIONS = [
        [LiesIn::Definition, 'Say in the definition which of the two is looked at first, with an example', '', 14],
        [LiesIn::Seeing, 'Collect two more examples seen from down the line', 'staff', 21],
        [LiesIn::Evidence, 'Film from the ground at the next session, to see the sole', 'staff', 300],
    ];

    /** At which swing the ladder's change is gone. */
    public const BREAKS = 3;

    /** What the head coach says in the Spring round's report. */
    public const REPORT = [
        'purpose' => 'Two instructors had given one student opposite exercises in the same week. The round was held to '
            .'see whether the staff call the same faults, and whether film alone is enough to call them. Nothing was '
            .'known about either before.',
        'readers' => 'All hold the academy’s own teaching licence; they have taught between two and twenty-three '
            .'years. Half of them had used pressure traces in lessons before, the others had seen them in one evening '
            .'of training.',
        'meaning' => 'What is called present by one is too seldom called present by another to be told to a student as '
            .'a fact. Until the next round, a fault is written into a lesson only with the station at which it was '
            .'seen.',
    ];

    /** Fault, whether the swing shows it, what is to be seen. */
    public const EXAMPLES = [
        [
            'hang-back', true,
            'At impact chest and pressure are both behind the ball; look at the lead share, not the finish.',
        ],
        ['hang-back', false, 'The hips look back, the pressure is not: it came early and stayed.'],
        ['late-recentre', true, 'Half the pressure crosses after the arms are on their way down.'],
        ['spin-out', true, 'The trail heel goes away from the target while the trail foot is still pressed.'],
    ];

    public const LOAD = 'Pressure under the trail foot while the body turns over it. Not a shift, and not a wait.';

    public const WOBBLY = 'Wobbly, and as if nothing carried you at the top.';

    /** What some would rather not have said, by first cause. */
    public const POOR_CUES = [
        'sway' => 'Stay back and load up over that leg',
        'late-recentre' => 'Fire the hips to get there',
        'hang-back' => 'Get forward and cover the ball',
        'early-lunge' => 'Stay behind it',
        'spin-out' => 'Screw the feet into it',
        'late-push' => 'Jump through the strike',
        'chest-first' => 'Fire your hips later',
        'jump-off-trail' => 'Push off the trail foot less',
    ];
}
