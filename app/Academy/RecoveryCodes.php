<?php

declare(strict_types=1);

namespace App\Academy;

use Illuminate\Support\Str;

/**
 * Codes to come in with once each, when the device that makes the others is lost. They are told once, kept as hashes.
 */
final class RecoveryCodes
{
    private const MANY = 8;

    /** @return list<string> */
    public static function fresh(): array
    {
        $codes = [];
        for ($i = 0; $i < self::MANY; $i++) {
            $codes[] = Str::lower(Str::random(5).'-'.Str::random(5));
        }

        return $codes;
    }

    /**
     * @param  list<string>  $codes
     * @return list<string>
     */
    public static function hashes(array $codes): array
    {
        return array_map(self::hash(...), $codes);
    }

    /**
     * @param  list<string>  $hashes
     * @return list<string>|null what is left when it is one of them; null when it is none
     */
    public static function without(array $hashes, string $code): ?array
    {
        $left = array_values(array_diff($hashes, [self::hash(trim(Str::lower($code)))]));

        return count($left) < count($hashes) ? $left : null;
    }

    /** Fifty random bits are not guessed: no slow hash is needed. */
    private static function hash(string $code): string
    {
        return hash('sha256', $code);
    }
}
