<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Station;
use Core\Remark\Remark;
use Core\Trace\Signal;

/**
 * One measured value with its limits. Uncertainty is the half-width of a 95 % interval in the value's unit.
 * A censored value is a bound: 'below' says the true value lies below it, 'above' above it.
 */
final readonly class Measured
{
    /**
     * For its codec; what is measured is made by the named constructors.
     *
     * @param  float|string|list<string>|null  $value
     * @param  'below'|'above'|null  $censored
     * @param  list<string>  $stations  codes of the stations the value hangs on
     * @param  array{float, float}|null  $window  the span of time it was made from, s
     * @param  bool  $derived  by stance geometry, not by the instrument itself
     * @param  Remark|null  $reason  why there is no value, or what a bound is known of
     * @param  Remark|null  $proxy  what stands in for the quantity where it is only had indirectly
     * @param  array{value: float, unit: string}|null  $also  the same value in another unit
     * @param  string|null  $near  the station nearest to a time
     * @param  list<Signal>|null  $signals  what it was made from, where that differs from device to device
     * @param  list<float>|null  $moments  the only times within the window that matter, for a difference of two values
     * @param  Remark|null  $widened  why the uncertainty is larger than the device's own
     */
    public function __construct(
        public string $unit,
        public float|string|array|null $value,
        public ?float $uncertainty,
        public ?Remark $reason,
        public ?string $censored = null,
        public array $stations = [],
        public bool $derived = false,
        public ?array $window = null,
        public ?Remark $proxy = null,
        public ?array $also = null,
        public ?string $near = null,
        public ?Remark $widened = null,
        public ?array $signals = null,
        public ?array $moments = null,
    ) {
    }

    /** Why there is no value, or what a bound is known of: each of the two has its reason. */
    public function why(): Remark
    {
        return $this->reason ?? throw new \LogicException('Neither a value nor a reason.');
    }

    /** @param  list<string>  $stations */
    public static function value(
        string $unit,
        float $value,
        float $uncertainty,
        array $stations = [],
        bool $derived = false,
    ): self {
        return new self($unit, $value, $uncertainty, null, null, $stations, $derived);
    }

    /** @param  list<string>  $stations */
    public static function word(string $unit, string $value, array $stations = []): self
    {
        return new self($unit, $value, null, null, null, $stations);
    }

    /**
     * @param  list<string>  $value
     * @param  list<string>  $stations
     */
    public static function ranking(string $unit, array $value, array $stations = []): self
    {
        return new self($unit, $value, null, null, null, $stations);
    }

    /**
     * @param  'below'|'above'  $side
     * @param  list<string>  $stations
     */
    public static function censored(
        string $unit,
        string $side,
        float $bound,
        float $uncertainty,
        Bound $what,
        array $stations = [],
    ): self {
        return new self($unit, $bound, $uncertainty, Remark::of($what), $side, $stations);
    }

    public static function none(string $unit, Remark $reason): self
    {
        return new self($unit, null, null, $reason);
    }

    public function within(float $from, float $to): self
    {
        return $this->with(['window' => [min($from, $to), max($from, $to)]]);
    }

    /** For a value made from single moments: what happens between them does not touch it. */
    public function between(float $one, float $other): self
    {
        return $this->within($one, $other)->with(['moments' => [$one, $other]]);
    }

    public function from(Signal ...$signals): self
    {
        return $this->with(['signals' => array_values($signals)]);
    }

    public function indirectly(?Proxy $proxy): self
    {
        return $proxy === null ? $this : $this->with(['proxy' => Remark::of($proxy)]);
    }

    public function also(float $value, string $unit): self
    {
        return $this->with(['also' => ['value' => $value, 'unit' => $unit]]);
    }

    public function near(?Station $station): self
    {
        return $this->with(['near' => $station?->value]);
    }

    /** The same with an uncertainty so many times as large: what its kind is known to be short of. */
    public function times(float $factor): self
    {
        return $this->uncertainty === null ? $this : $this->with(['uncertainty' => $factor * $this->uncertainty]);
    }

    /** The same with one uncertainty more, a half-width in its own unit. */
    public function besides(float $halfWidth): self
    {
        return $this->uncertainty === null || $halfWidth <= 0.0
            ? $this
            : $this->with(['uncertainty' => hypot($this->uncertainty, $halfWidth)]);
    }

    /** The same with its uncertainty multiplied. A value without one stays as it is. */
    public function widened(float $times, Remark $why): self
    {
        return $this->uncertainty === null
            ? $this
            : $this->with(['uncertainty' => $times * $this->uncertainty, 'widened' => $why]);
    }

    public function number(): ?float
    {
        return is_float($this->value) ? $this->value : null;
    }

    /** @param  array<string, mixed>  $changes by property */
    private function with(array $changes): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$changes]);
    }
}
