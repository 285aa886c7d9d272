<?php

use Core\Agreement\Confidence;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Planning\Assumptions;
use Core\Planning\PowerSimulation;
use Core\Planning\WidthFormula;
use Core\Planning\WidthSimulation;

it('finds a larger rise more often, in more cases, and none where there is none', function () {
    $a = new Assumptions(0.3, 0.75, 5, 0.0, 2, 0.5);
    $n = many(60, 600);
    $small = (new PowerSimulation($a, 0.05))->run(40, $n);
    $large = (new PowerSimulation($a, 0.15))->run(40, $n);
    $more = (new PowerSimulation($a, 0.05))->run(120, $n);
    $none = (new PowerSimulation($a, 0.0))->run(40, $n);
    expect($large['power'])->toBeGreaterThan($small['power'])->toBeGreaterThan(0.6)
        ->and($more['power'])->toBeGreaterThan($small['power'])
        ->and($none['power'])->toBeLessThan(0.16)
        ->and($small['golfers'])->toBe(20)
        ->and($more['smallest_difference'])->toBeLessThan($small['smallest_difference']);
});

it('gives golfers swings that are as alike as was said', function () {
    $a = new Assumptions(0.4, 0.8, 4, 0.0, 5, 0.6);
    [$truth, $golfers] = $a->golfers(20_000, new Chance('alike'));
    $both = $pairs = 0;
    foreach (array_chunk($truth, 5) as $of) {
        for ($i = 0; $i < 5; $i++) {
            for ($j = $i + 1; $j < 5; $j++) {
                $both += $of[$i] === 1 && $of[$j] === 1 ? 1 : 0;
                $pairs++;
            }
        }
    }
    $p = array_sum($truth) / 20_000;
    expect($p)->toEqualWithDelta(0.4, 0.02)
        ->and(($both / $pairs - $p * $p) / ($p * (1 - $p)))->toEqualWithDelta(0.6, 0.03)
        ->and(count(array_unique($golfers)))->toBe(4000);
});

it('plans wider intervals where swings of a golfer are alike', function (string $coefficient) {
    $alone = new Assumptions(0.3, 0.8, 6);
    $alike = new Assumptions(0.3, 0.8, 6, 0.0, 4, 0.6);
    $formula = static fn (Assumptions $a): float => (new WidthFormula($a, $coefficient))->width(60);
    $run = static fn (Assumptions $a): ?float => (new WidthSimulation($a, $coefficient, new Confidence))->run(60,
        many(40, 300))->mean;
    expect($formula($alike))->toBeGreaterThan($formula($alone))
        ->and($run($alike))->toBeGreaterThan(0.9 * $run($alone));
})->with(['krippendorff_alpha', 'sensitivity']);

it('refuses golfers who bring no swing, and likeness that is none', function (array $of) {
    expect(fn () => new Assumptions(0.3, 0.8, 5, 0.0, ...$of))->toThrow(CoreException::class);
})->with([[[0, 0.0]], [[2, -0.1]], [[2, NAN]]]);
