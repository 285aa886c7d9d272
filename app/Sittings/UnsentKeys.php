<?php

declare(strict_types=1);

namespace App\Sittings;

use App\Audit\DerivedKeys;

/**
 * With what a browser seals the calls of a person that wait in it: made of the application's key, the same every time.
 */
final readonly class UnsentKeys
{
    /**
     * @return list<string> in base64, 32 bytes each: that of the application's key now, then those of its keys before
     */
    public static function of(int $user): array
    {
        return array_map(base64_encode(...), DerivedKeys::of("unsent|$user"));
    }
}
