<?php

use Core\Consensus\PanelRules;

it('holds what a panel calls a consensus, and nothing that could be none', function (
    float $majority,
    int $able,
    int $rounds,
    float $stability,
    ?string $says,
) {
    expect(refused(static fn () => new PanelRules($majority, $able, $rounds, $stability)))->toBe($says);
})->with([
    [0.75, 3, 2, 0.9, null],
    [1.0, 50, 5, 1.0, null],
    [0.5, 3, 2, 0.9, 'a majority is more than half, and no more than all'],
    [1.01, 3, 2, 0.9, 'a majority is more than half, and no more than all'],
    [NAN, 3, 2, 0.9, 'a majority is more than half, and no more than all'],
    [0.75, 1, 2, 0.9, 'from two to fifty must have been able to tell'],
    [0.75, 3, 6, 0.9, 'a panel holds from none to five following rounds'],
    [0.75, 3, -1, 0.9, 'a panel holds from none to five following rounds'],
    [0.75, 3, 2, 0.5, 'a panel has settled when more than half of its answers stay'],
    [0.75, 3, 2, NAN, 'a panel has settled when more than half of its answers stay'],
]);

it('asks once more as long as its rounds last and its members move', function () {
    $rules = new PanelRules(0.75, 3, 2, 0.9);
    expect([$rules->mayFollow(0), $rules->mayFollow(1), $rules->mayFollow(2)])->toBe([true, true, false])
        ->and($rules->hasSettled(0, 0))->toBeFalse()
        ->and($rules->hasSettled(10, 1))->toBeTrue()
        ->and($rules->hasSettled(10, 2))->toBeFalse()
        ->and((new PanelRules(0.75, 3, 2, 1.0))->hasSettled(3, 0))->toBeTrue();
});
