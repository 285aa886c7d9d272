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

    /** At which swing the ladder's change is gone. */
    public const BREAKS = 3;
}
