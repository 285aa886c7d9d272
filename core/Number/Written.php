<?php

declare(strict_types=1);

namespace Core\Number;

/** How figures are written for people: with a true minus, never a negative nought, thousands apart. */
final class Written
{
    /** With so many decimals. */
    public static function fixed(float $v, int $digits): string
    {
        $text = number_format($v, $digits);

        return self::minus(self::isNought($text) ? ltrim($text, '-') : $text);
    }

    /** With its sign, whichever it is; nought has none. */
    public static function signed(float $v, int $digits): string
    {
        $text = self::fixed($v, $digits);

        return $v > 0.0 && ! self::isNought($text) ? "+$text" : $text;
    }

    /** As many decimals as its size bears: two below 2, one below 20, none above; noughts at the end left away. */
    public static function short(float $v): string
    {
        $text = str_replace(',', '', self::fixed($v, abs($v) < 2.0 ? 2 : (abs($v) < 20.0 ? 1 : 0)));

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /**
     * As somebody set it, where it has at most three decimals: 76.5 is not 77. What was worked out is written short.
     */
    public static function set(float $v): string
    {
        if (abs($v) >= 1e9 || abs($v * 1000.0 - round($v * 1000.0)) > 1e-6) {
            return self::short($v);
        }
        $text = str_replace(',', '', self::fixed($v, 3));

        return rtrim(rtrim($text, '0'), '.');
    }

    /** Half of an interval: two decimals below a tenth, one otherwise. */
    public static function plusMinus(float $u): string
    {
        return self::fixed($u, $u < 0.1 ? 2 : 1);
    }

    private static function isNought(string $text): bool
    {
        return strspn($text, '-0.,') === strlen($text);
    }

    private static function minus(string $text): string
    {
        return str_replace('-', '−', $text);
    }
}
