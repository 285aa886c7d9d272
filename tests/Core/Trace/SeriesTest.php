<?php

use Core\CoreException;
use Core\Trace\Series;

function sampled(callable $f, float $rate = 100.0, float $seconds = 2.0, float $t0 = 0.0): Series
{
    return new Series(
        $rate,
        array_map(static fn (int $i): float => (float) $f($t0 + $i / $rate), range(0, (int) ($seconds * $rate))),
        $t0,
    );
}

it('reads between samples on a straight line', function () {
    $s = sampled(fn ($t) => 3 * $t + 1);
    expect($s->at(0.505))->toEqualWithDelta(2.515, 1e-12)
        ->and($s->at(2.0))->toEqualWithDelta(7.0, 1e-12)
        ->and($s->at(2.01))->toBeNull()
        ->and($s->at(-0.01))->toBeNull();
});

it('keeps its own start time', function () {
    $s = sampled(fn ($t) => $t, 50.0, 1.0, 10.0);
    expect($s->at(10.5))->toEqualWithDelta(10.5, 1e-12)->and($s->end())->toBe(11.0)->and($s->time(5))->toBe(10.1);
});

it('gives nothing beside a missing sample, and leaves it out of means and extremes', function () {
    $s = new Series(10.0, [1.0, 2.0, NAN, 4.0, 9.0]);
    expect($s->at(0.15))->toBeNull()
        ->and($s->at(0.1))->toBe(2.0)
        ->and($s->mean(0.0, 0.4))->toBe(4.0)
        ->and($s->highest(0.0, 0.4)->value)->toBe(9.0)
        ->and($s->highest(0.0, 0.4)->t)->toBe(0.4)
        ->and($s->lowest(0.0, 0.4)->value)->toBe(1.0)
        ->and($s->mean(0.19, 0.21))->toBeNull();
});

it('smooths without changing a quadratic, and differentiates one exactly', function (float $rate, float $halfWidth) {
    $s = sampled(fn ($t) => 5 - 3 * $t + 2 * $t * $t, $rate);
    $smooth = $s->smoothed($halfWidth);
    $slope = $s->derivative($halfWidth);
    foreach ([0.3, 1.0, 1.7] as $t) {
        expect($smooth->at($t))->toEqualWithDelta(5 - 3 * $t + 2 * $t * $t, 1e-9)
            ->and($slope->at($t))->toEqualWithDelta(-3 + 4 * $t, 1e-8);
    }
})->with([[100.0, 0.02], [100.0, 0.05], [1000.0, 0.02], [60.0, 0.05]]);

it('damps noise by the filter\'s own factor', function () {
    mt_srand(4);
    $s = new Series(1000.0, array_map(static fn () => mt_rand(-1000, 1000) / 1000, range(1, 20000)));
    $variance = static fn (array $v): float => array_sum(array_map(static fn ($x) => $x * $x, $v)) / count($v);
    $m = 20;
    $left = 3 * (3 * $m * $m + 3 * $m - 1) / ((2 * $m + 1) * (4 * $m * $m + 4 * $m - 3));
    expect($variance($s->smoothed(0.02)->values) / $variance($s->values))->toEqualWithDelta($left, 0.006);
});

it('finds a rise through a level only when it is held', function () {
    $values = array_fill(0, 100, 0.0);
    $values[20] = $values[21] = 80.0;
    for ($i = 50; $i < 100; $i++) {
        $values[$i] = 80.0;
    }
    $s = new Series(100.0, $values);
    expect($s->risesThrough(50.0, 0.0, 0.99, 0.03))->toEqualWithDelta(0.49 + 0.01 * 50 / 80, 1e-9)
        ->and($s->risesThrough(50.0, 0.0, 0.99, 0.005))->toEqualWithDelta(0.19 + 0.01 * 50 / 80, 1e-9)
        ->and($s->risesThrough(90.0, 0.0, 0.99, 0.03))->toBeNull()
        ->and($s->risesThrough(50.0, 0.7, 0.99, 0.03))->toBe(0.7);
});

it('refuses a rate that is not positive', function () {
    new Series(0.0, [1.0]);
})->throws(CoreException::class, 'trace.rate');
