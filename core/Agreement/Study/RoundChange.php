<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** How far agreement moved from one round to another, over the people, the faults and the cases that both have. */
final readonly class RoundChange
{
    /**
     * @param  int  $anchors  cases of both
     * @param  int  $golfers  of those cases
     * @param  Change|null  $present  specific agreement on "present"; null where there is no anchor
     */
    public function __construct(
        public int $people,
        public int $anchors,
        public int $golfers,
        public ?Change $present,
        public ?Change $ac1,
    ) {
    }
}
