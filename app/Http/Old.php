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

    /**
     * What of a list was ticked before.
     *
     * @return list<string>
     */
    public static function texts(string $name, mixed $else): array
    {
        // Nothing ticked sends nothing: that something was sent is told by the form's other fields.
        $value = old() === [] || old() === null ? $else : old($name, []);

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
    }

    public static function ticked(string $name, bool $else): bool
    {
        return old() === [] || old() === null ? $else : old($name) !== null;
    }
}
