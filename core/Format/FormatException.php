<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;

/** A file that cannot be read: the file, the line and column where there is one, and why. */
final class FormatException extends CoreException
{
    protected const AREA = 'format';

    public static function at(
        string $file,
        int $line,
        string $column,
        string|CoreException $why,
        string|int ...$about,
    ): self {
        return self::because('at', file: $file, line: $line, column: $column, why: self::why($why, $about));
    }

    public static function in(string $file, string|CoreException $why, string|int ...$about): self
    {
        return self::because('in', file: $file, why: self::why($why, $about));
    }

    /** @param  array<array-key, string|int>  $about */
    private static function why(string|CoreException $why, array $about): CoreException
    {
        return $why instanceof CoreException ? $why : self::because($why, ...$about);
    }

    /** What somebody wrote, short enough to be repeated to them. */
    public static function short(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
