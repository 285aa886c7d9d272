<?php

declare(strict_types=1);

namespace Core\Format\Json;

use Core\Codebook\Codebook;
use Core\Codebook\SwingReport;
use Core\CoreException;
use Core\Measurement\QualityNote;
use Core\Motion\StationTime;
use Core\Remark\InWords;
use Core\Remark\Remark;

/** Everything that is said of one swing, as trace:measure prints it: docs/schemas/measure.schema.json. */
final class SwingJson
{
    /**
     * @return array<string, mixed>
     *
     * @throws CoreException
     */
    public static function publish(SwingReport $report, Codebook $codebook, InWords $words): array
    {
        $stations = [];
        foreach ($report->evidence->stations->all() as $code => $time) {
            $stations[$code] = self::station($time, $report->doubts[$code] ?? $report->doubts[''] ?? null, $words);
        }
        $faults = [];
        foreach ($report->faults($codebook) as $key => $verdict) {
            $faults[$key] = VerdictJson::publish($verdict, $codebook->fault($key)->name, $words);
        }

        return [
            'device' => $report->evidence->trace?->device->value,
            'rate_hz' => $report->evidence->trace?->rateHz,
            // Only where somebody has checked the very device.
            ...$report->evidence->trace?->stated === null
                ? []
                : ['constant_errors' => $report->evidence->trace->stated->toArray()],
            'lens' => $codebook->lens->key,
            'codebook_version' => $codebook->version,
            'stations' => (object) $stations,
            'measurements' => MeasuredJson::publish($report->assessment->measurements, $words),
            'quality' => array_map(
                static fn (QualityNote $n): array => QualityJson::publish($n, $words),
                $report->assessment->quality(),
            ),
            'faults' => $faults,
        ];
    }

    /** @return array<string, mixed> */
    private static function station(StationTime $time, ?Remark $doubt, InWords $words): array
    {
        return [
            't_s' => round($time->t, 5),
            'uncertainty_s' => round($time->uncertainty, 5),
            'source' => $time->source->value,
        ] + ($doubt === null ? [] : ['doubt' => $words->say($doubt), 'doubt_code' => RemarkJson::write($doubt)]);
    }
}
