<?php

use Core\Chance\Chance;
use Core\CoreException;
use Core\Planning\SignOff;
use Core\Planning\SignOffDecision;

/**
 * Sign-offs of readers who are right so often.
 *
 * @return array{float, float} the share signed off, and the mean number of cases
 */
function signOffs(SignOff $of, float $right, int $times, string $seed, float $alike = 0.0, int $calls = 1): array
{
    $c = new Chance($seed);
    $off = $cases = 0;
    for ($i = 0; $i < $times; $i++) {
        $lambda = 0.0;
        $n = 0;
        do {
            $same = $c->uniform() < $right;
            $y = 0;
            for ($k = 0; $k < $calls; $k++) {
                // With that chance a call is what the case's common call is.
                $y += $c->uniform() < sqrt($alike) ? ($same ? 1 : 0) : ($c->uniform() < $right ? 1 : 0);
            }
            $lambda += $of->step($y, $calls);
            $decision = $of->decision($lambda, ++$n);
        } while ($decision === SignOffDecision::GoesOn);
        $off += $decision === SignOffDecision::SignedOff ? 1 : 0;
        $cases += $n;
    }

    return [$off / $times, $cases / $times];
}

it('takes as many calls as the fixed test of its day', function () {
    $of = new SignOff(0.8, 0.9);
    expect($of->fixedCalls)->toBe(109)->and($of->mostCases())->toBe(164)
        ->and($of->upper)->toEqualWithDelta(log(18), 1e-12)
        ->and($of->lower)->toEqualWithDelta(log(0.1 / 0.95), 1e-12)
        ->and((new SignOff(0.8, 0.9, 1, 4.0, 0.3))->fixedCases)->toBe((int) ceil(109 * 1.9 / 4));
});

it('signs off who should not be, and refuses who should, as rarely as is asked, in fewer cases', function () {
    $of = new SignOff(0.8, 0.9);
    $n = many(600, 10_000);
    [$wrongly, $atBar] = signOffs($of, 0.8, $n, 'bar');
    [$rightly, $atGood] = signOffs($of, 0.9, $n, 'good');
    expect($wrongly)->toBeLessThan($n > 5000 ? 0.056 : 0.075)
        ->and($rightly)->toBeGreaterThan($n > 5000 ? 0.89 : 0.86)
        ->and($atBar)->toBeLessThan(0.62 * 109)
        ->and($atGood)->toBeLessThan(0.75 * 109);
});

it('keeps its promise where calls of a case are alike, if that was counted', function () {
    $n = many(500, 5000);
    [$counted] = signOffs(new SignOff(0.8, 0.9, 1, 5.0, 0.5), 0.8, $n, 'alike', 0.5, 5);
    [$not] = signOffs(new SignOff(0.8, 0.9, 1, 5.0, 0.0), 0.8, $n, 'alike', 0.5, 5);
    expect($counted)->toBeLessThan(0.08)->and($not)->toBeGreaterThan($counted);
});

it('lets each of several criteria refuse more rarely', function () {
    $one = new SignOff(0.8, 0.9);
    $three = new SignOff(0.8, 0.9, 3);
    expect($three->lower)->toBeLessThan($one->lower)->and($three->fixedCalls)->toBeGreaterThan($one->fixedCalls);
    [$rightly] = signOffs($three, 0.9, many(500, 4000), 'three');
    expect($rightly ** 3)->toBeGreaterThan(0.8);
});

it('goes by difficulty where cases are chosen for what they tell', function () {
    $mix = [-1.5, -0.5, 0.0, 0.5, 1.5];
    $of = new SignOff(0.8, 0.9);
    $abilities = [SignOff::ability(0.8, $mix), SignOff::ability(0.9, $mix)];
    $share = static fn (float $t): float => array_sum(array_map(fn (float $b): float => 1 / (1 + exp(-($t - $b))),
        $mix)) / 5;
    expect($share($abilities[0]))->toEqualWithDelta(0.8, 1e-9)->and($share($abilities[1]))->toEqualWithDelta(0.9, 1e-9);
    $c = new Chance('chosen');
    $off = $cases = 0;
    $n = many(500, 4000);
    for ($i = 0; $i < $n; $i++) {
        $lambda = 0.0;
        $k = 0;
        do {
            // The hardest of the mix tells most of somebody good.
            $right = $c->uniform() < 1 / (1 + exp(-($abilities[0] - 1.5)));
            $lambda += SignOff::stepAt($right, 1.5, $abilities);
            $decision = $of->decision($lambda, ++$k);
        } while ($decision === SignOffDecision::GoesOn);
        $off += $decision === SignOffDecision::SignedOff ? 1 : 0;
        $cases += $k;
    }
    [, $plain] = signOffs($of, 0.8, $n, 'plain');
    expect($off / $n)->toBeLessThan(0.08)->and($cases / $n)->toBeLessThan($plain);
});

it('refuses a bar that is none', function (float $bar, float $good, int $criteria) {
    expect(fn () => new SignOff($bar, $good, $criteria))->toThrow(CoreException::class);
})->with([[0.9, 0.8, 1], [0.8, 1.0, 1], [0.0, 0.5, 1], [0.8, 0.9, 0], [NAN, 0.9, 1]]);
