<?php

use Core\Measurement\Evidence;
use Core\Measurement\Lack;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Meter;
use Core\Motion\Motion;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;

/*
 * A body of closed forms: legs of 430 + 430 mm straight under the hips, so that its height is 860 / 0.491, hips and
 * shoulders level and along the line, everything still but what a test moves.
 */

const BODY = [
    'lead_hip' => [100.0, 0.0, 900.0], 'trail_hip' => [-100.0, 0.0, 900.0],
    'lead_knee' => [100.0, 0.0, 470.0], 'trail_knee' => [-100.0, 0.0, 470.0],
    'lead_ankle' => [100.0, 0.0, 40.0], 'trail_ankle' => [-100.0, 0.0, 40.0],
    'lead_shoulder' => [180.0, 60.0, 1400.0], 'trail_shoulder' => [-180.0, 60.0, 1400.0],
    'head' => [0.0, 120.0, 1600.0],
    'trail_heel' => [-230.0, -100.0, 0.0], 'trail_ball' => [-230.0, 90.0, 0.0],
    'lead_heel' => [230.0, -100.0, 0.0], 'lead_ball' => [265.0, 90.0, 0.0],
];

/** @param  array<string, callable(float): list<float>>  $moved  mm off its place, by point */
function bodyOf(array $moved, ?View $view = null): Motion
{
    $points = [];
    for ($i = 0; $i <= 360; $i++) {
        foreach (BODY as $name => $place) {
            $off = isset($moved[$name]) ? $moved[$name]($i / 120.0) : [0.0, 0.0, 0.0];
            foreach ([0, 1, 2] as $a) {
                $points[$name][$a][] = $place[$a] + $off[$a];
            }
        }
    }
    $motion = new Motion(120.0, $points);

    return $view === null ? $motion : $motion->seen($view);
}

/** From nothing at $from to $far at $to, s. @return callable(float): list<float> */
function goes(float $from, float $to, float ...$far): callable
{
    return static fn (float $t): array => array_map(
        static fn (float $d): float => $d * max(0.0, min(1.0, ($t - $from) / ($to - $from))),
        array_values($far),
    );
}

function measuredBody(array $moved, Measure $measure, ?string $station = null, View ...$views): Measured
{
    $held = new Views(...($views === []
        ? [bodyOf($moved)]
        : array_map(static fn (View $v): Motion => bodyOf($moved, $v), array_values($views))));

    return Meter::read(new Evidence(stations(), null, $held, Stance::ofWidth(460.0)))->get($measure, $station);
}

it('measures the head along the line by body height, from points and from face-on film', function () {
    $head = ['head' => goes(0.7, 1.7, -90.0, 0.0, 0.0)];
    foreach ([[], [View::FaceOn]] as $views) {
        expect(measuredBody($head, Measure::HeadSway, 'IM', ...$views)->value)
            ->toEqualWithDelta(100.0 * -90.0 / (860.0 / 0.491), 0.02)
            ->and(measuredBody($head, Measure::HeadSway, 'TP', ...$views)->value)
            ->toEqualWithDelta(0.8 * 100.0 * -90.0 / (860.0 / 0.491), 0.05);
    }
    expect(measuredBody($head, Measure::HeadSway, 'IM', View::DownTheLine)->value)->toBeNull();
});

it('measures tilts with one sign, by the line in space or by its length on film', function () {
    // The lead shoulder 90 mm lower and the trail one 90 higher on a line that stays as long as it is.
    $in = -180.0 + sqrt(180.0 ** 2 - 90.0 ** 2);
    $tilt = [
        'lead_shoulder' => goes(1.0, 1.5, $in, 0.0, -90.0),
        'trail_shoulder' => goes(1.0, 1.5, -$in, 0.0, 90.0),
    ];
    foreach ([[], [View::FaceOn]] as $views) {
        expect(measuredBody($tilt, Measure::ShoulderTilt, 'TP', ...$views)->value)->toEqualWithDelta(30.0, 0.3)
            ->and(measuredBody($tilt, Measure::ShoulderTilt, 'AD', ...$views)->value)->toEqualWithDelta(0.0, 1e-6)
            ->and(measuredBody($tilt, Measure::PelvisTilt, 'TP', ...$views)->value)->toEqualWithDelta(0.0, 1e-6);
    }
});

it('measures the rise of the trail side, the knees at address and the pelvis to the ball by height', function () {
    $rise = ['trail_hip' => goes(1.52, 1.68, 0.0, 0.0, 55.0)];
    expect(measuredBody($rise, Measure::TrailSideRise)->value)->toEqualWithDelta(5.5, 0.15)
        ->and(measuredBody($rise, Measure::TrailSideRise, null, View::FaceOn)->proxy)->not->toBeNull()
        ->and(measuredBody([], Measure::TrailSideRise)->value)->toBe(0.0);
    $in = static fn (float $mm): array => [
        'lead_knee' => static fn (): array => [-$mm, 0.0, 0.0],
        'trail_knee' => static fn (): array => [$mm, 0.0, 0.0],
    ];
    expect(measuredBody($in(60.0), Measure::KneeSet)->value)->toEqualWithDelta(-rad2deg(atan2(60.0, 430.0)), 1e-6)
        ->and(measuredBody($in(-60.0), Measure::KneeSet, null, View::FaceOn)->value)
        ->toEqualWithDelta(rad2deg(atan2(60.0, 430.0)), 1e-6);
    $depth = array_fill_keys(['lead_hip', 'trail_hip'], goes(1.5, 1.74, 0.0, 70.0, 0.0));
    expect(measuredBody($depth, Measure::PelvisDepthPct)->value)->toEqualWithDelta(100.0 * 70.0 / (860.0 / 0.491), 0.05)
        ->and(measuredBody($depth, Measure::PelvisDepthPct, null, View::FaceOn)->reason?->is(Lack::FilmHasNoDepth))
        ->toBeTrue();
});

it('measures which way the trail heel, the trail knee and the pressure go', function (float $degrees) {
    [$x, $y] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
    $heel = static fn (float $mm): array => ['trail_heel' => static fn (float $t): array => [
        $mm * $x * max(0.0, min(1.0, ($t - 1.55) / 0.19)),
        $mm * $y * max(0.0, min(1.0, ($t - 1.55) / 0.19)),
        60.0 * max(0.0, min(1.0, ($t - 1.5) / 0.2)),
    ]];
    $m = measuredBody($heel(60.0), Measure::HeelDirection);
    expect(fmod($m->value - $degrees + 540.0, 360.0) - 180.0)->toEqualWithDelta(0.0, 0.5)
        ->and($m->uncertainty)->toBeGreaterThan(1.0)
        ->and(measuredBody($heel(60.0), Measure::HeelDirection, null, View::FaceOn, View::DownTheLine)->value)
        ->toEqualWithDelta($m->value, 0.5)
        ->and(measuredBody($heel(60.0), Measure::HeelDirection, null, View::FaceOn)->value)->toBeNull()
        ->and(measuredBody($heel(15.0), Measure::HeelDirection)->reason?->is(Lack::TooShortAWay))->toBeTrue()
        ->and(measuredBody([], Measure::HeelDirection)->reason?->is(Lack::TrailHeelStaysDown))->toBeTrue();
    $knee = ['trail_knee' => goes(1.5, 1.75, 120.0 * $x, 120.0 * $y, 0.0)];
    expect(fmod(measuredBody($knee, Measure::TrailKneeWay)->value - $degrees + 540.0, 360.0) - 180.0)
        ->toEqualWithDelta(0.0, 0.5);
    $channels = ['lead_pct' => [], 'trail_pct' => [], 'copx_mm' => [], 'copy_mm' => []];
    for ($i = 0; $i <= 300; $i++) {
        $part = max(0.0, min(1.0, ($i / 100.0 - 1.5) / 0.14));
        $channels['lead_pct'][] = 50.0;
        $channels['trail_pct'][] = 50.0;
        $channels['copx_mm'][] = 80.0 * $x * $part;
        $channels['copy_mm'][] = 80.0 * $y * $part;
    }
    $cop = measure(new Trace(DeviceClass::Mat, 100.0, $channels, Stance::ofWidth(460.0)))->get(Measure::CopDirection);
    expect(fmod($cop->value - $degrees + 540.0, 360.0) - 180.0)->toEqualWithDelta(0.0, 1.0);
})->with([0.0, 35.0, 90.0, 150.0, -90.0, -179.0]);

it('measures how far the pelvis goes away and when, what the knee gains, and flares of both feet', function () {
    $away = array_fill_keys(['lead_hip', 'trail_hip'], static fn (float $t): array => [
        -46.0 * max(0.0, min(1.0, ($t - 0.6) / 0.36)) + 92.0 * max(0.0, $t - 1.1), 0.0, 0.0,
    ]);
    expect(measuredBody($away, Measure::AwayMost)->value)->toEqualWithDelta(-10.0, 0.3)
        ->and(measuredBody($away, Measure::AwayMostAt)->value)->toBeGreaterThan(0.35)->toBeLessThan(0.6)
        ->and(measuredBody([], Measure::AwayMost)->value)->toBe(0.0);
    $bends = ['lead_knee' => goes(0.8, 1.4, 0.0, 100.0, 0.0)];
    $bent = 2.0 * rad2deg(atan2(100.0, 430.0));
    expect(measuredBody($bends, Measure::LeadKneeGain)->value)->toEqualWithDelta($bent, 0.1)
        ->and(measuredBody([], Measure::LeadFlare)->value)->toEqualWithDelta(rad2deg(atan2(35.0, 190.0)), 1e-6)
        ->and(measuredBody(['trail_ball' => static fn (): array => [-35.0, 0.0, 0.0]], Measure::TrailFlare)->value)
        ->toEqualWithDelta(rad2deg(atan2(35.0, 190.0)), 1e-6);
});

it('tells what was thrown back, and lets the trail foot go by its share whatever it presses later', function () {
    $m = measure(matTrace(corners([[0.6, 50.0], [1.2, 25.0], [1.69, 76.0], [1.75, 66.0], [2.2, 85.0]])));
    expect($m->get(Measure::ThrownBack)->value)->toEqualWithDelta(9.0, 1.6)
        ->and($m->get(Measure::ThrownBack)->value)
        ->toEqualWithDelta($m->get(Measure::LeadPeak)->value - $m->get(Measure::ImpactShare)->value, 0.2);
    // Let go before the top; the press after it does not undo that.
    $again = corners([[0.6, 50.0], [1.1, 30.0], [1.2, 30.0], [1.4, 50.0], [1.5, 45.0], [1.58, 32.0], [1.75, 85.0]]);
    $at = $m = measure(matTrace($again))->get(Measure::UnloadAt);
    expect($at->value)->toEqualWithDelta(1000.0 * (1.5 - 1.235), 15.0);
    // Never before it: the first time after.
    $late = corners([[0.6, 50.0], [1.2, 30.0], [1.56, 30.0], [1.75, 85.0]]);
    expect(measure(matTrace($late))->get(Measure::UnloadAt)->value)->toEqualWithDelta(-1000.0 * 0.072, 15.0);
});
