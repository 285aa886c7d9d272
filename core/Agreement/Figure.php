<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * A coefficient with its interval, or null with the reason in words. Never NAN, never a made-up zero.
 */
final readonly class Figure
{
    private function __construct(
        public ?float $estimate,
        public ?float $se,
        public ?float $low,
        public ?float $high,
        public string $method,
        public ?string $reason,
    ) {
    }

    public static function of(float $estimate, ?float $se, ?float $low, ?float $high, string $method): self
    {
        return new self($estimate, $se, $low, $high, $method, null);
    }

    public static function undefined(string $reason): self
    {
        return new self(null, null, null, null, '', $reason);
    }

    /** Estimate ± quantile·se, clipped to [floor, 1]. */
    public static function around(float $estimate, float $se, float $quantile, string $method, float $floor = -1.0, float $ceiling = 1.0): self
    {
        return new self($estimate, $se, max($floor, $estimate - $quantile * $se), min($ceiling, $estimate + $quantile * $se), $method, null);
    }

    public function within(float $low, float $high, string $method): self
    {
        return new self($this->estimate, $this->se, $low, $high, $method, null);
    }

    /** Too thin to be read: fewer than ten cases, or an interval wider than 0.5. */
    public function isThin(int $cases): bool
    {
        return $this->estimate === null || $cases < 10 || $this->low === null || $this->high === null || $this->high - $this->low > 0.5;
    }

    /** @return array<string, float|string|null> */
    public function toArray(): array
    {
        return $this->estimate === null
            ? ['estimate' => null, 'reason' => $this->reason]
            : ['estimate' => $this->estimate, 'se' => $this->se, 'low' => $this->low, 'high' => $this->high, 'method' => $this->method];
    }
}
