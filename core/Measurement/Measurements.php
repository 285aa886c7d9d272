<?php

declare(strict_types=1);

namespace Core\Measurement;

/** Every measure's result for one swing; those taken at several stations by station code. */
final readonly class Measurements
{
    /** @param  array<string, Measured|array<string, Measured>>  $results by measure key */
    public function __construct(private array $results)
    {
    }

    /** @param  string|null  $station code, for a measure taken at several stations */
    public function get(Measure $measure, ?string $station = null): Measured
    {
        $found = $this->results[$measure->value] ?? null;
        if (is_array($found)) {
            $found = $found[$station ?? ''] ?? null;
        }

        return $found ?? Measured::none($measure->unit(), 'not measured here');
    }

    /** @return array<string, Measured|array<string, Measured>> */
    public function all(): array
    {
        return $this->results;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_map(static fn (Measured|array $m): array => $m instanceof Measured
            ? $m->toArray()
            : array_map(static fn (Measured $at): array => $at->toArray(), $m), $this->results);
    }
}
