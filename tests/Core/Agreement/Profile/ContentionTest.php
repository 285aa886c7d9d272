<?php

use Core\Agreement\Profile\Contention;

it('is nothing where all say what the key says, and where nobody could tell', function () {
    expect((new Contention(6, 0, truth: true))->weight())->toBe(0.0)
        ->and((new Contention(0, 5, truth: false))->weight())->toBe(0.0)
        ->and((new Contention(0, 0, truth: true))->weight())->toBe(0.0)
        ->and((new Contention(0, 0, truth: true))->wrong())->toBeNull()
        ->and((new Contention(1, 0))->apart())->toBeNull();
});

it('grows with the split and with the distance from the key', function () {
    $weights = array_map(static fn (array $c): float => (new Contention(...$c))->weight(), [
        [8, 0, 0, true],
        [7, 1, 0, true],
        [5, 3, 0, true],
        [4, 4, 0, true],
        [3, 5, 0, true],
    ]);
    $sorted = $weights;
    sort($sorted);
    expect($weights)->toBe($sorted)->and(array_unique($weights))->toHaveCount(5);
});

it('counts all wrong alike as half, and a split by itself where the key is silent', function () {
    expect((new Contention(0, 6, truth: true))->weight())->toBe(0.5)
        ->and((new Contention(3, 3))->weight())->toBe(0.6)
        ->and((new Contention(3, 3, truth: false))->weight())->toEqualWithDelta((0.6 + 0.5) / 2, 1e-12)
        ->and((new Contention(2, 1, truth: false))->wrong())->toEqualWithDelta(2 / 3, 1e-12);
});

it('makes less of a split among few when the rest could not tell', function () {
    expect((new Contention(1, 1, 6))->weight())->toBe(0.25)
        ->and((new Contention(1, 1, 6))->apart())->toBe(1.0)
        ->and((new Contention(4, 4, 0))->weight())->toBeGreaterThan((new Contention(1, 1, 6))->weight());
});

it('takes people apart as the coefficients do: one less the agreement of the question', function (
    int $present,
    int $absent,
) {
    // a_i of statistics: Σ n_k(n_k − 1)/(r(r − 1))
    $r = $present + $absent;
    $agreement = ($present * ($present - 1) + $absent * ($absent - 1)) / ($r * ($r - 1));
    expect((new Contention($present, $absent))->apart())->toEqualWithDelta(1.0 - $agreement, 1e-12);
})->with([[2, 0], [1, 1], [5, 3], [0, 7], [12, 9]]);
