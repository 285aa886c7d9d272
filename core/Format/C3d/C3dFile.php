<?php

declare(strict_types=1);

namespace Core\Format\C3d;

use Core\Trace\Limits;

/** What a C3D file holds: points and analog channels through time, and its parameters by group and name. */
final readonly class C3dFile
{
    /**
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points  by label, in the file's unit of
     *     length; NAN = not seen
     * @param  array<int, list<float>>  $analog  by channel number from 1, scaled
     * @param  array<int, string>  $analogLabels  by channel number from 1
     * @param  array<string, array<string, array{dimensions: list<int>, values: list<int|float|string>}>>  $parameters
     * @param  int  $firstFrame  number of the first frame in the take it was cut from, whose clock events keep
     */
    public function __construct(
        public float $pointRateHz,
        public array $points,
        public float $analogRateHz,
        public array $analog,
        public array $analogLabels,
        public array $parameters,
        public int $firstFrame = 1,
    ) {
    }

    /** @return list<int|float|string> */
    public function parameter(string $group, string $name): array
    {
        return $this->parameters[$group][$name]['values'] ?? [];
    }

    public function number(string $group, string $name): ?float
    {
        $value = $this->parameter($group, $name)[0] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /**
     * What somebody marked: the EVENT group's labels with their times from the first frame, s.
     *
     * @return list<array{string, float}>
     */
    public function events(): array
    {
        $times = $this->parameter('EVENT', 'TIMES');
        $out = [];
        foreach ($this->parameter('EVENT', 'LABELS') as $i => $label) {
            [$minutes, $seconds] = [$times[2 * $i] ?? null, $times[2 * $i + 1] ?? null];
            if (is_numeric($minutes) && is_numeric($seconds)) {
                $at = 60.0 * (float) $minutes + (float) $seconds - ($this->firstFrame - 1) / $this->pointRateHz;
                if (is_finite($at)) {
                    $out[] = [(string) $label, $at];
                }
            }
        }

        return $out;
    }

    /** Of the body, kg, where the file states it; null where it does not, or states what no body weighs. */
    public function massKg(): ?float
    {
        foreach ([['PROCESSING', 'BODYMASS'], ['SUBJECTS', 'BODYMASS'], ['SUBJECTS', 'MASS']] as [$group, $name]) {
            $kg = $this->number($group, $name);
            if ($kg !== null && $kg >= Limits::GOLFER_KG[0] && $kg <= Limits::GOLFER_KG[1]) {
                return $kg;
            }
        }

        return null;
    }

    /** Millimetres in the file's unit of length; 1 where none is stated. */
    public function millimetres(): float
    {
        return match (strtolower(trim((string) ($this->parameter('POINT', 'UNITS')[0] ?? 'mm')))) {
            'm' => 1000.0,
            'cm' => 10.0,
            default => 1.0,
        };
    }
}
