<?php

declare(strict_types=1);

namespace Core\Agreement;

/** What the values of ratings are: names, ranks, or numbers with or without a zero. */
enum Scale: string
{
    case Nominal = 'nominal';
    case Ordinal = 'ordinal';
    case Interval = 'interval';
    case Ratio = 'ratio';

    /** Names and ranks are counted by category; numbers are not. */
    public function isCategorical(): bool
    {
        return $this === self::Nominal || $this === self::Ordinal;
    }

    /** The code of why a value does not fit; null where it does. Empty values are missing and fit. */
    public function objection(string $value): ?string
    {
        if ($this === self::Nominal || $value === '') {
            return null;
        }
        $number = self::decimal($value);

        return match (true) {
            $number === null => 'not-decimal',
            $this === self::Ratio && $number < 0.0 => 'negative-ratio',
            default => null,
        };
    }

    /** A finite decimal number, or null. */
    public static function decimal(string $text): ?float
    {
        // is_numeric() lets through all that the pattern does, and white space around it; it is the faster.
        if (! is_numeric($text) || preg_match('/^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d{1,3})?$/D', $text) !== 1) {
            return null;
        }
        $v = (float) $text;

        return is_finite($v) ? $v + 0.0 : null;
    }

    /** The shortest text that reads back as the number. */
    public static function text(float $v): string
    {
        return json_encode($v === 0.0 ? 0 : $v, JSON_THROW_ON_ERROR);
    }
}
