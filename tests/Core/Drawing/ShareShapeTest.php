<?php

use Core\Drawing\ShareShape;
use Core\Trace\Series;

it('draws the share from the first moment to the last, and what is missing in the middle', function () {
    $share = new Series(100.0, array_map(static fn (int $i): float => (float) $i, range(0, 100)));
    $points = preg_split('/[ML]/', ShareShape::path($share, 0.0, 1.0), -1, PREG_SPLIT_NO_EMPTY);
    expect($points)
        ->toHaveCount(41)
        ->and($points[0])
        ->toBe('0 34.0')
        ->and($points[20])
        ->toBe('60 18.0')
        ->and($points[40])
        ->toBe('120 2.0')
        ->and(ShareShape::path(null, 0.0, 1.0))
        ->toStartWith('M0 18.0L3 18.0')
        ->and(ShareShape::path(new Series(100.0, array_fill(0, 100, NAN)), 0.0, 1.0))
        ->toBe(ShareShape::path(null, 0.0, 1.0))
        ->and(ShareShape::path(new Series(100.0, array_fill(0, 101, 140.0)), 0.0, 1.0))
        ->toStartWith('M0 2.0')
        ->and(strlen(ShareShape::path($share, 0.2, 0.2)))
        ->toBeLessThan(1000);
});
