<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Motion\StationTime;

/** Everything that is said of one swing: stations, measures, quality, and each fault's verdict. */
final readonly class SwingReport
{
    public Assessment $assessment;

    private Shown $held;

    /** @param  array<string, string>  $doubts about stations, by code */
    public function __construct(private Evidence $evidence, private array $doubts = [])
    {
        $this->assessment = Assessment::of($evidence);
        $this->held = Shown::of($evidence, $this->assessment->findings);
    }

    /**
     * With the margin as it was found: what is decided from it later – a grade, a ruling – is not decided from a rounded one.
     *
     * @return array<string, array{observability: string, proxy: string|null, verdict: string, margin: float|null, sentence: string, deciding: list<array{measure: string, station: string|null, op: string, threshold: float|string}>}> by fault key
     */
    public function faults(Codebook $codebook): array
    {
        $out = [];
        foreach ($codebook->faults as $key => $fault) {
            $judgement = $codebook->judge($key, $this->assessment->measurements, $this->held);
            $out[$key] = [
                'observability' => $fault->observability($this->held)->value,
                'proxy' => $fault->proxy($this->held),
                'verdict' => $judgement->verdict->value,
                'margin' => $judgement->margin,
                'sentence' => $judgement->sentence,
                'deciding' => $judgement->deciding,
            ];
        }

        return $out;
    }

    /** @return array<string, mixed> as published by trace:measure */
    public function toArray(Codebook $codebook): array
    {
        $stations = [];
        foreach ($this->evidence->stations->all() as $code => $time) {
            $stations[$code] = self::station($time, $this->doubts[$code] ?? $this->doubts[''] ?? null);
        }

        return [
            'device' => $this->evidence->trace?->device->value,
            'rate_hz' => $this->evidence->trace?->rateHz,
            'lens' => $codebook->lens->key,
            'codebook_version' => $codebook->version,
            'stations' => (object) $stations,
            'measurements' => $this->assessment->measurements->toArray(),
            'quality' => $this->assessment->quality(),
            'faults' => array_map(static fn (array $f): array => [...$f, 'margin' => $f['margin'] === null ? null : round($f['margin'], 3)], $this->faults($codebook)),
        ];
    }

    /** @return array<string, float|string> */
    private static function station(StationTime $time, ?string $doubt): array
    {
        return ['t_s' => round($time->t, 5), 'uncertainty_s' => round($time->uncertainty, 5), 'source' => $time->source] + ($doubt === null ? [] : ['doubt' => $doubt]);
    }
}
