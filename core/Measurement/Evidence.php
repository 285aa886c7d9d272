<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Motion;
use Core\Motion\StationTimes;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** All that is held about one swing. */
final readonly class Evidence
{
    public function __construct(
        public StationTimes $stations,
        public ?Trace $trace = null,
        public ?Motion $motion = null,
        public ?Stance $stance = null,
    ) {
    }
}
