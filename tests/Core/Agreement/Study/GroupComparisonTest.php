<?php

use Core\Agreement\Study\GroupComparison;
use Core\Chance\Chance;

it('counts every way to part the readers', function (array $one, array $other, float $difference, float $p) {
    $c = GroupComparison::of($one, $other, new Chance('x'));
    expect($c->difference)->toEqualWithDelta($difference, 1e-12)->and($c->p)->toEqualWithDelta($p, 1e-12);
})->with([
    // Wholly apart, three and three: the two ends of twenty ways.
    'apart' => [[0.9, 0.8, 0.7], [0.3, 0.2, 0.1], 0.6, 2 / 20],
    'the other way' => [[0.3, 0.2, 0.1], [0.9, 0.8, 0.7], -0.6, 2 / 20],
    'alike' => [[0.5, 0.5, 0.5], [0.5, 0.5, 0.5], 0.0, 1.0],
    'three and five' => [[0.9, 0.8, 0.7], [0.1, 0.2, 0.3, 0.2, 0.1], 0.8 - 0.18, 1 / 56],
]);

it('gives the same whichever group is named first, and whatever order its readers are in', function () {
    $c = new Chance('order');
    for ($i = 0; $i < 40; $i++) {
        $some = static fn (int $n): array => array_map(static fn (): float => $c->uniform(), range(1, $n));
        [$one, $other] = [$some($c->between(3, 6)), $some($c->between(3, 6))];
        $a = GroupComparison::of($one, $other, new Chance('a'));
        $b = GroupComparison::of($c->shuffled($other), $c->shuffled($one), new Chance('b'));
        expect($a->p)->toEqualWithDelta($b->p, 1e-12)->and($a->difference)->toEqualWithDelta(-$b->difference, 1e-12)
            ->and($a->p)->toBeGreaterThanOrEqual($a->smallest - 1e-12);
    }
});

it('says nothing of groups of under three', function () {
    expect(GroupComparison::of([0.5, 0.6], [0.1, 0.2, 0.3], new Chance('x')))->toBeNull()
        ->and(GroupComparison::of([0.1, 0.2, 0.3], [], new Chance('x')))->toBeNull();
});

it('draws ways where there are too many to list, and errs as seldom as it says', function () {
    $c = new Chance('many');
    $some = static fn (int $n, float $more = 0.0): array => array_map(
        static fn (): float => $c->uniform() + $more,
        range(1, $n),
    );
    expect(GroupComparison::of($some(15, 1.0), $some(15), $c)->p)->toBeLessThan(0.001)
        ->and(GroupComparison::of($some(15, 1.0), $some(15), $c)->smallest)->toBe(1 / 20_001);
    $wrong = 0;
    $times = many(300, 2000);
    for ($i = 0; $i < $times; $i++) {
        $wrong += GroupComparison::of($some(4), $some(5), $c)->p < 0.05 ? 1 : 0;
    }
    expect($wrong / $times)->toBeLessThan(0.08);
});
