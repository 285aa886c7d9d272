<?php

declare(strict_types=1);

namespace App\Capture\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\CaughtSwing;
use App\Models\User;

/** A caught swing was left. */
final readonly class SwingLeft implements Audited
{
    public function __construct(
        public CaughtSwing $swing,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'capture-left', "swing caught from {$this->swing->session->device->name}", [
            'caught_at' => $this->swing->created_at->utc()->format('Y-m-d\TH:i:s\Z'),
        ]);
    }
}
