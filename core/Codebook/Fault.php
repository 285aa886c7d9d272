<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measurements;
use Core\Motion\Station;

/** One fault of the catalogue: what it is, how it is told, and what decides it. */
final readonly class Fault
{
    /**
     * @param  list<array{needs: list<string>, sight: Sight, proxy?: string}>  $sights  the first whose needs are all met says how well it is seen
     * @param  list<string>  $confusedWith
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $lookFor,
        public string $inTheTrace,
        public Station $station,
        public Rule $supported,
        public Rule $contradicted,
        public array $sights,
        public array $confusedWith,
        public string $counterExample,
        public ?string $disagreement = null,
    ) {
    }

    public function sight(Shown $shown): Sight
    {
        return $this->sightEntry($shown)['sight'] ?? Sight::NotObservable;
    }

    /** What stands in for the fault itself where it is seen only indirectly. */
    public function proxy(Shown $shown): ?string
    {
        return $this->sightEntry($shown)['proxy'] ?? null;
    }

    public function judge(Measurements $m): Judgement
    {
        $yes = $this->supported->evaluate($m);
        $no = $this->contradicted->evaluate($m);

        return match (true) {
            $yes === Truth::Yes => new Judgement(Verdict::Supported, $this->supported->margin($m), ucfirst($this->name).' is supported: '.$this->supported->words($m).'.'),
            $no === Truth::Yes => new Judgement(Verdict::Contradicted, $this->contradicted->margin($m), ucfirst($this->name).' is contradicted: '.$this->contradicted->words($m).'.'),
            $yes === Truth::Unknown || $no === Truth::Unknown => new Judgement(Verdict::NotMeasurable, null, ucfirst($this->name).' cannot be decided here: '.$this->supported->words($m).'.'),
            default => new Judgement(Verdict::Borderline, $this->supported->margin($m), ucfirst($this->name).' lies in the margin: '.$this->supported->words($m).'; contradicted only when '.$this->contradicted->words().'.'),
        };
    }

    /** @return array{needs: list<string>, sight: Sight, proxy?: string}|null */
    private function sightEntry(Shown $shown): ?array
    {
        $kinds = $shown->kinds();
        foreach ($this->sights as $entry) {
            if (array_diff($entry['needs'], $kinds) === []) {
                return $entry;
            }
        }

        return null;
    }
}
