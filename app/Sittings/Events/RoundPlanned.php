<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** A round is a draft. */
final readonly class RoundPlanned implements Audited
{
    public function __construct(
        public Sitting $round,
        public int $cases,
        public int $members,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'plan', "round {$this->round->name}", [
            'cases' => $this->cases,
            'members' => $this->members,
        ]);
    }
}
