<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measurements;
use Core\Measurement\Proxy;
use Core\Motion\Station;
use Core\Remark\Remark;

/** One fault of the catalogue under one lens: what it is, how it is told, and what decides it. */
final readonly class Fault
{
    /** A proxy is trusted with its uncertainty made this much wider. */
    private const PROXY_WIDENING = 2.0;

    /**
     * @param  list<ObservabilityEntry>  $observabilities  the first whose needs are all met says how well it is seen
     * @param  list<string>  $confusedWith
     * @param  list<string>  $misses  what the ball tends to do
     * @param  list<string>  $helps  keys of drills that help
     * @param  list<string>  $harms  keys of drills that make it worse
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $lookFor,
        public string $inTheTrace,
        public Station $station,
        public Rule $supported,
        public Rule $contradicted,
        public array $observabilities,
        public array $confusedWith,
        public string $counterExample,
        public ?string $disagreement = null,
        public array $misses = [],
        public ?string $cause = null,
        public ?string $consequence = null,
        public array $helps = [],
        public array $harms = [],
    ) {
    }

    public function observability(Shown $shown): Observability
    {
        return $this->entry($shown)?->observabilityAt($shown) ?? Observability::NotObservable;
    }

    /** What stands in for the fault itself where it is seen only indirectly. */
    public function proxy(Shown $shown): ?Remark
    {
        return $this->entry($shown)?->proxyAt($shown);
    }

    /**
     * What the measurements say. Where the fault's own rule cannot be decided and what is held shows it only
     * indirectly, the rule over the proxy decides, with every uncertainty doubled.
     */
    public function judge(Measurements $m, ?Shown $held = null): Judgement
    {
        $own = $this->decide($this->supported, $this->contradicted, $m, null);
        $entry = $held === null ? null : $this->entry($held);
        if ($own->verdict !== Verdict::NotMeasurable || $entry?->supported === null || $entry->contradicted === null) {
            return $own;
        }
        $byProxy = $this->decide($entry->supported, $entry->contradicted, $m->widened(self::PROXY_WIDENING, Remark::of(Proxy::Any)), $entry->stated());

        return $byProxy->verdict === Verdict::NotMeasurable ? $own : $byProxy;
    }

    private function decide(Rule $supported, Rule $contradicted, Measurements $m, ?Remark $proxy): Judgement
    {
        $yes = $supported->evaluate($m);
        $no = $contradicted->evaluate($m);
        $by = static fn (Ground $ground, Remark ...$with): Remark => $proxy === null ? Remark::of($ground, ...$with) : Remark::of($ground->byProxy(), ...$with, proxy: $proxy);

        return match (true) {
            $yes === Truth::Yes => new Judgement(Verdict::Supported, $supported->margin($m), $by(Ground::Supported, rule: $supported->remark($m)), $proxy, $supported->deciding($m)),
            $no === Truth::Yes => new Judgement(Verdict::Contradicted, $contradicted->margin($m), $by(Ground::Contradicted, rule: $contradicted->remark($m)), $proxy, $contradicted->deciding($m)),
            $yes === Truth::Unknown => new Judgement(Verdict::NotMeasurable, null, Remark::of(Ground::Undecided, rule: $supported->remark($m))),
            $no === Truth::Unknown => new Judgement(Verdict::NotMeasurable, null, Remark::of(Ground::Undecided, rule: $contradicted->remark($m))),
            default => new Judgement(Verdict::Borderline, $supported->margin($m), $by(Ground::InMargin, rule: $supported->remark($m), unless: $contradicted->remark()), $proxy, $supported->deciding($m)),
        };
    }

    private function entry(Shown $shown): ?ObservabilityEntry
    {
        $kinds = $shown->kinds();
        foreach ($this->observabilities as $entry) {
            if (array_diff($entry->needs, $kinds) === []) {
                return $entry;
            }
        }

        return null;
    }
}
