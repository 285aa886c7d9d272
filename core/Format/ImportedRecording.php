<?php

declare(strict_types=1);

namespace Core\Format;

use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Remark\Remark;
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
}
