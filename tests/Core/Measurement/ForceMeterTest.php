<?php

use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Meter;
use Core\Measurement\Norms;
use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** 80 kg, in newtons: forces given in %BW by closed-form functions per foot, 1000 Hz. */
function forceTrace(
    array $percent,
    array $other = [],
    DeviceClass $device = DeviceClass::DualPlate,
    ?Stance $stance = null,
): Trace {
    $weight = 80.0 * 9.80665;
    $channels = [];
    for ($i = 0; $i <= 3000; $i++) {
        $t = $i / 1000;
        foreach ($device->channels() as $name) {
            $value = isset($percent[$name])
                ? ($percent[$name]($t) * $weight) / 100.0
                : (isset($other[$name])
                    ? $other[$name]($t)
                    : 0.0);
            $channels[$name][] = $value;
        }
    }

    return new Trace($device, 1000.0, $channels, $stance ?? Stance::ofWidth(460.0), 80.0);
}

/** A half-sine of the given height between two times, zero elsewhere. */
function halfSine(float $height, float $from, float $to, float $base = 0.0): Closure
{
    return static fn (
        float $t,
    ): float => $base + ($t > $from && $t < $to ? $height * sin((M_PI * ($t - $from)) / ($to - $from)) : 0.0);
}

$standing = ['lead_fz_n' => fn () => 50.0, 'trail_fz_n' => fn () => 50.0];

it('finds dip, rise and the lead foot\'s part of it', function () {
    $lead = fn (float $t): float => $t < 1.6
        ? 50.0 - 10.0 * max(0.0, 1 - abs($t - 1.5) / 0.1)
        : 50.0 + halfSine(60.0, 1.6, 1.84)($t);
    $m = measure(forceTrace(['lead_fz_n' => $lead, 'trail_fz_n' => fn () => 40.0]));
    expect($m->get(Measure::Dip)->number())->toEqualWithDelta(80.0, 0.6)
        ->and($m->get(Measure::DipAt)->number())->toEqualWithDelta(250.0, 2.0)
        ->and($m->get(Measure::Rise)->number())->toEqualWithDelta(150.0, 0.4)
        ->and($m->get(Measure::RiseAt)->number())->toEqualWithDelta(30.0, 1.5)
        ->and($m->get(Measure::RiseLead)->number())->toEqualWithDelta(110.0, 0.4)
        ->and($m->get(Measure::Rise)->unit)->toBe('%BW');
});

it('measures how the feet push against each other along heel and toe', function () use ($standing) {
    $m = measure(
        forceTrace($standing + ['trail_fy_n' => halfSine(12.0, 1.55, 1.73), 'lead_fy_n' => halfSine(-18.0, 1.6, 1.8)]),
    );
    expect($m->get(Measure::HeelToeTrail)->number())
        ->toEqualWithDelta(12.0, 0.1)
        ->and($m->get(Measure::HeelToeTrailAt)->number())
        ->toEqualWithDelta(0.0, 1.5)
        ->and($m->get(Measure::HeelToeLead)->number())
        ->toEqualWithDelta(18.0, 0.1)
        ->and($m->get(Measure::HeelToeLeadAt)->number())
        ->toEqualWithDelta(60.0, 1.5)
        ->and($m->get(Measure::HeelToeRatio)->number())
        ->toEqualWithDelta(1.5, 0.02);
});

it('measures the net push toward the target and away from it', function () use ($standing) {
    $m = measure(
        forceTrace(
            $standing + [
                'lead_fx_n' => halfSine(9.0, 1.4, 1.6),
                'trail_fx_n' => fn (float $t): float => halfSine(7.0, 1.4, 1.6)($t) - halfSine(5.0, 0.65, 0.85)($t),
            ],
        ),
    );
    expect($m->get(Measure::SidePush)->number())
        ->toEqualWithDelta(16.0, 0.1)
        ->and($m->get(Measure::SidePushAt)->number())
        ->toEqualWithDelta(250.0, 1.5)
        ->and($m->get(Measure::TakeawayPush)->number())
        ->toEqualWithDelta(5.0, 0.1);
});

it('adds free moments and the arms of the forces about the net centre of pressure', function () use ($standing) {
    // Feet 460 mm apart, equal loads: the trail foot pushed +y and the lead foot −y by F open the body by 0.46·F.
    $newtons = 100.0;
    $m = measure(
        forceTrace($standing, [
            'lead_copx_mm' => fn () => 230.0,
            'trail_copx_mm' => fn () => -230.0,
            'trail_fy_n' => fn (float $t) => halfSine($newtons, 1.5, 1.7)($t),
            'lead_fy_n' => fn (float $t) => halfSine(-$newtons, 1.5, 1.7)($t),
            'lead_mz_nm' => fn (float $t) => halfSine(8.0, 1.5, 1.7)($t),
            'trail_mz_nm' => fn (float $t) => halfSine(6.0, 1.5, 1.7)($t),
        ]),
    );
    expect($m->get(Measure::Twist)->number())
        ->toEqualWithDelta((0.46 * $newtons + 14.0) / 80.0, 0.004)
        ->and($m->get(Measure::TwistAt)->number())
        ->toEqualWithDelta(150.0, 1.5)
        ->and($m->get(Measure::Twist)->unit)
        ->toBe('N·m/kg');
});

it('takes the free moment of a single plate as it is', function () {
    $m = measure(forceTrace(['fz_n' => fn () => 100.0], ['mz_nm' => halfSine(40.0, 1.5, 1.7)], DeviceClass::Plate));
    expect($m->get(Measure::Twist)->number())
        ->toEqualWithDelta(0.5, 0.004)
        ->and(worded($m->get(Measure::HeelToeTrail)->reason))
        ->toBe('a single plate knows the net, not which foot made it')
        ->and(worded($m->get(Measure::TrailJump)->reason))
        ->toContain('not which foot')
        ->and(worded($m->get(Measure::RiseLead)->reason))
        ->toContain('not which foot');
});

it('puts the pushes in order of time, and of size only against the academy\'s own', function () use ($standing) {
    $trace = forceTrace(
        [
            ...$standing,
            'lead_fz_n' => fn (float $t): float => 50.0 + halfSine(50.0, 1.62, 1.8)($t),
            'lead_fx_n' => halfSine(10.0, 1.4, 1.6),
        ],
        ['lead_mz_nm' => halfSine(60.0, 1.5, 1.74)],
    );
    expect(measure($trace)->get(Measure::Order)->value)
        ->toBe(['side_push', 'twist', 'rise'])
        ->and(worded(measure($trace)->get(Measure::Emphasis)->reason))
        ->toContain('the academy’s own distribution');
    $around = fn (float $mean): array => array_map(static fn (int $i): float => $mean + ($i - 4.5), range(0, 9));
    $norms = Norms::from([
        'side_push' => $around(20.0),
        'twist' => array_map(fn ($v) => $v / 20, $around(12.0)),
        'rise' => $around(140.0),
    ]);
    expect(Meter::read(new Evidence(stations(), $trace, null, null, $norms))->get(Measure::Emphasis)->value)
        ->toBe(['rise', 'twist', 'side_push'])
        ->and(Norms::from(['rise' => [1.0, 2.0]])->z(Measure::Rise, 3.0))
        ->toBeNull();
});

it('times how the trail foot lets go, and how fast', function () {
    // 70 %BW until 1.3 s, then down 200 %BW/s: under 95 % of its peak from 1.3175 s on.
    $trail = corners([[0.6, 50.0], [1.0, 70.0], [1.3, 70.0], [1.62, 6.0], [2.4, 6.0]]);
    $m = measure(forceTrace(['trail_fz_n' => $trail, 'lead_fz_n' => fn (float $t): float => 100.0 - $trail($t)]));
    expect($m->get(Measure::UnloadAt)->number())->toEqualWithDelta(1000 * (1.5 - 1.3175), 2.0)
        ->and($m->get(Measure::UnloadRate)->unit)->toBe('%/s')
        ->and($m->get(Measure::UnloadRate)->number())->toEqualWithDelta((6.0 - 66.5) / (1.64 - 1.3175), 3.0)
        ->and($m->get(Measure::TrailJump)->number())->toEqualWithDelta(1.0, 1e-6);
    $late = corners([[0.6, 50.0], [1.0, 70.0], [1.7, 70.0], [1.74, 20.0]]);
    expect(
        worded(
            measure(forceTrace(['trail_fz_n' => $late, 'lead_fz_n' => fn (float $t): float => 100.0 - $late($t)]))->get(
                Measure::UnloadRate,
            )->reason,
        ),
    )->toContain('not let go before lead arm level');
});

it('measures a jump off the trail foot as the ratio to its force at the top', function () {
    $trail = corners([[0.6, 50.0], [1.2, 60.0], [1.5, 50.0], [1.57, 65.0], [1.75, 15.0]]);
    $m = measure(forceTrace(['trail_fz_n' => $trail, 'lead_fz_n' => fn (float $t): float => 100.0 - $trail($t)]));
    expect($m->get(Measure::TrailJump)->number())
        ->toEqualWithDelta(1.3, 0.03)
        ->and($m->get(Measure::TrailSecondPeak)->number())
        ->toEqualWithDelta(15.0, 1.0);
});

it('measures where on the feet the pressure is', function () {
    $stance = new Stance(new Foot(230.0, 10.0, 270.0, 100.0, 20.0), new Foot(-230.0, 10.0, 270.0, 100.0, -10.0));
    $move = corners([[1.5, 0.0], [1.75, 27.0]]); // mm along each foot, top to impact: 10 % of its length
    $place = static fn (Foot $f, callable $along, float $across, float $out): array => [
        fn (float $t): float => $f->xMm +
            $along($t) * sin(deg2rad($f->heading())) +
            $out * $across * cos(deg2rad($f->heading())),
        fn (float $t): float => $f->yMm +
            $along($t) * cos(deg2rad($f->heading())) -
            $out * $across * sin(deg2rad($f->heading())),
    ];
    [$lx, $ly] = $place($stance->lead, $move, 0.0, 1.0);
    [$tx, $ty] = $place($stance->trail, $move, 20.0, -1.0);
    $m = measure(
        forceTrace(
            ['lead_fz_n' => fn () => 45.0, 'trail_fz_n' => fn () => 55.0],
            ['lead_copx_mm' => $lx, 'lead_copy_mm' => $ly, 'trail_copx_mm' => $tx, 'trail_copy_mm' => $ty],
            DeviceClass::DualPlate,
            $stance,
        ),
        null,
        null,
        $stance,
    );
    expect($m->get(Measure::ToeDrift)->number())
        ->toEqualWithDelta(10.0, 0.3)
        ->and($m->get(Measure::HeelDriftBack)->number())
        ->toEqualWithDelta(0.0, 0.3)
        ->and($m->get(Measure::EdgeFraction)->number())
        ->toEqualWithDelta(20.0, 0.1)
        ->and($m->get(Measure::EdgeFractionDown)->number())
        ->toEqualWithDelta(20.0, 0.5)
        ->and($m->get(Measure::LeadRegion, 'IM')->value)
        ->toBe('mid')
        ->and($m->get(Measure::ToeDrift)->proxy)
        ->toBeNull();
});

it('has a toe drift from the net centre of pressure only indirectly, corrected for the stance', function () {
    $stance = new Stance(new Foot(230.0, 40.0), new Foot(-230.0, -20.0));
    // The share alone carries the net from the trail to the lead foot: 60 mm in y without any drift.
    $share = corners([[1.5, 40.0], [1.75, 90.0]]);
    $y = fn (float $t): float => -20.0 + (60.0 * $share($t)) / 100.0;
    $x = fn (float $t): float => -230.0 + (460.0 * $share($t)) / 100.0;
    $m = measure(
        forceTrace(['fz_n' => fn () => 100.0], ['copx_mm' => $x, 'copy_mm' => $y], DeviceClass::Plate, $stance),
        null,
        null,
        $stance,
    );
    expect($m->get(Measure::ToeDrift)->number())
        ->toEqualWithDelta(0.0, 0.4)
        ->and(worded($m->get(Measure::ToeDrift)->proxy))
        ->toContain('net centre of pressure')
        ->and(worded($m->get(Measure::EdgeFraction)->reason))
        ->toContain('each foot');
});

it('measures the shift: its rate, the drift off the lead leg, and a share at every station', function () {
    $share = corners([[0.6, 55.0], [0.95, 45.0], [1.2, 25.0], [1.5, 40.0], [1.75, 90.0], [2.4, 92.0]]);
    $m = measure(dualTrace($share));
    expect($m->get(Measure::LeadLegDrift)->number())->toEqualWithDelta(10.0, 0.4)
        ->and($m->get(Measure::ShiftRate)->number())->toEqualWithDelta(200.0, 8.0)
        ->and($m->get(Measure::ShiftRateAt)->number())->toBeBetween(15.0, 240.0)
        ->and($m->get(Measure::LeadPeakAt)->number())->toEqualWithDelta(0.0, 1.5)
        ->and($m->get(Measure::TrailPeakAt)->near)->toBe('LB');
    foreach (stations()->all() as $code => $time) {
        expect($m->get(Measure::LeadShare, $code)->number())->toEqualWithDelta($share($time->t), 1.0);
    }
});

it('leaves null what hangs on a station a short swing does not reach', function () {
    $m = measure(
        forceTrace(['lead_fz_n' => fn () => 50.0, 'trail_fz_n' => fn () => 50.0]),
        stations(['LB' => null, 'LD' => null]),
    );
    foreach (
        [Measure::Dip, Measure::Rise, Measure::SidePush, Measure::ShiftRate, Measure::LeadPeak, Measure::CopStyle] as $measure
    ) {
        expect(worded($m->get($measure)->reason))->toContain('LB');
    }
    expect(worded($m->get(Measure::UnloadRate)->reason))
        ->toContain('LD')
        ->and($m->get(Measure::TopShare)->number())
        ->toBe(50.0);
});
