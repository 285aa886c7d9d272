<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

/** How a round was held, in numbers: what its report says of its people, cases and readings. */
final readonly class RoundFacts
{
    /**
     * @param  int  $readers  who handed in a reading
     * @param  int  $golfers  whose swings were read
     * @param  int  $cases  different ones
     * @param  int  $repeats  cases asked about twice
     * @param  int  $dealt  readings there were to be
     * @param  int  $handedIn  of those
     * @param  int  $calls  in those, present, absent or cannot tell
     * @param  int  $arms  ways in which cases were shown
     * @param  int  $members  who made the key; nought where there is none
     * @param  bool  $waited  whether repeats came after a wait
     */
    public function __construct(
        public int $readers,
        public int $golfers,
        public int $cases,
        public int $repeats,
        public int $dealt,
        public int $handedIn,
        public int $calls,
        public int $arms,
        public int $members,
        public bool $waited,
    ) {
    }
}
