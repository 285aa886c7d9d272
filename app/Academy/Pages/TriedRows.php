<?php

declare(strict_types=1);

namespace App\Academy\Pages;

use App\Models\Academy;
use App\Models\LoginAttempt;

/** Log-ins as they were tried, a row each, for the person whose they are. */
final readonly class TriedRows
{
    /**
     * @param  list<LoginAttempt>  $attempts
     * @return list<array{at: string, from: string, with: string, what: string, failed: bool}>
     */
    public static function of(array $attempts): array
    {
        $zone = Academy::zone();

        return array_map(static fn (LoginAttempt $a): array => [
            'at' => $a->at->timezone($zone)->format('j M, H:i'),
            'from' => $a->ip,
            'with' => Browser::of($a->agent),
            'what' => (string) __("account.tried.$a->outcome"),
            'failed' => $a->outcome !== 'in',
        ], $attempts);
    }
}
