<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\DeviceRegistered;
use App\Models\Device;
use App\Models\User;
use Core\Trace\DeviceClass;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Lets a device send, by a token that is shown once and kept as a hash only. */
final readonly class RegisterDevice
{
    /**
     * @param  ?DeviceClass  $class  the one kind it may send as
     * @return string the token
     */
    public function __invoke(string $name, User $by, ?DeviceClass $class = null): string
    {
        return DB::transaction(static function () use ($name, $by, $class): string {
            $token = Str::random(40);
            $device = Device::query()->create([
                'name' => $name,
                'class' => $class,
                'token_expires_at' => Device::tokenEnds(),
                'token_hash' => hash('sha256', $token),
                'created_by' => $by->id,
            ]);
            event(new DeviceRegistered($device, $by));

            return $token;
        });
    }
}
