<?php

declare(strict_types=1);

namespace App\Audit;

/** Keys for one use each, made from the application's: none of them tells another, or that one. */
final readonly class DerivedKeys
{
    /** @return non-empty-list<string> 32 bytes each: of the application's key now, then of its keys before */
    public static function of(string $use): array
    {
        $before = config('app.previous_keys');

        return array_map(
            static fn (mixed $key): string => hash_hmac('sha256', $use, is_string($key) ? $key : '', true),
            [config('app.key'), ...is_array($before) ? array_values($before) : []],
        );
    }
}
