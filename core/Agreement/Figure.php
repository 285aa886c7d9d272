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

    /** A figure that is not finite is undefined; of one whose error is not, only the estimate is told. */
    public static function of(float $estimate, ?float $se, ?float $low, ?float $high, string $method): self
    {
        if (! is_finite($estimate)) {
            return self::undefined('the arithmetic gives no finite number here');
        }
        foreach ([$se, $low, $high] as $part) {
            if ($part !== null && ! is_finite($part)) {
                return new self($estimate, null, null, null, 'no finite interval', null);
            }
        }

        return new self($estimate, $se, $low, $high, $method, null);
    }

    public static function undefined(string $reason): self
    {
        return new self(null, null, null, null, '', $reason);
    }

    /** Estimate ± quantile·se, clipped to [floor, 1]. */
    public static function around(float $estimate, float $se, float $quantile, string $method, float $floor = -1.0, float $ceiling = 1.0): self
    {
        return self::of($estimate, $se, max($floor, $estimate - $quantile * $se), min($ceiling, $estimate + $quantile * $se), $method);
    }

    public function within(float $low, float $high, string $method): self
    {
        return $this->estimate === null ? $this : self::of($this->estimate, $this->se, $low, $high, $method);
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
