<?php

declare(strict_types=1);

namespace App\Capture\Actions;

use App\Capture\Events\TokenRenewed;
use App\Models\Device;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Gives a device another token, shown once, in place of the one it has. */
final readonly class RenewToken
{
    /**
     * Minutes for which the token before still holds where a device renews its own: an answer may be lost on its way.
     */
    private const OVERLAP = 60;

    /** @return string the token */
    public function __invoke(Device $device, ?User $by): string
    {
        return DB::transaction(static function () use ($device, $by): string {
            $device = Device::query()->lockForUpdate()->findOrFail($device->id);
            $token = Str::random(40);
            $device->update([
                // Whoever takes a token away by giving another wants the one before gone.
                'previous_hash' => $by === null ? $device->token_hash : null,
                'previous_until' => $by === null ? now()->addMinutes(self::OVERLAP) : null,
                'token_hash' => hash('sha256', $token),
                'token_expires_at' => Device::tokenEnds(),
            ]);
            event(new TokenRenewed($device, $by));

            return $token;
        });
    }
}
