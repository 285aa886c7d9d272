<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $core_version
 * @property string $inputs_checksum
 * @property array<string, array<string, mixed>> $measurements
 * @property string $codebook_version
 * @property array<string, array<string, array{observability: string, proxy: ?string, verdict: string, margin: ?float, sentence: string, deciding: list<array{measure: string, station: ?string, op: string, threshold: float|string}>}>> $faults by lens
 * @property list<array{kind: string, severity: string, sentence: string, effect: string, from_s: ?float, to_s: ?float, measurements: list<string>}> $quality
 */
final class MeasurementSet extends Model
{
    protected $fillable = ['recording_id', 'core_version', 'codebook_version', 'inputs_checksum', 'measurements', 'faults', 'quality'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['measurements' => 'array', 'faults' => 'array', 'quality' => 'array'];
    }
}
