<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;

/**
 * Where a request comes from, as far as limits count it: an address of version 4, or the network of 64 bits of one of
 * version 6 – of those whoever has one has 2^64 addresses, each of which would begin anew.
 */
final class Network
{
    /** Version 4 written as version 6. */
    private const MAPPED = '::ffff:';

    public static function of(Request $request): string
    {
        $address = strtolower((string) $request->ip());
        if (str_starts_with($address, self::MAPPED) && str_contains($address, '.')) {
            return substr($address, strlen(self::MAPPED));
        }

        return str_contains($address, ':') ? IpUtils::anonymize($address) : $address;
    }
}
