<?php

declare(strict_types=1);

namespace App\Academy;

use App\Models\AccountLink;
use App\Models\Enums\LinkPurpose;
use App\Models\User;
use Illuminate\Support\Str;

/** Makes the links that letters hold and finds what somebody who holds one may do. */
final readonly class Links
{
    /** Those of before for the same purpose end: only the newest letter counts. */
    public function make(LinkPurpose $purpose, ?User $user = null, ?string $email = null): string
    {
        AccountLink::query()
            ->where('purpose', $purpose)
            ->where('user_id', $user?->id)
            ->whereNull('used_at')
            ->delete();
        $token = Str::random(40);
        AccountLink::query()->create([
            'purpose' => $purpose,
            'token_hash' => self::hash($token),
            'user_id' => $user?->id,
            'email' => $email,
            'expires_at' => now()->addHours($purpose->hours()),
        ]);

        return $token;
    }

    public function find(string $token, LinkPurpose ...$for): ?AccountLink
    {
        $link = AccountLink::query()->with('user')->where('token_hash', self::hash($token))->first();

        return $link !== null && $link->isOpen() && in_array($link->purpose, $for, true) ? $link : null;
    }

    /** Takes it: whoever comes second with the same link finds it used. */
    public function use(AccountLink $link): bool
    {
        return AccountLink::query()
            ->whereKey($link->id)
            ->whereNull('used_at')
            ->update(['used_at' => now()]) === 1;
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
