<?php

use Core\Agreement\Profile\SecondOpinion;
use Core\Chance\Chance;

/**
 * @return array{array<int, array<int, bool>>, array<int, bool>} calls of members with these error rates, and the truth
 */
function panelCalls(string $seed, array $errs, int $cases, float $prevalence = 0.4): array
{
    $c = new Chance($seed);
    $calls = $truth = [];
    for ($i = 0; $i < $cases; $i++) {
        $truth[$i] = $c->uniform() < $prevalence;
        foreach ($errs as $m => $err) {
            if ($c->uniform() < 0.9) {
                $calls[$i][$m] = $c->uniform() < $err ? ! $truth[$i] : $truth[$i];
            }
        }
    }

    return [$calls, $truth];
}

it('weighs who errs less more, and is right more often than the majority where members differ', function () {
    $second = $majority = $n = 0;
    for ($study = 0; $study < 30; $study++) {
        [$calls, $truth] = panelCalls("second $study", [0.03, 0.05, 0.42, 0.42, 0.42], 60);
        $opinion = SecondOpinion::of($calls);
        foreach ($opinion as $case => $p) {
            $yes = count(array_filter($calls[$case]));
            $n++;
            $second += ($p > 0.5) === $truth[$case] ? 1 : 0;
            $majority += (2 * $yes > count($calls[$case])) === $truth[$case] ? 1 : 0;
        }
    }
    expect($n)->toBeGreaterThan(1000)
        ->and($second / $n)->toBeGreaterThan($majority / $n + 0.03)
        ->and($second / $n)->toBeGreaterThan(0.9);
});

it('says nothing where nothing can be told: few cases, few members, one answer only, nobody', function () {
    [$few] = panelCalls('few', [0.1, 0.1, 0.1], 7);
    [$two] = panelCalls('two', [0.1, 0.1], 40);
    expect(SecondOpinion::of($few))->toBe([])
        ->and(SecondOpinion::of($two))->toBe([])
        ->and(SecondOpinion::of(array_fill(0, 20, [true, true, true])))->toBe([])
        ->and(SecondOpinion::of([]))->toBe([]);
});

it('does not go by the order of cases or members', function () {
    [$calls] = panelCalls('order', [0.1, 0.15, 0.2, 0.3], 40);
    $turned = array_reverse(array_map(static fn (array $said): array => array_reverse($said, true), $calls), true);
    $opinion = SecondOpinion::of($calls);
    expect($opinion)->not->toBe([])->and(SecondOpinion::of($turned))->toEqual($opinion);
    foreach ($opinion as $p) {
        expect($p)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
    }
});
