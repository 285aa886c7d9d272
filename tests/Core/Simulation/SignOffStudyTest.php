<?php

use Core\Agreement\Wilson;
use Core\Planning\SignOffDecision;
use Core\Simulation\SignOffStudy;
use Core\Training\TestCourse;

/** @return array{signed: int, n: int, cases: float, fixed: float} */
function testsOf(float $alike, array $right, string $seed, int $n): array
{
    $study = new SignOffStudy(0.65, 0.85, $alike);
    $signed = $cases = $fixed = 0;
    for ($i = 0; $i < $n; $i++) {
        $one = $study->test("$seed $i", $right);
        expect($one['state'])->not->toBe(SignOffDecision::GoesOn)
            ->and($one['cases'])->toBeGreaterThanOrEqual(TestCourse::LEAST);
        $signed += $one['state'] === SignOffDecision::SignedOff ? 1 : 0;
        $cases += $one['cases'];
        $fixed += $one['fixed'];
    }

    return ['signed' => $signed, 'n' => $n, 'cases' => $cases / $n, 'fixed' => $fixed / $n];
}

it('signs off who stands at the bar in one criterion as rarely as is asked, however alike calls are', function (float $alike) {
    $of = testsOf($alike, [0.65, 0.85], "bar $alike", many(250, 3000));
    expect(Wilson::interval($of['signed'], $of['n'])[0])->toBeLessThan(0.05)
        ->and($of['signed'] / $of['n'])->toBeLessThan(many(0, 1) === 1 ? 0.05 : 0.08)
        ->and($of['cases'])->toBeLessThan(0.7 * $of['fixed']);
    $other = testsOf($alike, [0.85, 0.65], "other $alike", many(250, 3000));
    expect($other['signed'] / $other['n'])->toBeLessThan(many(0, 1) === 1 ? 0.05 : 0.08);
})->with([0.0, 0.2, 0.4])->group('study');

it('signs off nine good readers in ten, on a third fewer cases', function (float $alike) {
    $of = testsOf($alike, [0.85, 0.85], "good $alike", many(250, 3000));
    expect(Wilson::interval($of['signed'], $of['n'])[1])->toBeGreaterThan(0.9)
        ->and($of['signed'] / $of['n'])->toBeGreaterThan(many(0, 1) === 1 ? 0.885 : 0.84)
        ->and($of['cases'])->toBeLessThan(0.7 * $of['fixed']);
})->with([0.0, 0.2, 0.4])->group('study');

it('signs off nobody who is at the bar in all of it, and few between', function () {
    expect(testsOf(0.2, [0.65, 0.65], 'both', many(250, 3000))['signed'])->toBeLessThan(many(4, 20));
    $between = testsOf(0.2, [0.75, 0.75], 'between', many(250, 3000));
    expect($between['signed'] / $between['n'])->toBeGreaterThan(0.03)->toBeLessThan(0.3);
})->group('study');

it('takes the same test of the same seed', function () {
    $study = new SignOffStudy(0.65, 0.85, 0.2);
    expect($study->test('a', [0.8, 0.8]))->toEqual($study->test('a', [0.8, 0.8]))
        ->and(array_column(array_map(fn (int $i): array => $study->test("b$i", [0.8, 0.8]), range(1, 20)), 'cases'))
        ->not->toBe(array_fill(0, 20, $study->test('b1', [0.8, 0.8])['cases']));
});
