<?php

use Core\Chance\Chance;
use Core\Motion\Clock;

it('brings a time there and back', function () {
    $c = new Chance('clocks');
    for ($i = 0; $i < 500; $i++) {
        $clock = new Clock($c->normal(0.0, 10.0), $c->normal(0.0, 5000.0), $c->normal(0.0, 3.0));
        $t = $c->normal(0.0, 60.0);
        expect($clock->toOwn($clock->toRecording($t)))->toEqualWithDelta($t, 1e-9)
            ->and($clock->toRecording($clock->aboutS))->toEqualWithDelta($clock->aboutS + $clock->offsetS, 1e-12);
    }
});

it('is the same clock wherever its offset is told', function () {
    $clock = new Clock(0.25, 800.0, 10.0);
    $again = $clock->about(0.0);
    foreach ([-5.0, 0.0, 3.7, 10.0, 300.0] as $t) {
        expect($again->toRecording($t))->toEqualWithDelta($clock->toRecording($t), 1e-12);
    }
    expect($again->offsetS)->toEqualWithDelta(0.25 - 800e-6 * 10.0, 1e-12)->and($again->driftPpm)->toBe(800.0);
});

it('counts its frames by the other clock', function () {
    expect((new Clock(0.0, 1000.0))->rate(100.0))
        ->toEqualWithDelta(100.0 / 1.001, 1e-12)
        ->and((new Clock())->rate(240.0))
        ->toBe(240.0)
        ->and((new Clock(0.1))->moved(0.02)->drifting(5.0))
        ->toEqual(new Clock(0.1 + 0.02, 5.0));
});
