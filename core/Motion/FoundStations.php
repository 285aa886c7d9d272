<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Remark\Remark;

/** Stations a program proposes, with those a person should look at and why. */
final readonly class FoundStations
{
    /** @param  array<string, Remark>  $doubts why, by station code; '' for the whole swing */
    public function __construct(public StationTimes $times, public array $doubts = [])
    {
    }

    public function isDoubtful(Station $station): bool
    {
        return isset($this->doubts[$station->value]) || isset($this->doubts['']);
    }
}
