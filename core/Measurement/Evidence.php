<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Motion;
use Core\Motion\StationTimes;
use Core\Motion\Views;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** All that is held about one swing. */
final readonly class Evidence
{
    public Views $views;

    /** @param  Norms|null  $norms the academy's own distributions, for what is judged against them */
    public function __construct(
        public StationTimes $stations,
        public ?Trace $trace = null,
        Motion|Views|null $motion = null,
        public ?Stance $stance = null,
        public ?Norms $norms = null,
    ) {
        $this->views = $motion instanceof Views ? $motion : new Views(...($motion === null ? [] : [$motion]));
    }
}
