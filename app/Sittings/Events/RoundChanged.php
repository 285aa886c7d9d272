<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** Something of a round was changed while it is held: its day, its cases, its people. */
final readonly class RoundChanged implements Audited
{
    /**
     * @param  'due'|'case-withdrawn'|'seated'|'reminded'  $what
     * @param  array<string, mixed>  $with
     * @param  User|null  $seated  who came
     */
    public function __construct(
        public Sitting $round,
        public string $what,
        public array $with,
        public ?User $by,
        public ?User $seated = null,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, "round-$this->what", "round {$this->round->name}", $this->with);
    }
}
