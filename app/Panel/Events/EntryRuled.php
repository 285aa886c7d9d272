<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\KeyEntry;
use App\Models\User;

/** The head coach ruled on an entry of a key. */
final readonly class EntryRuled implements Audited
{
    public function __construct(
        public KeyEntry $entry,
        public string $ruling,
        public string $reason,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        $recording = $this->entry->recording;

        return new Entry(
            $this->by,
            'rule',
            "fault {$this->entry->fault}, recording {$recording->public_id}",
            [
                'ruling' => $this->ruling,
                'reason' => $this->reason,
                'key_version' => $this->entry->keyVersion->number,
                'recording' => $recording->public_id,
            ],
        );
    }
}
