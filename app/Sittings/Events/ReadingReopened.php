<?php

declare(strict_types=1);

namespace App\Sittings\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Reading;
use App\Models\Sitting;
use App\Models\User;

/** A hand-in was opened again for its reader. */
final readonly class ReadingReopened implements Audited
{
    public function __construct(public Reading $reading, public Sitting $round, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'reopen', "round {$this->round->name}", [
            'reader' => $this->reading->user_id,
            'position' => $this->reading->position,
        ]);
    }
}
