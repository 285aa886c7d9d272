<?php

declare(strict_types=1);

namespace Core\Sight;

use Core\Reading\Stage;

/** Where somebody's own reading stands in its sitting. */
final readonly class Turn
{
    /**
     * @param  bool  $film  whether the reading's arm shows film
     * @param  bool  $trace  whether it shows the trace
     * @param  bool  $repeats  whether the sitting asks about some of its cases twice
     * @param  int  $left  blind readings that this person has still to hand in there, in whichever part
     * @param  bool  $begun  whether the reading's part has begun for this person
     * @param  bool  $review  whether the sitting is a private review of the person's own
     */
    public function __construct(
        public Stage $stage,
        public bool $handedIn,
        public bool $film,
        public bool $trace,
        public bool $repeats = false,
        public int $left = 0,
        public bool $begun = true,
        public bool $withdrawn = false,
        public bool $review = false,
    ) {
    }

    /**
     * Whether it is a blind sheet that is still to be read: the rules then ask neither for the person's places nor for
     * what else is left in the sitting, and whoever gathers the facts need not.
     */
    public function isUnread(): bool
    {
        return $this->stage === Stage::Blind && ! $this->handedIn;
    }
}
