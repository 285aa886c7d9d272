<?php

declare(strict_types=1);

namespace App\Shelf\Events;

use App\Audit\Audited;
use App\Audit\Entry;
use App\Models\Recording;
use App\Models\User;
use Core\Motion\ClockMatch;

/** The body points were brought to the clock of the trace. */
final readonly class PointsClockSet implements Audited
{
    public function __construct(
        public Recording $recording,
        public ClockMatch $match,
        public float $driftPpm,
        public User $by,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry($this->by, 'clock', "recording {$this->recording->public_id}", [
            'by' => $this->match->by,
            'offset_ms' => round(1000 * $this->match->clock->offsetS, 2),
            'drift_ppm' => round($this->driftPpm, 1),
        ]);
    }
}
