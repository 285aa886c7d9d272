<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measurements;
use Core\Remark\Remark;

/** The academy's agreed faults under one lens, in the order in which they show in a swing. */
final readonly class Codebook
{
    /**
     * @param  array<string, Fault>  $faults by key
     * @param  Ground|null  $notJudged  why no fault is judged by these rules, for swings they do not apply to
     */
    public function __construct(
        public string $version,
        public Lens $lens,
        public array $faults,
        public ?Ground $notJudged = null,
    ) {
    }

    /** @throws CoreException */
    public function fault(string $key): Fault
    {
        return $this->faults[$key] ?? throw CodebookException::because('no-fault', key: $key);
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_keys($this->faults);
    }

    /** @return array<string, Drill> by key */
    public function drills(): array
    {
        return StandardDrills::all();
    }

    /** @throws CoreException */
    public function judge(string $key, Measurements $measurements, ?Shown $held = null): Judgement
    {
        $fault = $this->fault($key);

        if ($this->notJudged !== null) {
            return Judgement::refused($this->notJudged);
        }
        // What the evidence cannot show is never called absent, nor present.
        if ($held !== null && $fault->observability($held) === Observability::NotObservable) {
            return new Judgement(
                Verdict::NotMeasurable,
                null,
                Remark::of(Ground::NotSeen, evidence: $held->evidence()),
            );
        }

        return $fault->judge($measurements, $held);
    }

    /**
     * The codebook as shipped, under a lens, for a full swing with any club.
     *
     * @throws CoreException
     */
    public static function standard(string $lens = StandardLenses::DEFAULT): self
    {
        return CodebookDocument::standard()->under($lens);
    }
}
