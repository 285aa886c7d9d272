<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\Remark\Remark;

/**
 * A coefficient with its interval, or null with the reason. Never NAN, never a made-up zero. A reason beside an
 * estimate is a caution.
 */
final readonly class Figure
{
    /**
     * For its codec; figures are made by the named constructors.
     *
     * @param  float|null  $clusters  as how many clusters of even size those count that were sampled; null where each
     *     held one unit
     * @param  NewReaders|null  $newReaders  how sure it is for readers like these; null where it speaks of single ones
     */
    public function __construct(
        public ?float $estimate,
        public ?float $se,
        public ?float $low,
        public ?float $high,
        public string $method,
        public ?Remark $reason,
        public ?float $clusters = null,
        public ?NewReaders $newReaders = null,
    ) {
    }

    /** A figure that is not finite is undefined; of one whose error is not, only the estimate is told. */
    public static function estimated(float $estimate, ?float $se, ?float $low, ?float $high, string $method): self
    {
        if (! is_finite($estimate)) {
            return self::undefined(Undefined::NotFinite);
        }
        foreach ([$se, $low, $high] as $part) {
            if ($part !== null && ! is_finite($part)) {
                return new self($estimate, null, null, null, 'no finite interval', null);
            }
        }

        return new self($estimate, $se, $low, $high, $method, null);
    }

    public static function undefined(Undefined|Remark $why): self
    {
        return new self(null, null, null, null, '', $why instanceof Remark ? $why : Remark::of($why));
    }

    /** Estimate ± quantile·se, clipped to [floor, 1]. */
    public static function around(
        float $estimate,
        float $se,
        float $quantile,
        string $method,
        float $floor = -1.0,
        float $ceiling = 1.0,
    ): self {
        return self::estimated(
            $estimate,
            $se,
            max($floor, $estimate - $quantile * $se),
            min($ceiling, $estimate + $quantile * $se),
            $method,
        );
    }

    public function within(float $low, float $high, string $method): self
    {
        if ($this->estimate === null) {
            return $this;
        }
        $plain = self::estimated($this->estimate, $this->se, $low, $high, $method);

        return new self(
            $plain->estimate,
            $plain->se,
            $plain->low,
            $plain->high,
            $plain->method,
            $this->reason,
            $this->clusters,
            $this->newReaders,
        );
    }

    /** The same, told to come from clusters of several units; few of them are said to be few. */
    public function over(Clusters $clusters): self
    {
        return $this->estimate === null ? $this : new self(
            $this->estimate,
            $this->se,
            $this->low,
            $this->high,
            $this->method,
            $clusters->areFew() ? Remark::of(Caution::FewClusters, clusters: round($clusters->effective, 1))
                : $this->reason,
            $clusters->effective,
            $this->newReaders,
        );
    }

    public function forReadersLike(NewReaders $readers): self
    {
        return $this->estimate === null ? $this : new self(
            $this->estimate,
            $this->se,
            $this->low,
            $this->high,
            $this->method,
            $this->reason,
            $this->clusters,
            $readers,
        );
    }

    /** Too thin to be read: fewer than ten cases, or an interval wider than 0.5. */
    public function isThin(int $cases): bool
    {
        return $this->estimate === null ||
            $cases < 10 ||
            $this->low === null ||
            $this->high === null ||
            $this->high - $this->low > 0.5;
    }
}
