<?php

declare(strict_types=1);

namespace App\Capture\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Device;
use App\Models\User;

/** What a device is off by was stated, or is not stated any more. */
final readonly class DeviceChecked implements Audited
{
    public function __construct(
        public Device $device,
        public string $source,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(
            $this->by,
            'device-checked',
            "device {$this->device->name}",
            $this->source === '' ? [] : ['reason' => $this->source],
        );
    }
}
