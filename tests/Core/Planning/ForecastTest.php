<?php

use Core\Planning\Assumptions;
use Core\Planning\Forecast;
use Core\Planning\WidthFormula;
use Core\Planning\WidthSimulation;

it('says what the formula says, where each golfer has one swing', function () {
    $of = Forecast::of(40, 40, 8, 0.3, 0.85);
    $assumed = new Assumptions(0.3, 0.85, 8);
    expect($of->agreement)->toEqualWithDelta((new WidthFormula($assumed, 'gwet_ac1'))->width(40), 1e-12)
        ->and($of->finding)->toEqualWithDelta((new WidthFormula($assumed, 'sensitivity'))->width(40), 1e-12);
});

it('is surer with more cases, more golfers, more readers; one reader or one golfer say nothing together', function () {
    $of = static fn (int $cases, int $golfers, int $readers): ?float => Forecast::of($cases, $golfers, $readers, 0.2, 0.8)
        ->agreement;
    expect($of(40, 40, 6))->toBeLessThan($of(20, 20, 6))
        ->and($of(40, 40, 6))->toBeLessThan($of(40, 10, 6))
        ->and($of(40, 40, 12))->toBeLessThan($of(40, 40, 3))
        ->and($of(40, 40, 1))->toBeNull()
        ->and($of(3, 1, 6))->toBeNull()
        ->and(Forecast::of(12, 12, 0, 0.2, 0.8)->finding)->toBeNull()
        ->and(Forecast::of(12, 12, 6, 0.2, 0.8)->change)->toBeGreaterThan(Forecast::of(48, 48, 6, 0.2, 0.8)->change);
});

it('comes near what simulated rounds report', function () {
    $assumed = new Assumptions(0.4, 0.8, 6);
    $simulated = (new WidthSimulation($assumed, 'gwet_ac1'))->run(40, many(60, 300));
    expect(Forecast::of(40, 40, 6, 0.4, 0.8)->agreement)->toEqualWithDelta($simulated->mean, 0.15 * $simulated->mean);
});
