<?php

declare(strict_types=1);

namespace Core\Format\C3d;

/** What a C3D file holds: points and analog channels through time, and its parameters by group and name. */
final readonly class C3dFile
{
    /**
     * @param  array<string, array{list<float>, list<float>, list<float>}>  $points  by label, in the file's unit of
     *     length; NAN = not seen
     * @param  array<int, list<float>>  $analog  by channel number from 1, scaled
     * @param  array<int, string>  $analogLabels  by channel number from 1
     * @param  array<string, array<string, array{dimensions: list<int>, values: list<int|float|string>}>>  $parameters
     */
    public function __construct(
        public float $pointRateHz,
        public array $points,
        public float $analogRateHz,
        public array $analog,
        public array $analogLabels,
        public array $parameters,
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
