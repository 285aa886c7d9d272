<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Sitting;
use App\Models\User;

/** A round takes no more readings. */
final readonly class RoundClosed implements Audited
{
    public function __construct(
        public Sitting $round,
        public int $handedIn,
        public int $of,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'close', "round {$this->round->name}", [
            'handed_in' => $this->handedIn,
            'of' => $this->of,
        ]);
    }
}
