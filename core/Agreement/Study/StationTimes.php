<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Motion\Station;
use Core\Remark\Remark;

/** Where people mark one station, in ms: each against the recording's own time, and how far any two are apart. */
final readonly class StationTimes
{
    /**
     * @param  list<RaterResult>  $people  figures bias, lower_limit, upper_limit
     * @param  int  $cases  marked by all of them
     * @param  float|null  $between  standard deviation of readers
     * @param  float|null  $within  standard deviation of the rest
     * @param  array<int, float>  $meanOf  half-width of 95 % of the mean mark, by number of readers
     */
    public function __construct(
        public Station $station,
        public array $people,
        public int $cases,
        public int $readers,
        public ?float $between,
        public ?float $within,
        public ?Remark $reason,
        public array $meanOf,
    ) {
    }
}
