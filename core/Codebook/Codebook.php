<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\CoreException;
use Core\Measurement\Measurements;
use Core\Motion\StationTimes;
use Core\Remark\Remark;

/** The academy's agreed faults under one lens, in the order in which they show in a swing. */
final readonly class Codebook
{
    /**
     * @param  array<string, Fault>  $faults by key
     * @param  Ground|null  $notJudged  why no fault is judged by these rules, for swings they do not apply to
     * @param  list<string>  $notOfPitches  keys of faults that a pitch does not show
     * @param  list<string>  $off  names of the faults that do not count under this lens
     * @param  array<string, Drill>|null  $drills  by key; those that shipped where null
     */
    public function __construct(
        public string $version,
        public Lens $lens,
        public array $faults,
        public ?Ground $notJudged = null,
        public ?ClubGroup $club = null,
        public ?SwingSize $size = null,
        private array $notOfPitches = [],
        public array $off = [],
        private ?array $drills = null,
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
        return $this->drills ?? StandardDrills::all();
    }

    /** @throws CoreException */
    public function judge(
        string $key,
        Measurements $measurements,
        ?Shown $held = null,
        ?Scale $scale = null,
    ): Judgement {
        $fault = $this->fault($key);

        if ($this->notJudged !== null) {
            return Judgement::refused($this->notJudged);
        }
        if ($this->size === SwingSize::Short && in_array($key, $this->notOfPitches, true)) {
            return Judgement::refused(Ground::PitchForce);
        }
        // What the evidence cannot show is never called absent, nor present.
        if ($held !== null && $fault->observability($held) === Observability::NotObservable) {
            return new Judgement(
                Verdict::NotMeasurable,
                null,
                Remark::of(Ground::NotSeen, evidence: $held->evidence()),
            );
        }

        return $fault->judge($measurements, $held, $scale);
    }

    /** How thresholds are scaled for a swing with these stations, with the club and of the size it is for. */
    public function scale(?StationTimes $stations): Scale
    {
        return Scale::of($stations, $this->club, $this->size);
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
