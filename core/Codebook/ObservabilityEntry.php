<?php

declare(strict_types=1);

namespace Core\Codebook;

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

    public function proxyAt(Shown $shown): ?string
    {
        return $this->isTooSlow($shown) ? sprintf('a timing at only %.0f samples a second', $shown->rateHz) : $this->proxy;
    }

    private function isTooSlow(Shown $shown): bool
    {
        return $this->rateHz !== null && $shown->rateHz !== null && $shown->rateHz < $this->rateHz;
    }
}
