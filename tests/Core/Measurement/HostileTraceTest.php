<?php

use Core\Chance\Chance;
use Core\Measurement\Evidence;
use Core\Measurement\Jitter;
use Core\Measurement\Measured;
use Core\Measurement\Meter;
use Core\Measurement\Moments;
use Core\Measurement\Peak;
use Core\Measurement\Wanders;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Trace\DeviceClass;
use Core\Trace\Noise;
use Core\Trace\Series;
use Core\Trace\Stance;
use Core\Trace\Trace;

/*
 * What no golfer does and no instrument should send: whatever comes, a measure is a finite number with a finite ± or a
 * reason.
 */

/** A trace of chance: of this length, with holes, steps, level stretches and values at the ends of what is allowed. */
function hostileTrace(DeviceClass $device, Chance $c): Trace
{
    $rate = [20.0, 100.0, 333.0, 1000.0][$c->between(0, 3)];
    $n = max(8, (int) ($rate * [0.05, 0.4, 1.2, 2.6][$c->between(0, 3)]));
    $channels = [];
    foreach ($device->channels() as $name) {
        $kind = $c->between(0, 5);
        $size = str_contains($name, 'pct') ? 50.0 : (str_contains($name, 'cop') ? 300.0 : 900.0);
        $value = $size * $c->uniform();
        $values = [];
        for ($i = 0; $i < $n; $i++) {
            $value = match ($kind) {
                0 => $size,
                1 => $size * $c->uniform(),
                2 => 0.98 * $value + 0.02 * $size * $c->normal(),
                3 => $i % 2 === 0 ? 0.0 : $size,
                4 => $size * ($i > $n / 2 ? 1.0 : 0.2),
                default => 0.0,
            };
            $low = str_contains($name, 'pct') ? 0.0 : -2000.0;
            $high = str_contains($name, 'pct') ? 100.0 : 2000.0;
            $values[] = $c->uniform() < 0.02 ? NAN : max($low, min($high, $value));
        }
        $channels[$name] = $values;
    }

    return new Trace($device, $rate, $channels, $c->uniform() < 0.8 ? Stance::ofWidth(460.0) : null, 80.0);
}

/** Stations of chance within a trace, some missing, some upon one another, some beyond its end, none to all unsure. */
function hostileStations(Trace $trace, Chance $c): StationTimes
{
    $times = [];
    $t = $trace->t0 - 0.1;
    foreach (Station::cases() as $station) {
        $t += $c->uniform() < 0.2 ? 1e-4 : 0.35 * $c->uniform() * $trace->duration();
        if ($c->uniform() < 0.85) {
            $u = [0.0, 0.004, 0.05, 0.4][$c->between(0, 3)];
            $times[$station->value] = new StationTime($t, $u, StationSource::Hand);
        }
    }

    return StationTimes::fromTimes($times);
}

it('gives a finite number with a finite ± or a reason, whatever it is sent', function (DeviceClass $device) {
    for ($k = 0; $k < many(25, 200); $k++) {
        $c = new Chance("hostile|$device->value|$k");
        $trace = hostileTrace($device, $c);
        $evidence = new Evidence(hostileStations($trace, $c), $trace, null, $trace->stance);
        $all = Meter::read($evidence)->all();
        expect($all)->not->toBe([]);
        foreach ($all as $key => $found) {
            foreach ($found instanceof Measured ? [$found] : $found as $m) {
                if ($m->value === null) {
                    expect($m->reason)->not->toBeNull("$key, $k");

                    continue;
                }
                if (is_float($m->value)) {
                    expect(is_finite($m->value))->toBeTrue("$key, $k")
                        ->and(is_finite((float) $m->uncertainty))->toBeTrue("$key, $k")
                        ->and($m->uncertainty)->toBeGreaterThanOrEqual(0.0, "$key, $k");
                }
            }
        }
        // The same once more is the same to the last digit.
        expect(serialize(Meter::read($evidence)->all()))->toBe(serialize($all));
    }
})->with(DeviceClass::cases());

it('reads figures of a peak off any curve, and none where there is none', function () {
    $curve = new Series(100.0, [...range(0.0, 10.0), ...range(9.0, 0.0)]);
    $t = new Moments(['AD' => 0.0, 'TP' => 0.2]);
    $high = Peak::between('AD', 'TP', 1);
    $low = Peak::between('AD', 'TP', -1);
    expect(Peak::value($high)($curve, $t))->toEqualWithDelta(10.0, 0.2)
        ->and(Peak::before($high, 'TP')($curve, $t))->toEqualWithDelta(100.0, 1e-6)
        ->and(Peak::part($high, 'AD', 'TP')($curve, $t))->toEqualWithDelta(0.5, 1e-9)
        ->and(Peak::size($low, 1)($curve, $t))->toBe(0.0)
        ->and(Peak::size($high, -1)($curve, $t))->toBe(0.0);
    $none = new Series(100.0, array_fill(0, 30, NAN));
    foreach ([Peak::value($high), Peak::before($high, 'TP'), Peak::part($high, 'AD', 'TP'), Peak::size($high, 1)] as $of) {
        expect($of($none, $t))->toBeNull();
    }
});

it('lets a zero wander by no more than the class may and standing shows, a single plate by its feet as well', function () {
    $jitter = new Jitter(StationTimes::fromSeconds(
        ['AD' => 1.0, 'TP' => 1.9, 'IM' => 2.2, 'ST' => 2.3, 'FI' => 3.0],
        0.004,
        StationSource::File,
    ));
    $of = static fn (array $values, DeviceClass $device): array => Wanders::of(
        new Series(100.0, $values),
        new Noise(100.0, 0.01),
        $device,
        $jitter,
        1.0,
    );
    $still = $of(array_fill(0, 401, 50.0), DeviceClass::Mat);
    $steep = $of(array_map(static fn (int $i): float => 0.5 * $i, range(0, 400)), DeviceClass::Mat);
    $plate = $of(array_fill(0, 401, 50.0), DeviceClass::Plate);
    expect($still)->toHaveCount(1)
        ->and(abs($still[0]->at(4.0)))->toBeLessThan(0.1)
        ->and($steep[0]->at(4.0))->toEqualWithDelta(2.0 * DeviceClass::Mat->wander(), 0.05)
        ->and($steep[0]->at(2.0))->toEqualWithDelta(0.0, 0.05)
        ->and($steep[0]->at(0.0))->toEqualWithDelta(-2.0 * DeviceClass::Mat->wander(), 0.05)
        ->and($plate)->toHaveCount(3)
        ->and($plate[1]->at(0.5))->toEqualWithDelta(0.3, 0.01)
        ->and($plate[1]->at(2.2))->toEqualWithDelta(1.8, 0.05)
        ->and($plate[2]->at(1.9))->toEqualWithDelta(0.0, 1e-9)
        ->and($plate[2]->at(3.5))->toEqualWithDelta(3.2, 1e-9);
});
