<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Profile\RoundsOnScale;

/** How far agreement moved from one round to another, over the people, the faults and the cases that both have. */
final readonly class RoundChange
{
    /**
     * @param  int  $anchors  cases of both
     * @param  int  $golfers  of those cases
     * @param  RoundsOnScale|null  $scale  over all cases of both; null where no case links them
     * @param  Change|null  $present  specific agreement on "present"; null where there is no anchor
     */
    public function __construct(
        public int $people,
        public int $anchors,
        public int $golfers,
        public ?Change $present,
        public ?Change $ac1,
        public ?RoundsOnScale $scale = null,
    ) {
    }
}
