<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;

/** A file that cannot be read: one sentence with the file, and the line and column where there is one. */
final class FormatException extends CoreException
{
    public static function at(string $file, int $line, string $column, string $what): self
    {
        return new self(sprintf('%s, line %d, column %s: %s', $file, $line, $column, $what));
    }

    public static function in(string $file, string $what): self
    {
        return new self(sprintf('%s: %s', $file, $what));
    }

    /** What somebody wrote, short enough to be repeated to them. */
    public static function short(string $text): string
    {
        return mb_strlen($text) > 40 ? mb_substr($text, 0, 40).'…' : $text;
    }
}
