<?php

declare(strict_types=1);

namespace App\Agreement\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** The figures of a round are published. */
final readonly class RoundPublished implements Audited
{
    public function __construct(
        public Sitting $round,
        public ?User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'publish', "round {$this->round->name}");
    }
}
