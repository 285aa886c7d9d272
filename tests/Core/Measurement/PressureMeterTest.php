<?php

use Core\Measurement\Measure;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;
use Core\Trace\Trace;

/** 55 at set-up, down to 25 lead (trail peak 75) at 1.2 s, up through 50 at 1.45 s, 85 at impact, 92 at the finish. */
function usualShare(): callable
{
    return corners([[0.6, 55.0], [1.2, 25.0], [1.45, 50.0], [1.75, 85.0], [2.4, 92.0]]);
}

it('reads the shares off a trace of straight lines', function (string $key, float $expected) {
    $m = measure(dualTrace(usualShare()))->get(Measure::from($key));
    expect($m->number())->toEqualWithDelta($expected, 0.6)->and($m->unit)->toBe('%')->and($m->reason)->toBeNull();
})->with([
    ['setup_share', 55.0],
    ['trail_peak', 75.0],
    ['top_share', 50.0 + (35.0 * 0.05) / 0.3],
    ['level_share', 50.0 + (35.0 * 0.19) / 0.3],
    ['shaft_share', 50.0 + (35.0 * 0.25) / 0.3],
    ['impact_share', 85.0],
    ['finish_share', 92.0],
    ['lead_peak', 85.0],
]);

it('times the trail peak as a fraction of the backswing', function () {
    expect(measure(dualTrace(usualShare()))->get(Measure::TrailPeakAt)->number())->toEqualWithDelta(0.6 / 0.9, 0.01);
});

it('times recentring before the top as positive and after it as negative', function (float $crossing, float $ms) {
    $share = corners([[0.6, 55.0], [1.1, 25.0], [$crossing - 0.1, 40.0], [$crossing + 0.1, 60.0], [1.75, 85.0]]);
    $m = measure(dualTrace($share))->get(Measure::RecentreLead);
    expect($m->number())->toEqualWithDelta($ms, 1.5)->and($m->unit)->toBe('ms')->and($m->censored)->toBeNull();
})->with([[1.45, 50.0], [1.5, 0.0], [1.6, -100.0]]);

it('says "later than impact" when half the pressure never comes back, and keeps the bound', function () {
    $m = measure(dualTrace(corners([[0.6, 55.0], [1.2, 25.0], [1.9, 45.0]])))->get(Measure::RecentreLead);
    expect($m->censored)
        ->toBe('below')
        ->and($m->number())
        ->toEqualWithDelta(-250.0, 1e-6)
        ->and(worded($m->reason))
        ->toContain('later than impact');
});

it('says "earlier than takeaway" when the lead side never gave it up', function () {
    $m = measure(dualTrace(corners([[0.6, 58.0], [1.2, 54.0], [1.75, 85.0]])))->get(Measure::RecentreLead);
    expect($m->censored)->toBe('above')->and(worded($m->reason))->toContain('earlier than takeaway');
});

it('ignores a touch of the half that is not held for 30 ms', function () {
    $share = corners([
        [0.6, 55.0],
        [1.2, 25.0],
        [1.4, 44.0],
        [1.405, 56.0],
        [1.415, 44.0],
        [1.55, 48.0],
        [1.65, 70.0],
        [1.75, 85.0],
    ]);
    expect(measure(dualTrace($share))->get(Measure::RecentreLead)->number())->toBeLessThan(-50.0);
});

it('measures fall-back and surge after impact', function () {
    $share = corners([[0.6, 55.0], [1.2, 25.0], [1.75, 80.0], [1.80, 90.0], [2.1, 60.0], [2.4, 70.0]]);
    $m = measure(dualTrace($share));
    expect($m->get(Measure::LateSurge)->number())->toEqualWithDelta(10.0, 1.2)
        ->and($m->get(Measure::Fallback)->number())->toEqualWithDelta(20.0, 1.2);
});

it('tells a returning from a forward path of pressure', function (float $peak, string $style) {
    $share = corners([[0.6, 55.0], [1.2, 25.0], [1.62, $peak], [1.75, 70.0]]);
    expect(measure(dualTrace($share))->get(Measure::CopStyle)->value)->toBe($style);
})->with([[90.0, 'returning'], [80.0, 'forward'], [70.0, 'forward']]);

it('finds the rise of vertical force and when it peaks, a half-sine after the dip', function (float $peakBefore) {
    $at = 1.75 - $peakBefore;
    $total = fn (float $t): float => $t < 1.58
        ? 100.0 - 15.0 * max(0.0, 1 - abs($t - 1.58) / 0.1)
        : ($t < 2 * $at - 1.58
            ? 85.0 + 65.0 * sin((M_PI * ($t - 1.58)) / (2 * ($at - 1.58)))
            : 85.0);
    $m = measure(dualTrace(usualShare(), $total));
    expect($m->get(Measure::Rise)->number())->toEqualWithDelta(150.0, 1.0)
        ->and($m->get(Measure::RiseAt)->number())->toEqualWithDelta(1000 * $peakBefore, 2.0);
})->with([0.06, 0.02, -0.02]);

it('has no rise from a mat, none without the mass, and says why', function () {
    expect(worded(measure(matTrace(usualShare()))->get(Measure::Rise)->reason))->toBe(
        'a pressure mat knows shares, not newtons',
    );
    $dual = dualTrace(usualShare());
    $unknown = new Trace($dual->device, $dual->rateHz, $dual->channels, $dual->stance);
    expect(worded(measure($unknown)->get(Measure::RiseAt)->reason))->toBe('needs the golfer’s mass');
});

it('says what is missing instead of measuring', function () {
    expect(worded(measure(null)->get(Measure::ImpactShare)->reason))
        ->toBe('no pressure or force was recorded')
        ->and(worded(measure(dualTrace(usualShare()), stations(['LD' => null]))->get(Measure::LevelShare)->reason))
        ->toBe('the time of station LD is not known')
        ->and(worded(measure(dualTrace(usualShare()), stations(['TP' => null]))->get(Measure::RecentreLead)->reason))
        ->toBe('the time of station TP is not known')
        ->and(worded(measure(dualTrace(usualShare(), duration: 1.72))->get(Measure::ImpactShare)->reason))
        ->toContain('does not cover')
        ->and(worded(measure(dualTrace(usualShare()), stations(['IM' => null]))->get(Measure::Tempo)->reason))
        ->toContain('address, top and impact');
    $plate = new Trace(
        DeviceClass::Plate,
        500.0,
        array_fill_keys(DeviceClass::Plate->channels(), array_fill(0, 1500, 700.0)),
        null,
        80.0,
    );
    expect(worded(measure($plate)->get(Measure::TopShare)->reason))->toContain('only with the positions of both feet');
});

it('widens its uncertainty with the slope, the station timing and the noise of the device', function () {
    $steep = corners([[0.6, 55.0], [1.2, 25.0], [1.45, 30.0], [1.75, 90.0], [2.4, 92.0]]);
    $known = measure(dualTrace($steep), stations([], 0.001));
    $vague = measure(dualTrace($steep), stations([], 0.010));
    $mat = measure(matTrace($steep), stations([], 0.001));
    expect($vague->get(Measure::LevelShare)->uncertainty)
        ->toEqualWithDelta(hypot(200.0 * 0.01, 1.0), 0.25)
        ->and($vague->get(Measure::LevelShare)->uncertainty)
        ->toBeGreaterThan(2 * $known->get(Measure::LevelShare)->uncertainty)
        ->and($mat->get(Measure::LevelShare)->uncertainty)
        ->toBeGreaterThan(1.8 * $known->get(Measure::LevelShare)->uncertainty);
    // The device's constant error cancels in a difference within one swing.
    expect($mat->get(Measure::Fallback)->uncertainty)->toBeLessThan(
        hypot(2.0, $mat->get(Measure::ImpactShare)->uncertainty),
    );
});

it('marks a share from a single plate as derived', function () {
    $share = usualShare();
    $x = array_map(static fn (int $i): float => -230.0 + 4.6 * $share($i / 500), range(0, 1500));
    $n = count($x);
    $plate = new Trace(
        DeviceClass::Plate,
        500.0,
        [
            'fx_n' => array_fill(0, $n, 0.0),
            'fy_n' => array_fill(0, $n, 0.0),
            'fz_n' => array_fill(0, $n, 784.5),
            'mz_nm' => array_fill(0, $n, 0.0),
            'copx_mm' => $x,
            'copy_mm' => array_fill(0, $n, 0.0),
        ],
        Stance::ofWidth(460.0),
        80.0,
    );
    $m = measure($plate)->get(Measure::ImpactShare);
    expect($m->number())->toEqualWithDelta(85.0, 0.6)->and($m->derived)->toBeTrue();
});

it('measures tempo with its uncertainty', function () {
    $m = measure(null, stations([], 0.005))->get(Measure::Tempo);
    expect($m->number())
        ->toEqualWithDelta(0.9 / 0.25, 1e-9)
        ->and($m->uncertainty)
        ->toEqualWithDelta(3.6 * 0.005 * hypot(hypot(1 / 0.9, 1 / 0.25), 1 / 0.9 + 1 / 0.25), 1e-9);
});
