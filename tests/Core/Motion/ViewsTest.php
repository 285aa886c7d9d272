<?php

use Core\Motion\Crossing;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\Tracked;
use Core\Motion\Turn;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\Axis;
use Core\Trace\Noise;
use Core\Trace\Series;

function still(array $points, View $view = View::Points): Motion
{
    $all = array_map(
        static fn (array $p): array => array_map(static fn (float $v): array => array_fill(0, 50, $v), $p),
        $points,
    );

    return $view === View::Points ? new Motion(100.0, $all) : (new Motion(100.0, $all))->seen($view);
}

it('knows which axes each view sees', function (View $view, array $axes) {
    foreach (Axis::cases() as $axis) {
        expect($view->sees($axis))->toBe($axes[$axis->value]);
    }
    expect($view->sampleSd())->toBeGreaterThan(0.0)->and($view->placementMm())->toBeGreaterThan(0.0);
})->with([
    [View::Points, [true, true, true]],
    [View::FaceOn, [true, false, true]],
    [View::DownTheLine, [false, true, true]],
]);

it('takes a coordinate from the best view that sees it', function () {
    $faceOn = still(['pelvis' => [10.0, 20.0, 900.0]], View::FaceOn);
    $line = still(['pelvis' => [11.0, 21.0, 901.0]], View::DownTheLine);
    $points = still(['chest' => [1.0, 2.0, 1300.0]]);
    $views = new Views($line, $faceOn, $points);
    expect($views->coordinate('pelvis', Axis::X)->at(0.1))->toBe(10.0)
        ->and($views->coordinate('pelvis', Axis::X)->view)->toBe(View::FaceOn)
        ->and($views->coordinate('pelvis', Axis::Y)->at(0.1))->toBe(21.0)
        ->and($views->coordinate('pelvis', Axis::Y)->view)->toBe(View::DownTheLine)
        ->and($views->coordinate('chest', Axis::Y)->view)->toBe(View::Points)
        ->and($views->coordinate('knee', Axis::X))->toBeNull()
        ->and($views->has(View::Points))->toBeTrue();
});

it('makes the middle of a pair where it is no point of its own', function () {
    $views = new Views(still(['lead_hip' => [100.0, -10.0, 900.0], 'trail_hip' => [-60.0, 30.0, 920.0]]));
    expect($views->coordinate('pelvis', Axis::X)->at(0.2))->toBe(20.0)
        ->and($views->coordinate('pelvis', Axis::Y)->at(0.2))->toBe(10.0)
        ->and($views->coordinate('pelvis', Axis::Z)->at(0.2))->toBe(910.0)
        ->and($views->coordinate('chest', Axis::X))->toBeNull();
});

it('gives a point in space from 3-D points only', function () {
    expect((new Views(still(['head' => [1.0, 2.0, 3.0]])))->point('head', 0.1)->z)->toBe(3.0)
        ->and((new Views(still(['head' => [1.0, 2.0, 3.0]], View::FaceOn)))->point('head', 0.1))->toBeNull()
        ->and((new Views)->point('head', 0.1))->toBeNull()
        ->and((new Views(still(['head' => [1.0, 2.0, 3.0]])))->point('head', 9.0))->toBeNull();
});

it('is as unsure of a moving point as its speed times the station\'s timing makes it', function () {
    $ramp = new Series(100.0, array_map(static fn (int $i): float => 20.0 * $i, range(0, 100)));
    $tracked = new Tracked($ramp, View::Points, new Noise(100.0, 6.0 / 1.96 * sqrt(1.5)));
    expect($tracked->speed(0.5))
        ->toEqualWithDelta(2000.0, 1e-6)
        ->and($tracked->uncertainty(new StationTime(0.5, 0.004, StationSource::File)))
        ->toEqualWithDelta(hypot(6.0, 8.0), 1e-3)
        ->and($tracked->speed(5.0))
        ->toBe(0.0);
});

it('follows a turn past half a circle without a leap', function () {
    $lead = $trail = [[], [], []];
    for ($i = 0; $i < 200; $i++) {
        $a = deg2rad(-100.0 + 1.6 * $i);
        foreach ([[&$lead, 1.0], [&$trail, -1.0]] as [&$p, $sign]) {
            $p[0][] = $sign * 100.0 * cos($a);
            $p[1][] = -$sign * 100.0 * sin($a);
            $p[2][] = 900.0;
        }
        unset($p);
    }
    $hips = new Motion(100.0, ['lead_hip' => $lead, 'trail_hip' => $trail]);
    $turn = Turn::ofJoint(new Views($hips), 'hip', stations());
    expect($turn->series->at(0.0))->toEqualWithDelta(-100.0, 1e-6)
        ->and($turn->series->at(1.9))->toEqualWithDelta(204.0, 1e-6)
        ->and($turn->rate()->at(1.0))->toEqualWithDelta(160.0, 1e-4)
        ->and($turn->indirect)->toBeFalse()
        ->and(Turn::ofJoint(new Views, 'hip', stations()))->toBeNull();
});

it('finds when a series passes zero: first or last, up or down, only in the span asked for', function () {
    $wave = new Series(100.0, array_map(static fn (int $i): float => sin(2 * M_PI * ($i / 100 - 0.1)), range(0, 300)));
    expect(Crossing::firstRise($wave, 0.0, 3.0))->toEqualWithDelta(0.1, 1e-3)
        ->and(Crossing::lastRise($wave, 0.0, 3.0))->toEqualWithDelta(2.1, 1e-3)
        ->and(Crossing::firstFall($wave, 0.0, 3.0))->toEqualWithDelta(0.6, 1e-3)
        ->and(Crossing::lastFall($wave, 0.0, 2.0))->toEqualWithDelta(1.6, 1e-3)
        ->and(Crossing::firstRise($wave, 0.2, 1.0))->toBeNull()
        ->and(Crossing::firstRise(new Series(100.0, [NAN, NAN, 1.0]), 0.0, 1.0))->toBeNull();
});
