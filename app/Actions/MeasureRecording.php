<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\StationMark;
use Core\Codebook\Codebook;
use Core\Measurement\Meter;
use Core\Version;

/** Measures a recording and judges every fault of the codebook; keeps the result with what it was made from. */
final readonly class MeasureRecording
{
    public function __invoke(Recording $recording): MeasurementSet
    {
        $recording->load(['channels', 'stations', 'motion']);
        $inputs = self::inputs($recording);
        $kept = $recording->measured()->first();
        if ($kept !== null && $kept->core_version === Version::CURRENT && $kept->inputs_checksum === $inputs) {
            return $kept;
        }
        $measurements = Meter::read($recording->evidence());
        $held = $recording->held();
        $faults = [];
        foreach (Codebook::standard()->faults as $key => $fault) {
            $judgement = $fault->judge($measurements);
            $faults[$key] = [
                'observability' => $fault->sight($held)->value,
                'verdict' => $judgement->verdict->value,
                'margin' => $judgement->margin === null ? null : round($judgement->margin, 3),
                'sentence' => $judgement->sentence,
            ];
        }

        return MeasurementSet::query()->updateOrCreate(['recording_id' => $recording->id], [
            'core_version' => Version::CURRENT,
            'inputs_checksum' => $inputs,
            'measurements' => $measurements->toArray(),
            'faults' => $faults,
        ]);
    }

    private static function inputs(Recording $recording): string
    {
        $stations = $recording->stations->map(static fn (StationMark $m): array => [$m->code, $m->t_s, $m->uncertainty_s])->all();

        return hash('sha256', $recording->checksum.json_encode([$stations, $recording->stance, $recording->mass_kg, $recording->motion?->frames]));
    }
}
