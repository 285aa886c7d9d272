<?php

declare(strict_types=1);

namespace Core\Format;

/**
 * Rows of a comma-separated file that is safe to open in a spreadsheet: a text that would be taken for a formula
 * begins with an apostrophe, numbers are left as they are.
 */
final class CsvWriter
{
    /** @param  list<string|int|float|bool|null>  $cells */
    public static function row(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\n";
    }

    private static function cell(string|int|float|bool|null $v): string
    {
        if (is_float($v)) {
            return is_finite($v) ? json_encode($v, JSON_THROW_ON_ERROR) : '';
        }
        if (! is_string($v)) {
            return is_bool($v) ? ($v ? 'true' : 'false') : (string) $v;
        }
        // As numbers minus signs and exponents are harmless.
        if (preg_match('/^[\s]*[=+\-@\t\r|%]/u', $v) === 1 && ! is_numeric($v)) {
            $v = "'".$v;
        }

        return strpbrk($v, ",\"\r\n") !== false || trim($v) !== $v ? '"'.str_replace('"', '""', $v).'"' : $v;
    }
}
