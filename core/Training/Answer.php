<?php

declare(strict_types=1);

namespace Core\Training;

/**
 * An answer of one person – right or wrong about one fault in one swing –, or several that are told apart by nothing.
 */
final readonly class Answer
{
    /**
     * @param  float  $day  when, in days on any clock that runs on
     * @param  float  $difficulty  of the question, logits above the usual one
     * @param  bool  $taught  whether the truth was told right after: a round tests, and teaches nothing by itself
     * @param  int  $times  so many of them; of what was taught one
     */
    public function __construct(
        public string $fault,
        public bool $right,
        public float $day,
        public float $difficulty = 0.0,
        public bool $taught = true,
        public int $times = 1,
    ) {
    }
}
