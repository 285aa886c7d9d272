<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Codebook\Codebooks;
use App\Models\MeasurementSet;
use App\Models\Recording;
use App\Models\StationMark;
use App\Shelf\AcademyNorms;
use Core\Codebook\FaultVerdict;
use Core\Codebook\Said;
use Core\Codebook\StandardLenses;
use Core\Codebook\SwingReport;
use Core\Drawing\ShareShape;
use Core\Format\Json\MeasuredJson;
use Core\Format\Json\QualityJson;
use Core\Format\Json\ShownJson;
use Core\Format\Json\StanceJson;
use Core\Format\Json\VerdictJson;
use Core\Motion\StationTime;
use Core\Trace\Trace;
use Core\Version;

/** Measures a recording and judges every fault under every lens; keeps the result with what it was made from. */
final readonly class MeasureRecording
{
    public function __construct(private Codebooks $codebooks, private AcademyNorms $norms)
    {
    }

    public function __invoke(Recording $recording): MeasurementSet
    {
        $document = $this->codebooks->document();
        $recording->loadMissing(['stations', 'views', 'measured']);
        $inputs = $this->inputs($recording);
        $kept = $recording->measured;
        if (
            $kept !== null &&
            $kept->core_version === Version::CURRENT &&
            $kept->format === MeasuredJson::VERSION &&
            $kept->inputs_checksum === $inputs &&
            $kept->codebook_version === $document->version() &&
            $kept->held !== null
        ) {
            return $kept;
        }
        $recording->loadMissing('channels');
        $report = new SwingReport($recording->evidence($this->norms->get()));
        $verdicts = [];
        foreach (array_keys($document->lenses()) as $lens) {
            $verdicts[$lens] = $report->faults($this->codebooks->forSwing($document, $lens, $recording));
        }
        $recording->unsetRelation('measured');

        return MeasurementSet::query()->updateOrCreate(['recording_id' => $recording->id], [
            'core_version' => Version::CURRENT,
            'codebook_version' => $document->version(),
            'inputs_checksum' => $inputs,
            'format' => MeasuredJson::VERSION,
            'measurements' => MeasuredJson::write($report->assessment->measurements),
            'faults' => array_map(
                static fn (array $of): array => array_map(VerdictJson::write(...), $of),
                $verdicts,
            ),
            'quality' => array_map(QualityJson::write(...), $report->assessment->quality()),
            'shape' => self::shape($recording, $report->evidence->trace),
            'supported' => self::supported($verdicts[StandardLenses::DEFAULT] ?? []),
            'held' => ShownJson::write($report->basis->held),
        ]);
    }

    /**
     * @param  array<string, FaultVerdict>  $verdicts
     * @return list<string> the faults that the measurements support
     */
    private static function supported(array $verdicts): array
    {
        return array_keys(array_filter(
            $verdicts,
            static fn (FaultVerdict $v): bool => $v->said() === Said::Supported,
        ));
    }

    /** From address to finish, or whole where they are not known. */
    private static function shape(Recording $recording, ?Trace $trace): string
    {
        $times = array_map(static fn (StationTime $s): float => $s->t, $recording->stationTimes()->all());
        $end = $recording->t0 + ($recording->samples - 1) / $recording->rate_hz;

        return ShareShape::path(
            $trace?->leadShare(),
            max($recording->t0, $times === [] ? $recording->t0 : min($times)),
            min($end, $times === [] ? $end : max($times)),
        );
    }

    /** All that the measures and verdicts of a recording depend on but core and codebook, which are kept beside it. */
    private function inputs(Recording $recording): string
    {
        $stations = $recording
            ->effectiveStations()
            ->map(static fn (StationMark $m): array => [$m->code, $m->t_s, $m->uncertainty_s])
            ->values()
            ->all();
        $hash = hash_init('sha256');
        hash_update(
            $hash,
            $recording->checksum.
                json_encode(
                    [
                        $stations,
                        StanceJson::orNull($recording->stance),
                        $recording->mass_kg,
                        $recording->club,
                        $recording->swing,
                        $recording->size,
                        $recording->points_offset_s,
                        $recording->points_drift_ppm,
                        ...$recording->repairs === [] ? [] : [$recording->repairs],
                        ...$recording->constant_errors === null ? [] : [$recording->constant_errors],
                        $this->norms->id(),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
        );
        foreach ($recording->views as $motion) {
            hash_update(
                $hash,
                json_encode(
                    [$motion->view, $motion->rate_hz, $motion->t0, $motion->frames, $motion->points],
                    JSON_THROW_ON_ERROR,
                ).$motion->packed(),
            );
        }

        return hash_final($hash);
    }
}
