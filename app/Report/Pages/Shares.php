<?php

declare(strict_types=1);

namespace App\Report\Pages;

use Core\Agreement\Figure;
use Core\Agreement\Study\ReadersTogether;
use Core\Number\Written;

/** Figures as they stand within a sentence. */
final class Shares
{
    /** "62 % (54–70)" */
    public static function percent(Figure $f): string
    {
        return self::with($f, 100.0, 0, ' %');
    }

    /** "0.46 (0.37 to 0.55)" */
    public static function fixed(Figure $f): string
    {
        return self::with($f, 1.0, 2, '');
    }

    /** An interval by itself: "54–70 %", "0.37 to 0.55". */
    public static function range(float $low, ?float $high, bool $percent): string
    {
        [$scale, $digits, $to, $unit] = $percent ? [100.0, 0, '–', ' %'] : [1.0, 2, (string) __('figures.to'), ''];

        return Written::fixed($scale * $low, $digits).$to.Written::fixed($scale * ($high ?? 1.0), $digits).$unit;
    }

    /**
     * @return array<string, string> the middle one under that name, the outermost as "-low" and "-high", the middle
     *     half as "-lower", "-upper"
     */
    public static function together(string $name, ReadersTogether $of): array
    {
        $percent = static fn (float $v): string => Written::fixed(100.0 * $v, 0);

        return [
            $name => $percent($of->median),
            "$name-low" => $percent($of->low),
            "$name-high" => $percent($of->high),
            "$name-lower" => $percent($of->lower),
            "$name-upper" => $percent($of->upper),
        ];
    }

    private static function with(Figure $f, float $scale, int $digits, string $unit): string
    {
        $says = Written::fixed($scale * ($f->estimate ?? 0.0), $digits).$unit;

        return $f->low === null || $f->high === null ? $says : (string) __('report.between', [
            'value' => $says,
            'low' => Written::fixed($scale * $f->low, $digits),
            'high' => Written::fixed($scale * $f->high, $digits).$unit,
        ]);
    }
}
