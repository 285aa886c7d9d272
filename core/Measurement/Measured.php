<?php

declare(strict_types=1);

namespace Core\Measurement;

/**
 * One measured value with its limits. Uncertainty is the half-width of a 95 % interval in the value's unit.
 * A censored value is a bound: 'below' says the true value lies below it, 'above' above it.
 */
final readonly class Measured
{
    /**
     * @param  'below'|'above'|null  $censored
     * @param  list<string>  $stations  codes of the stations the value hangs on
     */
    private function __construct(
        public string $unit,
        public float|string|null $value,
        public ?float $uncertainty,
        public ?string $reason,
        public ?string $censored = null,
        public array $stations = [],
        public bool $derived = false,
    ) {
    }

    /** @param  list<string>  $stations */
    public static function value(string $unit, float $value, float $uncertainty, array $stations = [], bool $derived = false): self
    {
        return new self($unit, $value, $uncertainty, null, null, $stations, $derived);
    }

    /** @param  list<string>  $stations */
    public static function word(string $unit, string $value, array $stations = []): self
    {
        return new self($unit, $value, null, null, null, $stations);
    }

    /**
     * @param  'below'|'above'  $side
     * @param  list<string>  $stations
     */
    public static function censored(string $unit, string $side, float $bound, float $uncertainty, string $words, array $stations = []): self
    {
        return new self($unit, $bound, $uncertainty, $words, $side, $stations);
    }

    public static function none(string $unit, string $reason): self
    {
        return new self($unit, null, null, $reason);
    }

    public function number(): ?float
    {
        return is_float($this->value) ? $this->value : null;
    }

    /** @return array<string, mixed> as published by trace:measure */
    public function toArray(): array
    {
        if ($this->value === null) {
            return ['value' => null, 'reason' => $this->reason];
        }
        $out = ['value' => is_float($this->value) ? round($this->value, 4) : $this->value, 'unit' => $this->unit, 'uncertainty' => $this->uncertainty === null ? null : round($this->uncertainty, 4)];
        if ($this->censored !== null) {
            $out['censored'] = $this->censored;
            $out['reason'] = $this->reason;
        }
        if ($this->derived) {
            $out['derived'] = true;
        }

        return $out;
    }
}
