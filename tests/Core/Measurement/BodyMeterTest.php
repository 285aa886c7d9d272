<?php

use Core\Measurement\Lack;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Motion\Motion;
use Core\Remark\Remark;
use Core\Trace\Stance;

/** Pelvis moving along x as given, trail foot turning by an angle about its ball between address and impact. */
function bodyMotion(callable $pelvisX, float $spinDeg = 0.0): Motion
{
    $points = [];
    for ($i = 0; $i <= 360; $i++) {
        $t = $i / 120;
        $turn = deg2rad(-10.0 + $spinDeg * max(0.0, min(1.0, ($t - 0.6) / 1.15)));
        foreach (
            [
                'pelvis' => [$pelvisX($t), -100.0, 900.0],
                'chest' => [$pelvisX($t) - 20.0, 150.0, 1300.0],
                'trail_ball' => [-230.0, 60.0, 0.0],
                'trail_heel' => [-230.0 - 190.0 * sin($turn), 60.0 - 190.0 * cos($turn), 0.0],
            ] as $name => $p
        ) {
            foreach ($p as $axis => $v) {
                $points[$name][$axis][] = $v;
            }
        }
    }

    return new Motion(120.0, $points);
}

it('measures sway since address in per cent of the stance, toward the target positive', function () {
    $m = measure(null, null, bodyMotion(corners([[0.6, 10.0], [1.15, -82.0], [1.75, 102.0]])));
    expect($m->get(Measure::PelvisSway, 'LB')->number())->toEqualWithDelta(-20.0, 0.3)
        ->and($m->get(Measure::PelvisSway, 'IM')->number())->toEqualWithDelta(20.0, 0.3)
        ->and($m->get(Measure::PelvisSway, 'AD')->number())->toEqualWithDelta(0.0, 1e-6)
        ->and($m->get(Measure::ChestSway, 'LB')->number())->toEqualWithDelta(-20.0, 0.3)
        ->and($m->get(Measure::PelvisSway, 'LB')->uncertainty)->toBeLessThan(100 * 6 * M_SQRT2 / 460);
});

it('measures the turn of the trail foot, toes to the target positive', function (float $spin) {
    expect(measure(null, null, bodyMotion(fn () => 0.0, $spin))->get(Measure::FootSpin)->number())->toEqualWithDelta(
        $spin,
        0.3,
    );
})->with([0.0, 12.0, 35.0, -8.0]);

it('says why there is no sway and no spin', function () {
    expect(worded(measure(null)->get(Measure::PelvisSway, 'LB')->reason))
        ->toBe('no body points were recorded')
        ->and(
            worded(
                measure(null, stations(['LB' => null]), bodyMotion(fn () => 0.0))->get(Measure::PelvisSway, 'LB')
                    ->reason,
            ),
        )
        ->toBe('the time of station LB is not known')
        ->and(worded(measure(null)->get(Measure::FootSpin)->reason))
        ->toContain('heel and the ball')
        ->and(worded(measure(null, stations(['IM' => null]), bodyMotion(fn () => 0.0))->get(Measure::FootSpin)->reason))
        ->toContain('IM');
});

it('keeps a measure of many stations by station code', function () {
    $all = measure(null, null, bodyMotion(fn () => 0.0), Stance::ofWidth(460.0))->all();
    expect(array_keys($all['pelvis_sway']))
        ->toBe(['AD', 'TB', 'LB', 'TP', 'LD', 'SD', 'IM', 'ST', 'FI', 'away', 'away_at'])
        ->and($all['pelvis_sway']['LB']->number())
        ->toBeFloat()
        ->and($all['impact_share'])
        ->toEqual(Measured::none('%', Remark::of(Lack::NoTrace)));
});

it('has a unit for every measure', function () {
    foreach (Measure::cases() as $m) {
        expect($m->unit())->not->toBe('');
    }
});
