<?php

use Core\Chance\Chance;
use Core\Simulation\Conditions;
use Core\Trace\Noise;
use Core\Trace\Series;

/** Standing, a swing of two slow waves, standing again; with noise of this level and memory on it. */
function swingWithNoise(float $rate, float $sd, float $memory, string $seed): Series
{
    $noise = (new Conditions($sd, $memory))->noise(new Chance("noise|$seed"), $rate);
    $values = [];
    for ($i = 0; $i < 3.3 * $rate; $i++) {
        $t = $i / $rate - 0.8;
        $swing = $t > 0.0 && $t < 1.8 ? 25 * sin($t * 2 * M_PI * 1.1) + 6 * sin($t * 2 * M_PI * 4) : 0.0;
        $values[] = 50.0 + $swing + $noise();
    }

    return new Series($rate, $values);
}

/** @return list<float> estimated over true standard deviation after smoothing, sorted */
function toldOverTrue(float $rate, float $sd, float $memory, float $class, float $short): array
{
    $out = [];
    for ($k = 0; $k < 60; $k++) {
        $told = Noise::of(swingWithNoise($rate, $sd, $memory, "$rate|$sd|$memory|$k"), $short, $class);
        $out[] = $told->smoothed($short) / (new Noise($rate, $sd, $memory))->smoothed($short);
    }
    sort($out);

    return $out;
}

it('tells white noise from a recording, be it as the class says or twice that', function (
    float $rate,
    float $class,
    float $short,
    float $times,
) {
    $told = toldOverTrue($rate, $times * $class, 0.0, $class, $short);
    expect($told[30])->toBeBetween(0.93, 1.1)
        ->and($told[3])->toBeGreaterThan(0.75)
        ->and($told[56])->toBeLessThan(1.35);
})->with([[100.0, 1.0, 0.02, 1.0], [100.0, 1.0, 0.02, 2.0], [500.0, 1.5, 0.014, 1.0], [1000.0, 0.4, 0.01, 2.0]]);

it('tells noise that remembers itself, and how unsure it is of it', function (
    float $rate,
    float $class,
    float $short,
) {
    $told = toldOverTrue($rate, 2 * $class, 0.03, $class, $short);
    expect($told[30])->toBeBetween(0.8, 1.7);
    $one = Noise::of(swingWithNoise($rate, 2 * $class, 0.03, 'one'), $short, $class);
    expect($one->memory)->toBeGreaterThan(0.004)
        ->and($one->factor())->toBeGreaterThan(2.2)
        ->and((new Noise($rate, 1.0))->factor())->toEqualWithDelta(1.96, 0.01);
})->with([[100.0, 1.0, 0.02], [500.0, 1.5, 0.014], [1000.0, 0.4, 0.01]]);

it('takes the class\'s word where a recording is too short, and never invents noise where there is none', function () {
    expect(Noise::of(new Series(100.0, array_fill(0, 20, 1.0)), 0.02, 0.7)->sd)->toBe(0.7)
        ->and(Noise::of(new Series(100.0, array_fill(0, 300, NAN)), 0.02, 0.7)->sd)->toBe(0.7)
        ->and(Noise::of(new Series(1000.0, array_fill(0, 3000, 5.0)), 0.01, 0.4)->sd)->toBeLessThan(0.2)
        ->and(is_finite(Noise::of(new Series(100.0, array_fill(0, 300, 50.0)), 0.02, 0.0)->smoothed(0.02)))->toBeTrue();
});

it('knows what filters leave of it', function (float $memory) {
    $long = swingWithNoise(500.0, 1.0, $memory, 'long');
    $noise = new Noise(500.0, 1.0, $memory);
    $make = (new Conditions(1.0, $memory))->noise(new Chance('filters'), 500.0);
    $values = [];
    for ($i = 0; $i < 60000; $i++) {
        $values[] = $make();
    }
    $series = new Series(500.0, $values);
    $sd = static fn (array $v): float => sqrt(
        array_sum(array_map(static fn (float $x): float => $x * $x, $v)) / count($v),
    );
    $means = array_map(
        static fn (int $i): float => $series->mean($i * 0.3, $i * 0.3 + 0.298),
        range(0, 380),
    );
    expect($sd($series->smoothed(0.014)->values) / $noise->smoothed(0.014))->toEqualWithDelta(1.0, 0.05)
        ->and($sd($series->derivative(0.02)->values) / $noise->slope(0.02))->toEqualWithDelta(1.0, 0.05)
        ->and($sd($means) / $noise->mean(0.3))->toEqualWithDelta(1.0, 0.15)
        ->and($long->rateHz)->toBe(500.0);
})->with([0.0, 0.01, 0.03]);

it('bounds how fast a zero wanders by what standing shows', function () {
    $noise = new Noise(1000.0, 0.4);
    $still = swingWithNoise(1000.0, 0.4, 0.0, 'still');
    $drifts = new Series(1000.0, array_map(
        static fn (int $i): float => $still->values[$i] + 0.002 * $i,
        range(0, 700),
    ));
    expect($noise->wanders($still, 0.0, 0.7))->toBeLessThan(0.6)
        ->and($noise->wanders($drifts, 0.0, 0.7))->toBeBetween(1.6, 2.5)
        // Whatever the level, and wherever the stretch ends between two samples.
        ->and((new Noise(100.0, 0.0))->wanders(new Series(100.0, array_fill(0, 401, 50.0)), 0.0, 0.95))
        ->toEqualWithDelta(0.0, 1e-9)
        ->and((new Noise(100.0, 0.0))->wanders(new Series(100.0, array_fill(0, 401, 50.0)), 0.013, 0.7391))
        ->toEqualWithDelta(0.0, 1e-9)
        ->and($noise->wanders($still, 0.0, 0.2))->toBeNull();
});
