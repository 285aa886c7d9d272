<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;

/** A recording was erased; what was said of it may stand. */
final readonly class RecordingErased implements Audited
{
    public function __construct(
        public Recording $recording,
        public bool $saidStands,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'erase', "recording {$this->recording->public_id}", [
            'kept' => $this->saidStands ? 'what was said of it' : 'nothing',
        ]);
    }
}
