<?php

declare(strict_types=1);

namespace App\Models\Casts;

/**
 * What a cell of a raw query's row holds, as what it is known to be. PostgreSQL's driver gives some numbers as texts.
 */
final class Cell
{
    public static function int(mixed $cell): int
    {
        return is_int($cell) ? $cell : (int) self::text($cell);
    }

    public static function float(mixed $cell): float
    {
        return is_float($cell) ? $cell : (float) self::text($cell);
    }

    public static function text(mixed $cell): string
    {
        return is_scalar($cell) || $cell === null
            ? (string) $cell
            : throw new \LogicException('a cell that is '.get_debug_type($cell));
    }
}
