<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** A round is open, and its cases wait for its members. */
final readonly class RoundOpened implements Audited
{
    public function __construct(
        public Sitting $round,
        public int $cases,
        public int $members,
        public int $exposed,
        public ?User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'open', "round {$this->round->name}", [
            'cases' => $this->cases,
            'members' => $this->members,
            'key_version' => $this->round->keyVersion?->number,
            ...$this->exposed === 0 ? [] : ['exposed' => $this->exposed],
        ]);
    }
}
