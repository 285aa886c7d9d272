<?php

declare(strict_types=1);

namespace Core\Format;

use Core\CoreException;
use Core\Motion\Motion;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Repair;
use Core\Trace\Trace;

/** What a file of any format holds of one swing, with what was assumed on the way. */
final readonly class ImportedRecording
{
    /**
     * @param  list<Remark>  $notes  what was inferred
     */
    public function __construct(
        public Trace $trace,
        public Views $views,
        public ?StationTimes $stations,
        public SideCar $facts,
        public array $notes = [],
        public SwingFacts $swing = new SwingFacts(),
    ) {
    }

    /** @throws CoreException */
    public function repaired(Repair ...$repairs): self
    {
        $trace = array_reduce($repairs, static fn (Trace $t, Repair $r): Trace => $r->applyTo($t), $this->trace);

        return new self($trace, $this->views, $this->stations, $this->facts, $this->notes, $this->swing);
    }

    /**
     * What lies between two times, s, on the clocks as they are.
     *
     * @throws CoreException where nothing does
     */
    public function between(float $from, float $to): self
    {
        $stations = array_filter(
            $this->stations?->all() ?? [],
            static fn (StationTime $s): bool => $s->t >= $from && $s->t <= $to,
        );

        return new self(
            $this->trace->between($from, $to),
            new Views(...array_map(
                static fn (Motion $m): Motion => $m->between($from, $to),
                array_values($this->views->motions),
            )),
            $stations === [] ? null : StationTimes::fromTimes($stations),
            $this->facts,
            $this->notes,
            $this->swing,
        );
    }
}
