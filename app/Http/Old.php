<?php

declare(strict_types=1);

namespace App\Http;

/** What was filled in before, for a field to show again. What was sent in place of a text shows nothing. */
final class Old
{
    public static function text(string $name, mixed $else = null): string
    {
        $value = old($name, is_scalar($else) ? (string) $else : null);

        return is_scalar($value) ? (string) $value : '';
    }
}
