<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Proxy;
use Core\Remark\Remark;

/** How well a fault is seen when certain kinds of evidence are there, and what stands in for it if only indirectly. */
final readonly class ObservabilityEntry
{
    /**
     * @param  list<string>  $needs  kinds of evidence, see Shown::KINDS
     * @param  float|null  $rateHz  samples a second below which it is seen only indirectly
     */
    public function __construct(
        public array $needs,
        public Observability $sight,
        public ?string $proxy = null,
        public ?Rule $supported = null,
        public ?Rule $contradicted = null,
        public ?float $rateHz = null,
    ) {
    }

    public function observabilityAt(Shown $shown): Observability
    {
        return $this->isTooSlow($shown) ? Observability::Indirect : $this->sight;
    }

    public function proxyAt(Shown $shown): ?Remark
    {
        return $this->isTooSlow($shown)
            ? Remark::of(Proxy::SlowTrace, rate_hz: $shown->rateHz ?? 0.0)
            : $this->stated();
    }

    /** The proxy in the codebook's own words. */
    public function stated(): ?Remark
    {
        return $this->proxy === null ? null : Remark::of(Proxy::Stated, words: $this->proxy);
    }

    private function isTooSlow(Shown $shown): bool
    {
        return $this->rateHz !== null && $shown->rateHz !== null && $shown->rateHz < $this->rateHz;
    }
}
