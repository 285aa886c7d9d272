<?php

declare(strict_types=1);

namespace App\Capture\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Device;
use App\Models\Recording;
use App\Models\User;

/** A caught swing was put on the Shelf. */
final readonly class SwingKept implements Audited
{
    public function __construct(
        public Recording $recording,
        public Device $device,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'capture', "recording {$this->recording->public_id}", [
            'device' => $this->device->name,
        ]);
    }
}
