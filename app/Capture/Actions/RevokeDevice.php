<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\DeviceRevoked;
use App\Models\Device;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Ends a device's right to send; asked twice, it is written down once. */
final readonly class RevokeDevice
{
    public function __invoke(Device $device, User $by): void
    {
        DB::transaction(static function () use ($device, $by): void {
            $device = Device::query()->lockForUpdate()->findOrFail($device->id);
            if ($device->revoked_at !== null) {
                return;
            }
            $device->update(['revoked_at' => now()]);
            event(new DeviceRevoked($device, $by));
        });
    }
}
