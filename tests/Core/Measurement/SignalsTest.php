<?php

use Core\Chance\Chance;
use Core\Measurement\Evidence;
use Core\Measurement\Jitter;
use Core\Measurement\Lack;
use Core\Measurement\Moments;
use Core\Measurement\Signals;
use Core\Measurement\SmoothSignal;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Noise;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Stance;
use Core\Trace\Trace;

it('says for every device why a signal is not to be had', function () {
    $none = new Signals(new Evidence(stations()));
    $mat = new Signals(new Evidence(stations(), matTrace(fn () => 50.0)));
    $plate = new Trace(
        DeviceClass::Plate,
        100.0,
        array_fill_keys(DeviceClass::Plate->channels(), array_fill(0, 300, 700.0)),
        null,
        80.0,
    );
    $alone = new Signals(new Evidence(stations(), $plate));
    $dual = dualTrace(fn () => 50.0);
    $weightless = new Signals(
        new Evidence(stations(), new Trace($dual->device, $dual->rateHz, $dual->channels, $dual->stance)),
    );
    expect($none->whyNoShare())
        ->toEqual(Remark::of(Lack::NoTrace))
        ->and($none->whyNoForce(true))
        ->toEqual(Remark::of(Lack::NoForce))
        ->and($mat->whyNoShare())
        ->toBeNull()
        ->and($mat->whyNoForce(true))
        ->toEqual(Remark::of(Lack::MatKnowsNoForce))
        ->and($mat->whyNoForce(true, Lack::MatKnowsNoDirection))
        ->toEqual(Remark::of(Lack::MatKnowsNoDirection))
        ->and($alone->whyNoShare())
        ->toEqual(Remark::of(Lack::StanceForShare))
        ->and($alone->whyNoForce(false))
        ->toEqual(Remark::of(Lack::NetOnly))
        ->and($alone->whyNoForce(true))
        ->toBeNull()
        ->and($weightless->whyNoForce(true))
        ->toEqual(Remark::of(Lack::Mass))
        ->and($weightless->share())
        ->not->toBeNull()
        ->and($weightless->total())
        ->toBeNull();
});

it('names the stations that are missing, and only those', function () {
    $s = new Signals(new Evidence(stations(['TP' => null, 'LD' => null]), dualTrace(fn () => 50.0)));
    expect(worded($s->whyNot([Station::Address, Station::Top])))
        ->toBe('the time of station TP is not known')
        ->and(worded($s->whyNot([Station::Top, Station::DownswingArm, Station::Impact])))
        ->toBe('the time of station TP and LD is not known')
        ->and($s->whyNot([Station::Impact]))
        ->toEqual(Remark::of(Lack::NotCovered));
});

it('makes each signal once', function () {
    $s = new Signals(new Evidence(stations(), dualTrace(fn () => 50.0), null, Stance::ofWidth(460.0)));
    expect($s->share())
        ->toBe($s->share())
        ->and($s->total())
        ->toBe($s->total())
        ->and($s->cop(Axis::X))
        ->toBe($s->cop(Axis::X))
        ->and($s->cop(Axis::X))
        ->not->toBe($s->cop(Axis::Y))
        ->and($s->footCop(Side::Lead, true))
        ->not->toBe($s->footCop(Side::Lead, false));
});

function signal(Series $raw, float $sd, float $offset, DeviceClass $device): SmoothSignal
{
    return new SmoothSignal(
        $raw,
        new Noise($raw->rateHz, $sd),
        $offset,
        $device->smoothing(),
        $device->slopeSmoothing(),
        new Jitter(stations()),
    );
}

it('knows what noise it leaves, in values and in slopes', function (DeviceClass $device, float $rate) {
    $c = new Chance("left|{$device->value}");
    $values = array_map(static fn (): float => 50.0 + $c->normal(0.0, 1.0), range(1, 12000));
    $s = signal(new Series($rate, $values), 1.0, 2.0, $device);
    $half = static function (array $v): float {
        $mean = array_sum($v) / count($v);

        return 1.96 * sqrt(array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $v)) / count($v));
    };
    // Toward the ends the window shrinks and leaves more; there nothing is measured.
    $inner = static fn (array $v): array => array_slice($v, 60, -60);
    expect($half($inner($s->series->values)) / $s->noise)->toEqualWithDelta(1.0, 0.05)
        ->and($half($inner($s->slope()->values)) / $s->slopeNoise())->toEqualWithDelta(1.0, 0.05);
})->with([[DeviceClass::Mat, 100.0], [DeviceClass::Plate, 500.0], [DeviceClass::DualPlate, 1000.0]]);

it('adds timing times slope, and leaves the constant error out of differences', function () {
    $series = new Series(1000.0, array_map(static fn (int $i): float => 0.2 * $i, range(0, 2000)));
    $ramp = signal($series, 0.0, 1.5, DeviceClass::DualPlate);
    $at = new StationTime(1.0, 0.01, StationSource::File);
    expect($ramp->timed($at))
        ->toEqualWithDelta(2.0, 1e-6)
        ->and($ramp->absolute($at))
        ->toEqualWithDelta(2.5, 1e-6)
        ->and($ramp->crossing(1.0))
        ->toEqualWithDelta(1.5 / 200.0, 1e-6);
});

it('lets a zero that wanders count by how far it went since address', function () {
    $flat = new Series(100.0, array_fill(0, 201, 50.0));
    $away = new Series(100.0, array_map(static fn (int $i): float => 0.02 * $i - 2.0, range(0, 200)));
    $s = new SmoothSignal(
        $flat,
        new Noise(100.0, 0.0),
        0.0,
        0.02,
        0.03,
        new Jitter(StationTimes::fromSeconds(['AD' => 0.5, 'IM' => 1.5], 0.0, StationSource::File)),
        wanders: [$away],
    );
    $im = new StationTime(1.5, 0.0, StationSource::File);
    expect($s->constant(1.5))->toEqualWithDelta(1.0, 1e-9)
        ->and($s->absolute($im))->toEqualWithDelta(1.0, 1e-9)
        ->and($s->timed($im))->toEqualWithDelta(2.0, 1e-9);
    $peak = $s->read(static fn (Series $c, Moments $t): ?float => $c->at($t->at('IM')));
    $grown = $s->read(static fn (Series $c, Moments $t): ?float => $c->at($t->at('IM')) - $c->at($t->at('AD')));
    expect($peak->uncertainty)->toEqualWithDelta(1.0, 0.1)
        ->and($grown->uncertainty)->toEqualWithDelta(2.0, 0.2);
});
