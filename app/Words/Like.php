<?php

declare(strict_types=1);

namespace App\Words;

/** What somebody looks for, as a pattern of the database: its own signs stand for themselves. */
final class Like
{
    /** @return list<string> */
    public static function words(string $find): array
    {
        return array_values(array_filter(explode(' ', $find), static fn (string $word): bool => $word !== ''));
    }

    public static function holding(string $words): string
    {
        return '%'.addcslashes($words, '%_\\').'%';
    }
}
