<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measure;
use Core\Motion\Station;

/** Which way one measure goes where a drill works, so that a later series can be held against it. */
final readonly class ExpectedChange
{
    /**
     * @param  float|null  $value  what it comes nearer to, in the measure's unit; with Way::Toward only
     * @param  Station|null  $at  where a measure is taken at several stations
     */
    public function __construct(
        public Measure $measure,
        public Way $way,
        public ?float $value = null,
        public ?Station $at = null,
    ) {
    }

    /** @return array{way: string, value?: float, at?: string} */
    public function toArray(): array
    {
        return [
            'way' => $this->way->value,
            ...$this->value === null ? [] : ['value' => $this->value],
            ...$this->at === null ? [] : ['at' => $this->at->value],
        ];
    }

    /**
     * @param  array<mixed>  $of  as toArray() has it
     *
     * @throws CoreException where they do not belong together
     */
    public static function fromArray(string $measure, array $of): self
    {
        $way = is_string($of['way'] ?? null) ? Way::tryFrom($of['way']) : null;
        $at = is_string($of['at'] ?? null) ? Station::tryFrom($of['at']) : null;
        $key = Measure::tryFrom($measure);
        $value = $of['value'] ?? null;
        $value = is_int($value) || is_float($value) ? (float) $value : null;
        if ($key === null || $way === null || (isset($of['at']) && $at === null)
            || ($at !== null) !== $key->isByStation()
            || ($way === Way::Toward) !== ($value !== null) || (isset($of['value']) && $value === null)
            || ($value !== null && ! is_finite($value))) {
            throw CodebookException::because('drill-way', measure: $measure);
        }

        return new self($key, $way, $value, $at);
    }

    /** How far a value has come that way: the larger the better; in the measure's unit. */
    public function goodness(float $value): float
    {
        return match ($this->way) {
            Way::Larger => $value,
            Way::Smaller => -$value,
            Way::Toward => -abs($value - (float) $this->value),
        };
    }
}
