<?php

declare(strict_types=1);

namespace App\Words;

/** What somebody looks for, as a pattern of the database: its own signs stand for themselves. */
final class Like
{
    public static function holding(string $words): string
    {
        return '%'.addcslashes($words, '%_\\').'%';
    }
}
