<?php

declare(strict_types=1);

namespace App\Demo;

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

    /** At which swing the ladder's change is gone. */
    public const BREAKS = 3;
}
