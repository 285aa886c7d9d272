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

    /** A margin that does not clear. */
    private const LEANS_AT_MOST = 0.99;

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
    public function judge(Measurements $m, ?Shown $held = null, ?Scale $scale = null): Judgement
    {
        $scale ??= Scale::none();
        $own = $this->decide($this->supported, $this->contradicted, $m, null, $scale);
        $entry = $held === null ? null : $this->entry($held);
        if ($own->verdict !== Verdict::NotMeasurable) {
            return $own;
        }
        if ($entry?->supported === null) {
            return $entry?->sight === Observability::Indirect && $entry->proxy !== null
                ? new Judgement(Verdict::NotMeasurable, null, Remark::of(Ground::HintOnly, proxy: $entry->proxy))
                : $own;
        }
        $widened = $m->widened(self::PROXY_WIDENING, Remark::of(Proxy::Any));
        $byProxy = $this->decide($entry->supported, $entry->contradicted, $widened, $entry->stated(), $scale);

        // A proxy that may only speak for the fault, and does not, is still what was asked.
        return $byProxy->verdict === Verdict::NotMeasurable && $byProxy->why->code !== Ground::HintOnly->value
            ? $own
            : $byProxy;
    }

    /** @param  Rule|null  $contradicted  null: what is asked may speak for the fault, and never against it */
    private function decide(
        Rule $supported,
        ?Rule $contradicted,
        Measurements $m,
        ?Remark $proxy,
        Scale $scale,
    ): Judgement {
        $supported = $supported->scaled($scale) ?? $supported;
        $contradicted = $contradicted?->scaled($scale) ?? $contradicted;
        $yes = $supported->evaluate($m);
        $no = $contradicted?->evaluate($m) ?? Truth::No;
        $of = static fn (
            Verdict $verdict,
            Ground $ground,
            Rule $rule,
            ?Remark $unless = null,
        ): Judgement => new Judgement(
            $verdict,
            self::margin($rule, $m, $scale),
            self::said($ground, $proxy, array_filter(['rule' => $rule->remark($m), 'unless' => $unless])),
            $proxy,
            $rule->deciding($m),
        );
        $undecided = static fn (Rule $rule): Judgement => new Judgement(
            Verdict::NotMeasurable,
            null,
            Remark::of(Ground::Undecided, rule: $rule->remark($m)),
        );

        return match (true) {
            $yes === Truth::Yes => $of(
                Verdict::Supported,
                Judgement::clears(self::margin($supported, $m, $scale)) ? Ground::Supported : Ground::LeansSupported,
                $supported,
            ),
            $no === Truth::Yes && $contradicted !== null => $of(
                Verdict::Contradicted,
                Judgement::clears(self::margin($contradicted, $m, $scale))
                    ? Ground::Contradicted
                    : Ground::LeansContradicted,
                $contradicted,
            ),
            $yes === Truth::Unknown => $undecided($supported),
            $contradicted === null => new Judgement(
                Verdict::NotMeasurable,
                null,
                Remark::of(Ground::HintOnly, proxy: $proxy?->with['words'] ?? ''),
            ),
            $no === Truth::Unknown => $undecided($contradicted),
            default => $of(Verdict::Borderline, Ground::InMargin, $supported, $contradicted->remark()),
        };
    }

    /** What rests on a time of a swing whose tempo nobody saw leans at most. */
    private static function margin(Rule $rule, Measurements $m, Scale $scale): ?float
    {
        $margin = $rule->margin($m);
        $times = array_filter(
            $rule->deciding($m),
            static fn (Condition $c): bool => $c->measure->unit() === 'ms',
        );

        return $margin === null || $scale->isTempoKnown || $times === []
            ? $margin
            : min(self::LEANS_AT_MOST, $margin);
    }

    /** @param  array<string, Remark>  $with */
    private static function said(Ground $ground, ?Remark $proxy, array $with): Remark
    {
        return $proxy === null
            ? Remark::of($ground, ...$with)
            : Remark::of($ground->byProxy(), ...[...$with, 'proxy' => $proxy]);
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
