<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use Core\Drawing\Gauge;
use Core\Measurement\Spread;
use Core\Number\Written;

/**
 * How a row of the measurement list is written and drawn.
 *
 * @phpstan-import-type MeasurementRow from MeasurementRows
 */
final class MeasurementPrint
{
    /** Beyond so much a value is written without decimals. */
    private const LARGE = 5.0;

    public static function value(float $v): string
    {
        return Written::fixed($v, abs($v) < self::LARGE ? 2 : 0);
    }

    public static function uncertainty(float $u): string
    {
        return Written::plusMinus($u);
    }

    /** Before a value of which only a bound is known. */
    public static function bound(?string $censored): string
    {
        return match ($censored) {
            'below' => '< ',
            'above' => '> ',
            default => '',
        };
    }

    /**
     * @param  MeasurementRow  $row
     * @return array<string, mixed>  the same with what is printed: written, plusMinus, notes, gauge
     */
    public static function row(array $row): array
    {
        $value = $row['value'];
        $number = is_float($value);

        return [
            ...$row,
            'written' => match (true) {
                $value === null => (string) __('bench.measure.none'),
                $number => self::bound($row['censored']).self::value($value),
                default => $value,
            },
            'plusMinus' => $number ? '± '.self::uncertainty((float) $row['uncertainty']) : '',
            'notes' => $number ? implode(' · ', self::notes($row)) : ($value === null ? $row['reason'] : ''),
            'gauge' => $number && $row['scale'] !== null
                ? Gauge::on(
                    $row['scale'],
                    $value,
                    (float) $row['uncertainty'],
                    $row['band'],
                    $row['spread'] === null ? null : self::twoDeviations($row['spread']),
                )
                : null,
        ];
    }

    /** @return array{float, float} */
    private static function twoDeviations(Spread $spread): array
    {
        return [$spread->mean - 2.0 * $spread->sd, $spread->mean + 2.0 * $spread->sd];
    }

    /**
     * @param  MeasurementRow  $row
     * @return list<string>
     */
    private static function notes(array $row): array
    {
        $said = static fn (string $line, ?string $of, string $as): ?string => $of === null || $of === ''
            ? null
            : (string) __("bench.measure.$line", [$as => $of]);
        $spread = $row['spread'];

        return array_values(array_filter([
            $row['unit'],
            $said('near', $row['near'], 'near'),
            $row['censored'] === null ? null : $row['reason'],
            $row['derived'] ? (string) __('bench.measure.derived') : null,
            $said('indirect', $row['indirect'], 'by'),
            $spread !== null
                ? (string) __('bench.measure.golfer', [
                    'mean' => self::value($spread->mean),
                    'sd' => self::value($spread->sd),
                    'n' => $spread->n,
                ])
                : null,
            $row['others'],
            $said('widened', $row['widened'], 'why'),
        ], static fn (?string $part): bool => $part !== null && $part !== ''));
    }
}
