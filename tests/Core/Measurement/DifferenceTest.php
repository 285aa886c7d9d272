<?php

use Core\CoreException;
use Core\Measurement\Difference;
use Core\Measurement\Spread;

it('joins the uncertainties of two swings, and turns round when they are changed about', function () {
    $d = Difference::ofSwings(70.0, 3.0, 76.0, 4.0);
    expect([$d->change, $d->uncertainty, $d->isBeyond()])->toBe([6.0, 5.0, true]);
    $back = Difference::ofSwings(76.0, 4.0, 70.0, 3.0);
    expect([$back->change, $back->uncertainty, $back->isBeyond()])->toBe([-6.0, 5.0, true]);
    expect(Difference::ofSwings(70.0, 3.0, 75.0, 4.0)->isBeyond())->toBeFalse();
});

it('is surer of two series the more swings they have, but never surer than the instrument', function () {
    $few = Difference::ofSeries(Spread::ofValues([70.0, 74.0]), Spread::ofValues([80.0, 84.0]), 2.0, 1.5);
    $many = Difference::ofSeries(
        Spread::ofValues(array_merge(...array_fill(0, 50, [70.0, 74.0]))),
        Spread::ofValues(array_merge(...array_fill(0, 50, [80.0, 84.0]))),
        2.0,
        1.5,
    );
    expect($few->change)
        ->toBe(10.0)
        ->and($many->change)
        ->toBe(10.0)
        ->and($many->uncertainty)
        ->toBeLessThan($few->uncertainty)
        ->toBeGreaterThan(1.5);
});

it('refuses what is no number', function (float $change, float $uncertainty) {
    expect(fn () => Difference::ofSwings(0.0, $uncertainty, $change, 0.0))->toThrow(CoreException::class);
})->with([[NAN, 1.0], [INF, 1.0], [1.0, NAN]]);
