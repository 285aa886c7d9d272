<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Motion\Handedness;
use Core\Trace\DeviceClass;

/**
 * Which column of a foreign file holds which channel, in which unit. Guessed from the header's words, corrected by a
 * person, and remembered for the next file with the same header.
 */
final readonly class ColumnMap
{
    /** Factor from a unit to the channel's own: s, N, N·m, mm or per cent. */
    public const UNITS = [
        's' => ['s' => 1.0, 'ms' => 0.001, 'µs' => 1e-6],
        'n' => ['N' => 1.0, 'kN' => 1000.0, 'kgf' => 9.80665],
        'nm' => ['N·m' => 1.0, 'N·mm' => 0.001],
        'mm' => ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0],
        'pct' => ['%' => 1.0, 'fraction' => 100.0],
    ];

    /**
     * @param  array<string, array{column: string, unit: string}>  $channels  by channel name; t_s is the time
     */
    public function __construct(public DeviceClass $device, public array $channels)
    {
    }

    /**
     * @param  list<string>  $header
     * @param  Handedness  $hand  whose left and right the file speaks of, if it does
     * @return self|null null where no device class can be recognised
     */
    public static function guess(array $header, Handedness $hand): ?self
    {
        $found = [];
        foreach ($header as $column) {
            $channel = self::channel($column, $hand);
            if ($channel !== null && ! isset($found[$channel])) {
                $found[$channel] = ['column' => $column, 'unit' => self::unit($column, $channel)];
            }
        }
        $best = null;
        foreach ([DeviceClass::DualPlate, DeviceClass::Mat, DeviceClass::Plate] as $device) {
            $has = (float) count(array_intersect($device->channels(), array_keys($found))) / count($device->channels());
            if ($has >= 0.5 && ($best === null || $has > $best[1])) {
                $best = [$device, $has];
            }
        }
        if ($best === null) {
            return null;
        }
        $wanted = ['t_s', ...$best[0]->channels(), ...$best[0]->optionalChannels()];

        return new self($best[0], array_intersect_key($found, array_flip($wanted)));
    }

    /** @return list<string> channels the device needs that no column was found for */
    public function missing(): array
    {
        return array_values(array_diff(['t_s', ...$this->device->channels()], array_keys($this->channels)));
    }

    /** The kind of unit a channel is in: a key of UNITS. */
    public static function kind(string $channel): string
    {
        return match (true) {
            $channel === 't_s' => 's',
            str_ends_with($channel, '_nm') => 'nm',
            str_ends_with($channel, '_n') => 'n',
            str_ends_with($channel, '_mm') => 'mm',
            default => 'pct',
        };
    }

    public function factor(string $channel): float
    {
        return self::UNITS[self::kind($channel)][$this->channels[$channel]['unit'] ?? ''] ?? 1.0;
    }

    /** Whether it says no more than the published format does by itself. */
    public function isPlain(): bool
    {
        foreach ($this->channels as $channel => $c) {
            if ($c['column'] !== $channel || $this->factor($channel) !== 1.0) {
                return false;
            }
        }

        return true;
    }

    private static function channel(string $column, Handedness $hand): ?string
    {
        $words = self::words($column);
        if ($words === []) {
            return null;
        }
        if (array_intersect($words, ['t', 'time', 'timestamp']) !== []) {
            return 't_s';
        }
        $side = match (true) {
            in_array('lead', $words, true) => 'lead_',
            in_array('trail', $words, true) => 'trail_',
            array_intersect($words, ['left', 'l']) !== [] => $hand->leadSide() === 'left' ? 'lead_' : 'trail_',
            array_intersect($words, ['right', 'r']) !== [] => $hand->leadSide() === 'right' ? 'lead_' : 'trail_',
            default => '',
        };
        $joined = implode('', array_diff($words, ['lead', 'trail', 'left', 'right', 'l', 'r']));
        $kind = match (true) {
            preg_match('/^(cop|copx|centreofpressure|centerofpressure)?x?(cop)?x/', $joined) === 1 &&
                str_contains($joined, 'cop') &&
                str_contains($joined, 'x') => 'copx_mm',
            str_contains($joined, 'cop') && str_contains($joined, 'y') => 'copy_mm',
            str_starts_with($joined, 'fx') || str_starts_with($joined, 'forcex') => 'fx_n',
            str_starts_with($joined, 'fy') || str_starts_with($joined, 'forcey') => 'fy_n',
            str_starts_with($joined, 'fz')
                || str_starts_with($joined, 'forcez')
                || str_starts_with($joined, 'vertical') => 'fz_n',
            str_starts_with($joined, 'mz') ||
                str_starts_with($joined, 'tz') ||
                str_starts_with($joined, 'freemoment') ||
                str_starts_with($joined, 'torque') => 'mz_nm',
            str_contains($joined, 'toe') => 'toe_pct',
            str_contains($joined, 'pct') ||
                str_contains($joined, 'percent') ||
                str_contains($joined, 'share') ||
                str_contains($column, '%') => 'pct',
            default => null,
        };

        return $kind === null || ($side === '' && in_array($kind, ['pct', 'toe_pct'], true)) ? null : $side.$kind;
    }

    private static function unit(string $column, string $channel): string
    {
        $words = self::words($column);
        $unit = static fn (string $u): bool => in_array($u, $words, true);

        return match (self::kind($channel)) {
            's' => $unit('ms') ? 'ms' : ($unit('us') ? 'µs' : 's'),
            'n' => $unit('kn') ? 'kN' : ($unit('kg') || $unit('kgf') ? 'kgf' : 'N'),
            'nm' => $unit('nmm') ? 'N·mm' : 'N·m',
            'mm' => $unit('m') ? 'm' : ($unit('cm') ? 'cm' : 'mm'),
            default => $unit('fraction') ? 'fraction' : '%',
        };
    }

    /** @return list<string> the header's words in small letters; "LeftFz" gives left, fz */
    private static function words(string $column): array
    {
        $spaced = (string) preg_replace('/(?<=[a-z]{2})(?=[A-Z])/', ' ', $column);

        return array_values(
            array_filter(
                explode(' ', (string) preg_replace('/[^a-z0-9]+/', ' ', strtolower($spaced))),
                static fn (string $w): bool => $w !== '',
            ),
        );
    }

    /** @return array{device: string, channels: array<string, array{column: string, unit: string}>} */
    public function toArray(): array
    {
        return ['device' => $this->device->value, 'channels' => $this->channels];
    }
}
