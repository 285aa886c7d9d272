<?php

use Core\CoreException;
use Core\Motion\Curve;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Motion\Vec3;
use Core\Trace\Axis;

it('passes through its knots without overshoot and is flat where it turns', function () {
    $c = new Curve([[0.0, 0.0], [1.0, 10.0], [2.0, 10.5], [3.0, -4.0]]);
    expect($c->at(1.0))
        ->toBe(10.0)
        ->and($c->at(3.0))
        ->toBe(-4.0)
        ->and($c->at(-5.0))
        ->toBe(0.0)
        ->and($c->at(9.0))
        ->toBe(-4.0);
    foreach (range(0, 300) as $i) {
        expect($c->at($i / 100))->toBeGreaterThanOrEqual(-4.0)->toBeLessThanOrEqual(10.5);
    }
    expect(($c->at(2.0 + 1e-5) - $c->at(2.0 - 1e-5)) / 2e-5)->toEqualWithDelta(0.0, 1e-3);
});

it('samples a curve as it reads it', function () {
    $c = new Curve([[0.0, 0.0], [0.4, 3.0], [1.0, 1.0]]);
    foreach ($c->sample(101, 100.0) as $i => $v) {
        expect($v)->toEqualWithDelta($c->at($i / 100), 1e-12);
    }
});

it('refuses knots out of order', function () {
    new Curve([[0.0, 0.0], [0.0, 1.0]]);
})->throws(CoreException::class, 'motion.knot-order');

it('keeps stations in the order of a swing whatever the order given', function () {
    $s = StationTimes::fromSeconds(['IM' => 1.7, 'AD' => 0.5, 'TP' => 1.4], 0.004, StationSource::File);
    expect(array_keys($s->all()))->toBe(['AD', 'TP', 'IM'])
        ->and($s->t(Station::Top))->toBe(1.4)
        ->and($s->t(Station::Finish))->toBeNull()
        ->and($s->nearest(1.6))->toBe(Station::Impact)
        ->and($s->get(Station::Impact)->uncertainty)->toBe(0.004);
});

it('refuses stations that contradict each other or do not exist', function () {
    expect(fn () => StationTimes::fromSeconds(['TP' => 1.8, 'IM' => 1.7], 0.0, StationSource::File))
        ->toRefuse('Station IM (1.700 s) must come after TP (1.800 s).')
        ->and(fn () => StationTimes::fromSeconds(['XX' => 1.8], 0.0, StationSource::File))
        ->toRefuse("'XX' is no station");
});

it('has nine stations, in order', function () {
    expect(Station::cases())->toHaveCount(9)->and(Station::Impact->order())->toBe(6);
});

it('reflects a right-handed golfer from the laboratory and leaves a left-handed one unreflected', function () {
    $points = [
        'left_heel' => [[1.0], [2.0], [3.0]],
        'right_heel' => [[-1.0], [5.0], [6.0]],
        'pelvis' => [[0.0], [7.0], [8.0]],
    ];
    $right = Motion::fromLaboratory(100.0, $points, Handedness::Right);
    $left = Motion::fromLaboratory(100.0, $points, Handedness::Left);
    expect($right->points['lead_heel'])->toBe([[1.0], [-2.0], [3.0]])
        ->and($right->points['trail_heel'][1])->toBe([-5.0])
        ->and($left->points['trail_heel'])->toBe([[1.0], [2.0], [3.0]])
        ->and($left->points['lead_heel'][0])->toBe([-1.0])
        ->and($right->toLaboratory(Handedness::Right))->toEqual($points)
        ->and($left->toLaboratory(Handedness::Left))->toEqual($points);
});

it('refuses a point it does not have', function () {
    (new Motion(100.0, ['pelvis' => [[0.0], [0.0], [0.0]]]))->coordinate('chest', Axis::X);
})->throws(CoreException::class, 'motion.no-point {"point":"chest"}');

it('does the arithmetic of vectors', function () {
    $v = new Vec3(3.0, 4.0, 0.0);
    expect($v->length())->toBe(5.0)->and($v->unit()->x)->toEqualWithDelta(0.6, 1e-12)
        ->and($v->plus(new Vec3(1.0, 1.0, 1.0), 2.0)->z)->toBe(2.0)->and($v->minus($v)->length())->toBe(0.0)
        ->and($v->dot(new Vec3(0.0, 2.0, 9.0)))->toBe(8.0)->and((new Vec3(0.0, 0.0, 0.0))->unit()->x)->toBe(0.0);
});
