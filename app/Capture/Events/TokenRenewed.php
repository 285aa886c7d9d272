<?php

declare(strict_types=1);

namespace App\Capture\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Device;
use App\Models\User;

/** A device has another token. */
final readonly class TokenRenewed implements Audited
{
    /** @param  ?User  $by  null: the device itself */
    public function __construct(
        public Device $device,
        public ?User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'device-renewed', "device {$this->device->name}", [
            'until' => $this->device->token_expires_at->format('Y-m-d'),
        ]);
    }
}
