<?php

use Core\Measurement\Bound;
use Core\Measurement\Difference;
use Core\Measurement\Evidence;
use Core\Measurement\Illustration;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Measurement\Meter;
use Core\Measurement\Spread;
use Core\Motion\Motion;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Trace\Stance;

/** Points from closed-form functions of time returning [x, y, z]; 240 frames a second, three seconds. */
function pointMotion(array $points, View $view = View::Points): Motion
{
    $out = [];
    for ($i = 0; $i <= 720; $i++) {
        foreach ($points as $name => $f) {
            foreach ($f($i / 240) as $axis => $v) {
                $out[$name][$axis][] = (float) $v;
            }
        }
    }
    $motion = new Motion(240.0, $out);

    return $view === View::Points ? $motion : $motion->seen($view);
}

/** A pair of joints at ±half the width, turned by an angle about the vertical, open positive. */
function turned(string $joint, float $half, callable $degrees): array
{
    return [
        "lead_$joint" => fn (float $t): array => [
            $half * cos(deg2rad($degrees($t))),
            -$half * sin(deg2rad($degrees($t))),
            900.0,
        ],
        "trail_$joint" => fn (float $t): array => [
            -$half * cos(deg2rad($degrees($t))),
            $half * sin(deg2rad($degrees($t))),
            900.0,
        ],
    ];
}

it('measures turn from 3-D points, past a right angle and either way', function () {
    $turn = corners([[0.6, 0.0], [1.5, -95.0], [1.75, 35.0], [2.4, 100.0]]);
    $m = measure(null, null, pointMotion(turned('hip', 90.0, $turn) + turned('shoulder', 190.0, $turn)));
    foreach (['AD' => 0.0, 'TP' => -95.0, 'IM' => 35.0, 'FI' => 100.0] as $code => $expected) {
        expect($m->get(Measure::PelvisTurn, $code)->number())
            ->toEqualWithDelta($expected, 0.5)
            ->and($m->get(Measure::ChestTurn, $code)->number())
            ->toEqualWithDelta($expected, 0.5);
    }
    expect($m->get(Measure::PelvisTurn, 'TP')->proxy)->toBeNull();
});

it('estimates turn from face-on film by apparent width, and marks it indirect', function () {
    $turn = corners([[0.6, 0.0], [1.4, -45.0], [1.65, 0.0], [1.75, 35.0], [2.4, 80.0]]);
    $m = measure(null, null, pointMotion(turned('hip', 90.0, $turn), View::FaceOn));
    expect($m->get(Measure::PelvisTurn, 'IM')->number())
        ->toEqualWithDelta(35.0, 4.0)
        ->and($m->get(Measure::PelvisTurn, 'TP')->number())
        ->toBeLessThan(-15.0)
        ->and(worded($m->get(Measure::PelvisTurn, 'IM')->proxy))
        ->toContain('apparent width')
        ->and($m->get(Measure::PelvisTurn, 'IM')->uncertainty)
        ->toBeGreaterThan(10.0)
        ->and(
            worded(
                measure(null, null, pointMotion(turned('hip', 90.0, $turn), View::DownTheLine))->get(
                    Measure::PelvisTurn,
                    'IM',
                )->reason,
            ),
        )
        ->toContain('face-on film');
});

it('never calls pressure mass: the body ahead of it, and the chest over the lead heel', function () {
    $still = fn (float $x, float $z): Closure => fn (float $t): array => [$x + ($t > 1.6 ? 69.0 : 0.0), 0.0, $z];
    $motion = pointMotion([
        'pelvis' => $still(0.0, 900.0),
        'chest' => $still(20.0, 1300.0),
        'lead_heel' => fn () => [230.0, -90.0, 0.0],
        'trail_heel' => fn () => [-230.0, -90.0, 0.0],
    ]);
    $m = measure(dualTrace(fn () => 50.0), null, $motion);
    expect($m->get(Measure::MassAhead, 'TP')->number())
        ->toEqualWithDelta((100 * 10.0) / 460, 0.3)
        ->and($m->get(Measure::MassAhead, 'IM')->number())
        ->toEqualWithDelta((100 * 79.0) / 460, 0.3)
        ->and($m->get(Measure::ChestOverLead)->number())
        ->toEqualWithDelta((100 * (89.0 + 230.0)) / 460, 0.3)
        ->and(worded(measure(null, null, $motion)->get(Measure::MassAhead, 'LD')->reason))
        ->toBe('no pressure or force was recorded');
});

it('measures the farthest move from the target and when', function () {
    $x = corners([[0.6, 0.0], [1.2, -92.0], [1.75, 46.0]]);
    $m = measure(null, null, pointMotion(['pelvis' => fn (float $t): array => [$x($t), 0.0, 900.0]]));
    expect($m->get(Measure::PelvisSway, 'away')->number())->toEqualWithDelta(-20.0, 1.0)
        ->and($m->get(Measure::PelvisSway, 'away_at')->number())->toEqualWithDelta(0.6 / 0.9, 0.02)
        ->and($m->get(Measure::PelvisSway, 'IM')->also['value'])->toEqualWithDelta(4.6, 0.1);
});

it('times the trail heel leaving the ground, and says when it never does', function () {
    $z = corners([[1.55, 0.0], [1.75, 40.0]]);
    $m = measure(null, null, pointMotion(['trail_heel' => fn (float $t): array => [-230.0, -90.0, 30.0 + $z($t)]]));
    expect($m->get(Measure::TrailHeelLift)->number())
        ->toEqualWithDelta(4.0, 0.1)
        ->and($m->get(Measure::TrailHeelLiftAt)->number())
        ->toEqualWithDelta(125.0, 2.0);
    $never = measure(null, null, pointMotion(['trail_heel' => fn (): array => [-230.0, -90.0, 30.0]]))->get(
        Measure::TrailHeelLiftAt,
    );
    expect($never->censored)->toBe('below')->and(worded($never->reason))->toContain('later than impact');
});

it('measures the lead heel: how high, and when it is planted again', function () {
    $z = corners([[0.8, 0.0], [1.3, 40.0], [1.6, 0.0]]);
    $m = measure(null, null, pointMotion(['lead_heel' => fn (float $t): array => [230.0, -90.0, $z($t)]]));
    expect($m->get(Measure::LeadHeelLift)->number())
        ->toEqualWithDelta(4.0, 0.1)
        ->and($m->get(Measure::ReplantAt)->number())
        ->toEqualWithDelta(1000 * (1.6 - (0.3 * 15) / 40 - 1.5), 3.0)
        ->and(
            worded(
                measure(null, null, pointMotion(['lead_heel' => fn (): array => [230.0, -90.0, 0.0]]))->get(
                    Measure::ReplantAt,
                )->reason,
            ),
        )
        ->toContain('never left the ground');
});

it('measures the bend of the lead knee and when it starts to straighten', function () {
    $flex = corners([[1.0, 20.0], [1.65, 50.0], [1.75, 30.0], [2.4, 5.0]]);
    $leg = [
        'lead_hip' => fn (): array => [230.0, 0.0, 840.0],
        'lead_knee' => fn (): array => [230.0, 0.0, 420.0],
        'lead_ankle' => fn (float $t): array => [
            230.0,
            -420.0 * sin(deg2rad($flex($t))),
            420.0 - 420.0 * cos(deg2rad($flex($t))),
        ],
    ];
    $m = measure(null, null, pointMotion($leg));
    expect($m->get(Measure::LeadKneeFlex, 'IM')->number())
        ->toEqualWithDelta(30.0, 0.5)
        ->and($m->get(Measure::LeadKneeFlex, 'extends')->number())
        ->toEqualWithDelta(100.0, 10.0)
        ->and($m->get(Measure::LeadKneeFlex, 'IM')->proxy)
        ->toBeNull()
        ->and(
            worded(measure(null, null, pointMotion($leg, View::DownTheLine))->get(Measure::LeadKneeFlex, 'IM')->proxy),
        )
        ->toContain('down-the-line')
        ->and(measure(null, null, pointMotion($leg, View::FaceOn))->get(Measure::LeadKneeFlex, 'IM')->number())
        ->toEqualWithDelta(0.0, 0.5);
});

it('measures hips, pelvis and knees toward and from the ball', function () {
    $y = corners([[1.5, 0.0], [1.75, -50.0]]);
    $gap = corners([[1.5, 300.0], [1.7, 350.0]]);
    $motion = pointMotion([
        'lead_hip' => fn (float $t): array => [90.0, $y($t), 900.0],
        'trail_hip' => fn (): array => [-90.0, 0.0, 900.0],
        'pelvis' => fn (float $t): array => [0.0, -$y($t) / 2, 900.0],
        'lead_knee' => fn (float $t): array => [$gap($t) / 2, 0.0, 450.0],
        'trail_knee' => fn (float $t): array => [-$gap($t) / 2, 0.0, 450.0],
    ]);
    // 70 % lead is reached at 1.625 s, half way down: the hip has gone back by half.
    $m = measure(dualTrace(corners([[1.2, 30.0], [1.5, 50.0], [1.75, 90.0]])), null, $motion);
    expect($m->get(Measure::LeadHipBack)->number())
        ->toEqualWithDelta(2.5, 0.15)
        ->and($m->get(Measure::PelvisDepth)->number())
        ->toEqualWithDelta(2.5, 0.05)
        ->and($m->get(Measure::KneeGap, 'TP')->number())
        ->toEqualWithDelta(30.0, 0.05)
        ->and($m->get(Measure::KneeGapGrowth)->number())
        ->toEqualWithDelta(5.0, 0.05)
        ->and(worded(measure(null, null, $motion->seen(View::FaceOn))->get(Measure::KneeGapGrowth)->reason))
        ->toContain('3-D points can')
        ->and(worded(measure(null, null, $motion->seen(View::FaceOn))->get(Measure::PelvisDepth)->reason))
        ->toContain('no depth');
});

it('reads foot spin off the outline in face-on film, widely', function () {
    $turn = corners([[0.6, -10.0], [1.75, 25.0]]);
    $foot = [
        'trail_ball' => fn (): array => [-230.0, 60.0, 0.0],
        'trail_heel' => fn (float $t): array => [
            -230.0 - 194.4 * sin(deg2rad($turn($t))),
            60.0 - 194.4 * cos(deg2rad($turn($t))),
            0.0,
        ],
    ];
    $film = measure(null, null, pointMotion($foot, View::FaceOn))->get(Measure::FootSpin);
    expect($film->number())
        ->toEqualWithDelta(35.0, 1.0)
        ->and(worded($film->proxy))
        ->toContain('outline')
        ->and($film->uncertainty)
        ->toBeGreaterThan(8.0)
        ->and(measure(null, null, pointMotion($foot))->get(Measure::FootSpin)->uncertainty)
        ->toBeLessThan(4.0);
});

it('tells which comes first, chest or pressure', function (float $shareStarts) {
    $share = corners([[0.6, 55.0], [1.2, 30.0], [$shareStarts, 32.0], [1.75, 88.0]]);
    // Shoulders at rest until 1.5 s, then opening with a steady acceleration: rate through 5 % of its peak soon after.
    $turn = fn (float $t): float => $t < 1.5 ? -90.0 : -90.0 + 110.0 * min(1.0, ($t - 1.5) / 0.25) ** 2;
    $m = measure(dualTrace($share), null, pointMotion(turned('shoulder', 190.0, $turn)))->get(Measure::ChestFirst);
    expect($m->number())
        ->toEqualWithDelta(1000 * ($shareStarts - 1.5125), 10.0)
        ->and($m->uncertainty)
        ->toBeLessThan(60.0);
})->with([1.6, 1.45]);

it('knows a golfer\'s own spread and what a change between two series is worth', function () {
    $before = Spread::ofValues([70.0, 72.0, 74.0, 72.0]);
    $after = Spread::ofValues([80.0, 79.0, 81.0]);
    expect($before->mean)
        ->toBe(72.0)
        ->and($before->sd)
        ->toEqualWithDelta(1.633, 1e-3)
        ->and(Spread::ofValues([70.0]))
        ->toBeNull();
    // Welch: se = sqrt(8/3/4 + 1/3) = 1, ν = 1/((2/3)²/3 + (1/3)²/2) = 4.909…
    expect(Spread::degrees($before, $after))->toEqualWithDelta(1 / ((2 / 3) ** 2 / 3 + (1 / 3) ** 2 / 2), 1e-9);
    $change = Difference::ofSeries($before, $after, 2.58, 1.0);
    expect($change->change)
        ->toBe(8.0)
        ->and($change->uncertainty)
        ->toEqualWithDelta(hypot(2.58, 1.0), 1e-9)
        ->and($change->isBeyond())
        ->toBeTrue();
    expect(Difference::ofSeries($before, Spread::ofValues([73.0, 72.5]), 3.0, 1.0)->isBeyond())->toBeFalse();
    $swing = fn (float $v, ?string $side = null): Measurements => new Measurements([
        'recentre_lead' => $side === null
                ? Measured::value('ms', $v, 2.0)
                : Measured::censored('ms', $side, $v, 2.0, Bound::NeverRecentred),
    ]);
    expect(Spread::ofSwings([$swing(10.0), $swing(20.0), $swing(-250.0, 'below')], Measure::RecentreLead)->n)->toBe(2);
});

it('shows the curve a measure was read off, with its threshold in the right place', function () {
    $share = corners([[0.6, 55.0], [1.2, 25.0], [1.45, 50.0], [1.75, 85.0], [2.4, 70.0]]);
    $evidence = new Evidence(stations(), dualTrace($share), null, Stance::ofWidth(460.0));
    expect(Illustration::ofMeasure($evidence, Measure::ImpactShare)->level(68.0))->toBe(68.0)
        ->and(Illustration::ofMeasure($evidence, Measure::TrailPeak)->level(54.0))->toBe(46.0)
        ->and(Illustration::ofMeasure($evidence, Measure::Fallback)->level(25.0))->toEqualWithDelta(60.0, 1.0)
        ->and(Illustration::ofMeasure($evidence, Measure::RecentreLead)->moment(-70.0))->toEqualWithDelta(1.57, 1e-9)
        ->and(Illustration::ofMeasure($evidence, Measure::RecentreLead)->level(-70.0))->toBeNull()
        ->and(Illustration::ofMeasure($evidence, Measure::TrailPeakAt)->moment(0.85))
        ->toEqualWithDelta(0.6 + 0.85 * 0.9, 1e-9)
        ->and(Illustration::ofMeasure($evidence, Measure::PelvisSway, 'LB'))->toBeNull()
        ->and(Illustration::ofMeasure($evidence, Measure::CopStyle))->toBeNull();
    $drawn = 0;
    $swing = \Core\Simulation\Swing::simulated(new \Core\Simulation\GolferSpec('drawn'));
    $full = new Evidence($swing->stations, $swing->trace, new Views($swing->motion()), $swing->stance);
    $m = Meter::read($full);
    foreach (Measure::cases() as $measure) {
        $picture = Illustration::ofMeasure($full, $measure, 'IM');
        $value = $m->get($measure, 'IM')->number();
        if ($picture !== null && $value !== null) {
            $drawn++;
            expect($picture->level($value) ?? $picture->moment($value))->toBeFloat();
            // A value read at a station lies on its curve.
            if (
                in_array(
                    $measure,
                    [Measure::ImpactShare, Measure::PelvisSway, Measure::ChestSway, Measure::PelvisTurn],
                    true,
                )
            ) {
                expect($picture->curve->at($swing->stations->t(\Core\Motion\Station::Impact)))->toEqualWithDelta(
                    $picture->level($value),
                    1.0,
                );
            }
        }
    }
    expect($drawn)->toBeGreaterThan(35);
});
