<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\MeasurementSet;
use Core\Codebook\Lens;
use Core\Measurement\Measure;

/** The measurement list of the Bench: value, uncertainty, the lens's band and where the value lies on its scale. */
final class MeasurementRows
{
    /** The station shown of a measure taken at all of them. */
    private const SHOWN_AT = ['pelvis_sway' => 'LB', 'chest_sway' => 'LD'];

    /** @return list<array<string, mixed>> */
    public function of(MeasurementSet $set, Lens $lens): array
    {
        $rows = [];
        foreach (Measure::cases() as $measure) {
            $found = $set->measurements[$measure->value] ?? ['value' => null, 'reason' => 'not measured here'];
            $at = self::SHOWN_AT[$measure->value] ?? null;
            if ($at !== null && ! array_key_exists('value', $found)) {
                $found = $found[$at] ?? ['value' => null, 'reason' => 'not measured here'];
            }
            $band = $lens->bands[$measure->value.($at === null ? '' : '@'.$at)] ?? null;
            $value = $found['value'] ?? null;
            $rows[] = [
                'key' => $measure->value,
                'label' => $measure->label().($at === null ? '' : ' at '.$at),
                'unit' => $measure->unit(),
                'definition' => $measure->definition(),
                'value' => $value,
                'uncertainty' => $found['uncertainty'] ?? null,
                'reason' => $found['reason'] ?? null,
                'censored' => $found['censored'] ?? null,
                'derived' => (bool) ($found['derived'] ?? false),
                'band' => $band,
                'inside' => is_numeric($value) && $band !== null ? $value >= $band[0] && $value <= $band[1] : null,
                'scale' => self::scale($measure),
            ];
        }

        return $rows;
    }

    /** @return array{float, float}|null the ends of the small scale a value is drawn on */
    private static function scale(Measure $measure): ?array
    {
        return match ($measure) {
            Measure::CopStyle => null,
            Measure::TrailPeakAt => [0.0, 1.0],
            Measure::RecentreLead => [-260.0, 260.0],
            Measure::Rise => [60.0, 200.0],
            Measure::RiseAt => [-60.0, 160.0],
            Measure::PelvisSway, Measure::ChestSway => [-40.0, 40.0],
            Measure::FootSpin => [-10.0, 60.0],
            Measure::Tempo => [1.5, 5.0],
            Measure::Fallback, Measure::LateSurge => [-20.0, 60.0],
            default => [0.0, 100.0],
        };
    }
}
