<?php

use Core\Agreement\Confidence;
use Core\Planning\Assumptions;
use Core\Planning\WidthFormula;
use Core\Planning\WidthSimulation;

it('draws the accuracy from the agreement, and numbers of calls that add up', function (
    float $prevalence,
    float $agreement,
    int $raters,
) {
    $a = new Assumptions($prevalence, $agreement, $raters);
    expect($a->accuracy ** 2 + (1 - $a->accuracy) ** 2)
        ->toEqualWithDelta($agreement, 1e-12)
        ->and(array_sum($a->counts()))
        ->toEqualWithDelta(1.0, 1e-12);
    $mean = $pairs = 0.0;
    foreach ($a->counts() as $k => $p) {
        $mean += $p * $k / $raters;
        $pairs += $p * ($k * ($k - 1) + ($raters - $k) * ($raters - $k - 1)) / ($raters * ($raters - 1));
    }
    expect($mean)->toEqualWithDelta($a->called(), 1e-12)->and($pairs)->toEqualWithDelta($agreement, 1e-12);
})->with([[0.3, 0.8, 8], [0.5, 0.5, 2], [0.1, 0.95, 20]]);

it('refuses what cannot be', function (array $of, string $message) {
    expect(fn () => new Assumptions(...$of))->toRefuse($message);
})->with([
    [[0.0, 0.8, 8], 'prevalence'],
    [[1.0, 0.8, 8], 'prevalence'],
    [[0.3, 0.4, 8], 'agreement'],
    [[0.3, 1.0, 8], 'agreement'],
    [[0.3, 0.8, 1], 'raters'],
    [[0.3, 0.8, 8, 0.95], 'missing'],
    [[NAN, 0.8, 8], 'prevalence'],
]);

it('expects by formula what simulated studies report', function (
    string $coefficient,
    float $prevalence,
    float $agreement,
    int $raters,
    float $missing,
) {
    $a = new Assumptions($prevalence, $agreement, $raters, $missing);
    $formula = new WidthFormula($a, $coefficient);
    $run = (new WidthSimulation($a, $coefficient))->run(80, 150);
    expect($run->mean / $formula->width(80))
        ->toBeGreaterThan(0.88)
        ->toBeLessThan(1.12)
        ->and($run->estimate)
        ->toEqualWithDelta($formula->expected, 0.03)
        ->and($run->coverage)
        ->toBeGreaterThan(0.88)
        ->and($run->most)
        ->toBeGreaterThanOrEqual($run->mean * 0.95)
        ->and($run->undefined)
        ->toBe(0);
})->with([
    ['percent_agreement', 0.3, 0.8, 6, 0.0],
    ['gwet_ac1', 0.3, 0.8, 6, 0.0],
    ['fleiss_kappa', 0.4, 0.75, 5, 0.0],
    ['brennan_prediger', 0.5, 0.85, 4, 0.0],
    ['krippendorff_alpha', 0.4, 0.8, 6, 0.1],
    ['conger_kappa', 0.4, 0.8, 5, 0.0],
    ['light_kappa', 0.5, 0.8, 5, 0.0],
    ['sensitivity', 0.5, 0.8, 2, 0.0],
    ['specificity', 0.3, 0.9, 2, 0.1],
]);

it('needs more cases for narrower intervals, fewer raters and more confidence', function () {
    $cases = static fn (float $width, int $raters = 8, float $level = 0.95): int => (new WidthFormula(
        new Assumptions(0.3, 0.8, $raters),
        'gwet_ac1',
        new Confidence($level),
    ))->cases($width);
    expect($cases(0.1))
        ->toBeGreaterThan($cases(0.2))
        ->and($cases(0.2, 3))
        ->toBeGreaterThan($cases(0.2, 12))
        ->and($cases(0.2, 8, 0.99))
        ->toBeGreaterThan($cases(0.2));
    $formula = new WidthFormula(new Assumptions(0.3, 0.8, 8), 'gwet_ac1');
    $n = $formula->cases(0.15);
    expect($formula->width($n))
        ->toBeLessThanOrEqual(0.15)
        ->and($formula->width($n - 1))
        ->toBeGreaterThan(0.15)
        ->and($formula->cases(1e-9))
        ->toBeNull()
        ->and($formula->width(1))
        ->toBe(INF);
});

it('finds the number of cases by simulation near the formula\'s, tells its progress, and repeats itself', function () {
    $a = new Assumptions(0.4, 0.8, 5);
    $told = 0;
    $found = (new WidthSimulation($a, 'gwet_ac1', seed: 4))->cases(0.3, 60, function () use (&$told): void {
        $told++;
    });
    $formula = (new WidthFormula($a, 'gwet_ac1'))->cases(0.3);
    expect($found->mean)
        ->toBeLessThanOrEqual(0.3)
        ->and($found->cases)
        ->toBeGreaterThan($formula * 0.8)
        ->toBeLessThan($formula * 1.25)
        ->and($told)
        ->toBeGreaterThanOrEqual(60)
        ->and((new WidthSimulation($a, 'gwet_ac1', seed: 4))->cases(0.3, 60)->toArray())
        ->toBe($found->toArray());
});

it('counts studies without an interval', function () {
    $run = (new WidthSimulation(new Assumptions(0.02, 0.98, 2), 'sensitivity'))->run(3, 40);
    expect($run->undefined)
        ->toBeGreaterThan(20)
        ->and(
            (new WidthSimulation(new Assumptions(0.5, 0.5, 2, 0.9), 'fleiss_kappa'))->run(2, 10)->toArray()[
                'undefined'
            ],
        )
        ->toBeGreaterThan(0);
});
