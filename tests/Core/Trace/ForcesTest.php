<?php

use Core\Trace\Axis;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** Two plates with constant channels; what is not given is nought. */
function constantDual(array $given, ?float $mass = 80.0, ?Stance $stance = null): Trace
{
    $channels = [];
    foreach (DeviceClass::DualPlate->channels() as $name) {
        $channels[$name] = array_fill(0, 40, (float) ($given[$name] ?? 0.0));
    }

    return new Trace(DeviceClass::DualPlate, 100.0, $channels, $stance ?? Stance::ofWidth(460.0), $mass);
}

$weight = 80.0 * 9.80665;

it('gives forces of each foot and of both in per cent of body weight', function () use ($weight) {
    $t = constantDual([
        'lead_fz_n' => 0.6 * $weight,
        'trail_fz_n' => 0.5 * $weight,
        'lead_fx_n' => 10.0,
        'trail_fx_n' => 30.0,
        'lead_fy_n' => -0.1 * $weight,
    ]);
    expect($t->totalForce()->at(0.1))
        ->toEqualWithDelta(110.0, 1e-9)
        ->and($t->footForce(Side::Lead)->at(0.1))
        ->toEqualWithDelta(60.0, 1e-9)
        ->and($t->footForce(Side::Trail)->at(0.1))
        ->toEqualWithDelta(50.0, 1e-9)
        ->and($t->netPush(Axis::X)->at(0.1))
        ->toEqualWithDelta((100 * 40.0) / $weight, 1e-9)
        ->and($t->footPush(Side::Lead, Axis::Y)->at(0.1))
        ->toEqualWithDelta(-10.0, 1e-9);
});

it('has none of them without the mass, and none of each foot without a plate of its own', function () {
    $unknown = constantDual(['lead_fz_n' => 400.0, 'trail_fz_n' => 400.0], null);
    expect($unknown->totalForce())
        ->toBeNull()
        ->and($unknown->footForce(Side::Lead))
        ->toBeNull()
        ->and($unknown->netPush(Axis::X))
        ->toBeNull()
        ->and($unknown->netTwist())
        ->toBeNull();
    $plate = new Trace(
        DeviceClass::Plate,
        100.0,
        array_fill_keys(DeviceClass::Plate->channels(), array_fill(0, 20, 100.0)),
        null,
        80.0,
    );
    expect($plate->footForce(Side::Lead))
        ->toBeNull()
        ->and($plate->footPush(Side::Lead, Axis::X))
        ->toBeNull()
        ->and($plate->netPush(Axis::Y))
        ->not->toBeNull()
        ->and($plate->netTwist()->at(0.1))
        ->toEqualWithDelta(100.0 / 80.0, 1e-9);
    $mat = matTrace(fn () => 50.0);
    expect($mat->netPush(Axis::X))
        ->toBeNull()
        ->and($mat->netTwist())
        ->toBeNull()
        ->and($mat->footForce(Side::Lead))
        ->toBeNull();
});

it('turns about the net centre of pressure, not about the middle', function () use ($weight) {
    // Three quarters of the load on the lead foot: the net lies 115 mm toward it; equal forward pushes there make no
    // moment.
    $t = constantDual([
        'lead_fz_n' => 0.75 * $weight,
        'trail_fz_n' => 0.25 * $weight,
        'lead_copx_mm' => 230.0,
        'trail_copx_mm' => -230.0,
        'lead_fy_n' => 30.0,
        'trail_fy_n' => 10.0,
    ]);
    expect($t->cop()[0]->at(0.1))
        ->toEqualWithDelta(115.0, 1e-9)
        ->and($t->netTwist()->at(0.1))
        ->toEqualWithDelta(0.0, 1e-9);
    $opposed = constantDual([
        'lead_fz_n' => 0.5 * $weight,
        'trail_fz_n' => 0.5 * $weight,
        'lead_copx_mm' => 200.0,
        'trail_copx_mm' => -200.0,
        'lead_fy_n' => -50.0,
        'trail_fy_n' => 50.0,
    ]);
    expect($opposed->netTwist()->at(0.1))->toEqualWithDelta((0.4 * 50.0) / 80.0, 1e-9);
});

it('lets a foot that is off the ground take no part in the net', function () use ($weight) {
    $t = constantDual([
        'lead_fz_n' => $weight,
        'lead_copx_mm' => 230.0,
        'lead_mz_nm' => 16.0,
        'trail_copx_mm' => NAN,
        'trail_copy_mm' => NAN,
        'trail_fy_n' => 3.0,
    ]);
    expect($t->cop()[0]->at(0.1))
        ->toEqualWithDelta(230.0, 1e-9)
        ->and($t->netTwist()->at(0.1))
        ->toEqualWithDelta(0.2, 1e-9);
});

it('measures within the foot: along toward the toes, across toward its outer edge, on either side', function (
    string $side,
    float $dx,
    float $dy,
    float $along,
    float $across,
) {
    $stance = new Stance(new Foot(230.0, 5.0, 270.0, 100.0, 90.0), new Foot(-230.0, 5.0, 270.0, 100.0, 0.0));
    $foot = $side === 'lead' ? $stance->lead : $stance->trail;
    $t = constantDual([$side.'_copx_mm' => $foot->xMm + $dx, $side.'_copy_mm' => $foot->yMm + $dy], 80.0, $stance);
    [$a, $b] = $t->footCop(Side::from($side));
    expect($a->at(0.1))->toEqualWithDelta($along, 1e-6)->and($b->at(0.1))->toEqualWithDelta($across, 1e-6);
})->with([
    'trail, toes' => ['trail', 0.0, 27.0, 10.0, 0.0],
    'trail, away from the target is its outer edge' => ['trail', -20.0, 0.0, 0.0, 20.0],
    'trail, toward the target is its instep' => ['trail', 20.0, 0.0, 0.0, -20.0],
    'a lead foot that points to the target: along is x' => ['lead', 27.0, 0.0, 10.0, 0.0],
    'and its outer edge lies toward the heels\' line' => ['lead', 0.0, -20.0, 0.0, 20.0],
]);

it('cuts out a part without moving it in time', function () {
    $t = dualTrace(corners([[0.0, 20.0], [3.0, 80.0]]));
    $part = $t->between(1.0, 2.0);
    expect($part->samples())
        ->toBe(1001)
        ->and($part->t0)
        ->toBe(1.0)
        ->and($part->leadShare()->at(1.5))
        ->toEqualWithDelta($t->leadShare()->at(1.5), 1e-9)
        ->and($part->leadShare()->at(0.9))
        ->toBeNull()
        ->and($t->between(-5.0, 50.0))
        ->toBe($t)
        ->and($t->between(2.0, 2.0))
        ->toBe($t);
});

it('knows which signals a channel feeds', function (string $channel, DeviceClass $device, array $signals) {
    expect(Signal::ofChannel($channel, $device))->toEqualCanonicalizing($signals);
})->with([
    ['lead_pct', DeviceClass::Mat, [Signal::Share]],
    ['copx_mm', DeviceClass::Mat, [Signal::Cop]],
    ['trail_copy_mm', DeviceClass::Mat, [Signal::FootCop]],
    ['trail_toe_pct', DeviceClass::Mat, [Signal::FootCop]],
    ['fz_n', DeviceClass::Plate, [Signal::Total, Signal::Share]],
    ['copx_mm', DeviceClass::Plate, [Signal::Cop, Signal::Share]],
    // How far along the feet it lies moves where between them it is counted from.
    ['copy_mm', DeviceClass::Plate, [Signal::Cop, Signal::Share]],
    ['mz_nm', DeviceClass::Plate, [Signal::Twist]],
    ['lead_fx_n', DeviceClass::DualPlate, [Signal::Horizontal, Signal::Twist]],
    [
        'trail_fz_n',
        DeviceClass::DualPlate,
        [Signal::Share, Signal::Total, Signal::FootForce, Signal::Cop, Signal::Twist],
    ],
    ['lead_copy_mm', DeviceClass::DualPlate, [Signal::FootCop, Signal::Cop, Signal::Twist]],
    ['battery', DeviceClass::Mat, []],
]);
