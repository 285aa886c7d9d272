<?php

declare(strict_types=1);

namespace App\Panel\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\KeyEntry;
use App\Models\User;

/** A ruling was taken back within its minute: the entry is as it was. */
final readonly class RulingTakenBack implements Audited
{
    public function __construct(public KeyEntry $entry, public User $by)
    {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'ruling-back', (new EntryRuled(
            $this->entry,
            $this->entry->ruling ?? 'none',
            '',
            $this->by,
        ))->entry()->subject, ['recording' => $this->entry->recording->public_id]);
    }
}
