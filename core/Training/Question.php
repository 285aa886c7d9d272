<?php

declare(strict_types=1);

namespace Core\Training;

/** A question that could be asked: whether one fault is there in one swing. */
final readonly class Question
{
    /**
     * @param  string  $id  of the question
     * @param  string  $swing  which swing: none is asked twice in a row
     * @param  bool  $present  what the key says
     * @param  float  $difficulty  logits above the usual question
     * @param  int  $asked  how often this person was asked it
     */
    public function __construct(
        public string $id,
        public string $swing,
        public string $fault,
        public bool $present,
        public float $difficulty = 0.0,
        public int $asked = 0,
    ) {
    }
}
