<?php

use Core\Chance\Chance;
use Core\Measurement\Jitter;
use Core\Measurement\Moments;
use Core\Measurement\ReadOff;
use Core\Measurement\SmoothSignal;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Trace\Noise;
use Core\Trace\Series;

/** A bump of this width (s) and height on a level line, 500 a second, with white noise of this level. */
function bump(float $width, float $noise, string $seed): SmoothSignal
{
    $chance = new Chance("bump|$seed");
    $values = [];
    for ($i = 0; $i <= 1000; $i++) {
        $values[] = 30.0 * exp(-(($i / 500 - 1.0) / $width) ** 2) + $chance->normal(0.0, $noise);
    }

    return new SmoothSignal(
        new Series(500.0, $values),
        new Noise(500.0, $noise),
        0.0,
        0.014,
        0.020,
        new Jitter(StationTimes::fromSeconds(['AD' => 0.5, 'IM' => 1.5], 0.008, StationSource::File)),
        key: 'bump',
    );
}

it('takes off a peak what noise adds to it, and its ± holds the true height and time', function (
    float $width,
    float $noise,
) {
    $held = ['height' => 0, 'when' => 0];
    $sum = $plain = 0.0;
    for ($k = 0; $k < 100; $k++) {
        $s = bump($width, $noise, "$width|$noise|$k");
        $high = $s->read(static fn (Series $c, Moments $t): ?float => $c->peak($t->at('AD'), $t->at('IM'), 1)?->value);
        $when = $s->calmer()->read(
            static fn (Series $c, Moments $t): ?float => $c->peak($t->at('AD'), $t->at('IM'), 1)?->t,
        );
        $held['height'] += abs($high->value - 30.0) <= $high->uncertainty ? 1 : 0;
        $held['when'] += abs($when->value - 1.0) <= $when->uncertainty ? 1 : 0;
        $sum += ($high->value - 30.0) / 100;
        $plain += ($s->series->highest(0.5, 1.5)->value - 30.0) / 100;
    }
    expect($held['height'])->toBeGreaterThanOrEqual(85)
        ->and($held['when'])->toBeGreaterThanOrEqual(85)
        ->and(abs($sum))->toBeLessThan(0.5 * $plain);
})->with([[0.2, 1.0], [0.1, 2.0], [0.3, 0.5]]);

it('is unsure of when a flat peak was, and sure of a sharp one', function () {
    $when = static fn (SmoothSignal $s): float => $s->calmer()->read(
        static fn (Series $c, Moments $t): ?float => $c->peak($t->at('AD'), $t->at('IM'), 1)?->t,
    )->uncertainty;
    expect($when(bump(0.3, 1.0, 'flat')))->toBeGreaterThan(4 * $when(bump(0.03, 1.0, 'sharp')));
});

it('gives the same for the same recording, and no ± where none is asked for', function () {
    $height = static fn (Series $c, Moments $t): ?float => $c->highest($t->at('AD'), $t->at('IM'))?->value;
    expect(bump(0.2, 1.0, 'x')->read($height))->toEqual(bump(0.2, 1.0, 'x')->read($height));
    $times = StationTimes::fromSeconds(['AD' => 0.5, 'IM' => 1.5], 0.008, StationSource::File);
    $still = new SmoothSignal(
        new Series(500.0, array_fill(0, 1001, 3.0)),
        new Noise(500.0, 1.0),
        0.0,
        0.014,
        0.020,
        new Jitter($times, false),
    );
    expect($still->read($height))->toEqual(new ReadOff(3.0, 0.0))
        ->and($still->read(static fn (): ?float => null))->toBeNull();
});

it('never corrects a figure beyond what a replay shows', function () {
    // What cannot be negative stays so; few replays that had the figure correct nothing.
    expect(ReadOff::of(0.1, 0.0, array_fill(0, Jitter::COUNT, 0.4))->value)->toBe(0.1)
        ->and(ReadOff::of(5.0, 4.0, [1.0, -2.0]))->toEqual(new ReadOff(5.0, 2.0));
});

it('draws station times with the spread that is told', function () {
    $jitter = new Jitter(StationTimes::fromSeconds(['AD' => 0.5, 'IM' => 1.5], 0.0196, StationSource::File));
    $drawn = array_map(static fn (Moments $m): float => $m->at('IM') - 1.5, $jitter->drawn);
    expect(array_sum($drawn))->toEqualWithDelta(0.0, 1e-9)
        ->and(sqrt(array_sum(array_map(static fn (float $d): float => $d * $d, $drawn)) / count($drawn)))
        ->toEqualWithDelta(0.01, 0.0003)
        ->and($jitter->begins())->toBe(0.5)
        ->and($jitter->ends())->toBe(1.5)
        ->and($jitter->ends('AD'))->toBe(0.5)
        ->and((new Jitter(StationTimes::fromSeconds([], 0.0, StationSource::File)))->begins())->toBeNull();
});
