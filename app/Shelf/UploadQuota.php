<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Exceptions\ActionException;
use App\Models\User;
use Illuminate\Support\Facades\Cache;

/** How much one person may bring in on one day: a disk that is full stops everybody. */
final readonly class UploadQuota
{
    /** @throws ActionException where it would be more */
    public static function take(User $by, int $bytes): void
    {
        $mb = config('academy.upload_mb_a_day');
        $most = (is_int($mb) ? $mb : 0) * 1_048_576;
        $key = "uploads|$by->id|".now()->utc()->format('Ymd');
        Cache::add($key, 0, now()->addDays(2));
        // Counted first: several at once find no more room than one.
        if (Cache::increment($key, $bytes) > $most) {
            Cache::decrement($key, $bytes);
            throw ActionException::because('refusals.shelf.quota', ['gb' => (int) round($most / 1024 ** 3)]);
        }
    }
}
