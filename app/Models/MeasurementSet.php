<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $core_version
 * @property string $inputs_checksum
 * @property array<string, array<string, mixed>> $measurements
 * @property array<string, array{observability: string, verdict: string, margin: ?float, sentence: string, sure: bool}> $faults
 */
final class MeasurementSet extends Model
{
    protected $fillable = ['recording_id', 'core_version', 'inputs_checksum', 'measurements', 'faults'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['measurements' => 'array', 'faults' => 'array'];
    }
}
