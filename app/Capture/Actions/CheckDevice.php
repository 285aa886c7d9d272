<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\DeviceChecked;
use App\Models\Device;
use App\Models\User;
use Core\Trace\ConstantErrors;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\DB;

/** States what a device is off by, and how that is known. It holds for recordings that come in from then on. */
final readonly class CheckDevice
{
    /**
     * @param  array<string, float|string>|null  $stated  as ConstantErrors::stated() reads them; null: nothing any more
     *
     * @throws \Core\CoreException where they cannot be
     */
    public function __invoke(Device $device, ?array $stated, User $by): void
    {
        $source = $stated === null ? '' : (string) ConstantErrors::stated(DeviceClass::DualPlate, $stated)->source;
        DB::transaction(static function () use ($device, $stated, $source, $by): void {
            $device = Device::query()->lockForUpdate()->findOrFail($device->id);
            if ($device->constant_errors !== $stated) {
                $device->update(['constant_errors' => $stated]);
                event(new DeviceChecked($device, $source, $by));
            }
        });
    }
}
