<?php

declare(strict_types=1);

namespace App\Models;

use Core\Codebook\FaultVerdict;
use Core\Format\Json\MeasuredJson;
use Core\Format\Json\QualityJson;
use Core\Format\Json\VerdictJson;
use Core\Measurement\Measurements;
use Core\Measurement\QualityNote;

/**
 * What was measured of a recording, and what it says of each fault under each lens, as Core\Format\Json has it.
 *
 * @property string $core_version
 * @property string $inputs_checksum
 * @property string $codebook_version
 * @property int $format  MeasuredJson::VERSION of who wrote it
 * @property array<string, mixed> $measurements
 * @property array<string, array<string, mixed>> $faults by lens
 * @property list<mixed> $quality
 * @property ?list<string> $supported  the faults that they support under the standard lens; null as the shape is
 * @property ?array<string, mixed> $held  what was there to see, as Core\Format\Json\ShownJson has it; null as the shape
 *     is
 * @property ?string $shape  Core\Drawing\ShareShape of it; null where it was measured before shapes were kept
 */
final class MeasurementSet extends Row
{
    protected $fillable = [
        'recording_id',
        'core_version',
        'codebook_version',
        'inputs_checksum',
        'format',
        'measurements',
        'faults',
        'quality',
        'shape',
        'supported',
        'held',
    ];

    private ?Measurements $read = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return array_fill_keys(['measurements', 'faults', 'quality', 'supported', 'held'], 'array');
    }

    public function measured(): Measurements
    {
        return $this->read ??= MeasuredJson::read($this->measurements);
    }

    /** @return array<string, FaultVerdict> by fault */
    public function verdicts(string $lens): array
    {
        return array_map(VerdictJson::read(...), $this->faults[$lens] ?? []);
    }

    /** @return list<QualityNote> the gravest first */
    public function notes(): array
    {
        return array_map(QualityJson::read(...), $this->quality);
    }
}
