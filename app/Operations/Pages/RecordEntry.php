<?php

declare(strict_types=1);

namespace App\Operations\Pages;

/** One thing that was done, in words. */
final readonly class RecordEntry
{
    /** @param  list<string>  $details  what else is known of it, a phrase each */
    public function __construct(
        public string $time,
        public string $who,
        public string $did,
        public string $on,
        public ?string $url,
        public array $details,
    ) {
    }
}
