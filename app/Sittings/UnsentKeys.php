<?php

declare(strict_types=1);

namespace App\Sittings;

/** With what a browser seals the calls of a person that wait in it: made of the application's key, the same every time. */
final readonly class UnsentKeys
{
    /** @return list<string> in base64, 32 bytes each: that of the application's key now, then those of its keys before */
    public static function of(int $user): array
    {
        $before = config('app.previous_keys');

        return array_map(
            static fn (mixed $key): string => base64_encode(
                hash_hmac('sha256', "unsent|$user", is_string($key) ? $key : '', true),
            ),
            [config('app.key'), ...is_array($before) ? array_values($before) : []],
        );
    }
}
