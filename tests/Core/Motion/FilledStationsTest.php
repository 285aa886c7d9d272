<?php

use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;

function timesOf(array $seconds, StationSource $source = StationSource::File): StationTimes
{
    return StationTimes::fromSeconds($seconds, 0.01, $source);
}

it('fills stations that nobody gave, and leaves those that were given', function () {
    $given = timesOf(['TP' => 1.5, 'IM' => 1.8]);
    $found = timesOf(['AD' => 0.5, 'LB' => 1.1, 'TP' => 1.4, 'LD' => 1.65, 'IM' => 1.79], StationSource::Motion);
    $out = $given->filledFrom($found)->all();
    expect(array_map(static fn (StationTime $t): float => $t->t, $out))
        ->toBe(['AD' => 0.5, 'LB' => 1.1, 'TP' => 1.5, 'LD' => 1.65, 'IM' => 1.8])
        ->and($out['TP']->source)->toBe(StationSource::File)
        ->and($out['LD']->source)->toBe(StationSource::Motion);
});

it('keeps the order of a swing whatever another source thinks', function () {
    $given = timesOf(['TP' => 1.0, 'IM' => 1.3]);
    $found = timesOf(['AD' => 0.5, 'LB' => 1.1, 'TP' => 1.4, 'LD' => 1.5, 'ST' => 1.9], StationSource::Motion);
    expect(array_keys($given->filledFrom($found)->all()))->toBe(['AD', 'TP', 'IM', 'ST'])
        ->and(array_keys(timesOf([])->filledFrom($found)->all()))->toBe(['AD', 'LB', 'TP', 'LD', 'ST'])
        ->and(array_keys($given->filledFrom(timesOf([]))->all()))->toBe(['TP', 'IM']);
});
