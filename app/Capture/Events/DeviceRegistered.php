<?php

declare(strict_types=1);

namespace App\Capture\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Device;
use App\Models\User;

/** A device may send from now on. */
final readonly class DeviceRegistered implements Audited
{
    public function __construct(
        public Device $device,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'device', "device {$this->device->name}");
    }
}
