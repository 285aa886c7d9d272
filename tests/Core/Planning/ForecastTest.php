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
    $of = static fn (
        int $cases,
        int $golfers,
        int $readers,
    ): ?float => Forecast::of($cases, $golfers, $readers, 0.2, 0.8)
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

it('says which difference to a round of other cases would be found, by golfers and not by swings', function (
    int $cases,
    int $golfers,
    float $t,
) {
    // Half the width is t standard errors; the difference of two rounds has √2 of one, and 1.960 + 0.842 of it is found.
    $of = Forecast::of($cases, $golfers, 6, 0.3, 0.85);
    expect($of->change)->toEqualWithDelta((1.959964 + 0.841621) * sqrt(2.0) * $of->agreement / (2 * $t), 1e-4);
})->with([
    // Student's t at 97.5 %, from tables.
    'twenty golfers, one swing each' => [20, 20, 2.093024],
    'twenty golfers, two swings each' => [40, 20, 2.093024],
    'ten golfers, four swings each' => [40, 10, 2.262157],
    'three golfers' => [3, 3, 4.302653],
]);

it('has no width from one golfer, and one from two', function () {
    $of = static fn (int $swings): WidthFormula => new WidthFormula(
        new Assumptions(0.3, 0.85, 6, 0.0, $swings, 0.3),
        'gwet_ac1',
    );
    foreach ([1, 2, 5] as $swings) {
        expect($of($swings)->width(2 * $swings - 1))->toBe(INF)
            ->and($of($swings)->width(2 * $swings))->toBeLessThan(INF);
    }
    // Half of it: t standard errors of as many swings as they are worth, each golfer's alike by 0.3.
    $one = $of(1);
    foreach ([[1, 20, 2.093024], [2, 40, 2.093024], [4, 40, 2.262157]] as [$swings, $cases, $t]) {
        expect($of($swings)->width($cases))
            ->toEqualWithDelta(2 * $t * sqrt(1 + ($swings - 1) * 0.3) * $one->sd / sqrt($cases), 1e-4);
    }
});
