<?php

use Core\Agreement\Profile\VoteChange;
use Core\Chance\Chance;

it('tells how a room changed, and by McNemar’s exact test whether more than chance', function () {
    $vote = static fn (string $answers): array => array_combine(
        array_map(static fn (int $i): string => "v$i", range(1, strlen($answers))),
        str_split($answers),
    );
    $c = VoteChange::of($vote('aaaaabbbbb'), $vote('bbbbbbbbba'), ['b']);
    expect([$c->before, $c->after])->toBe([['a' => 5, 'b' => 5], ['b' => 9, 'a' => 1]])
        ->and([$c->both, $c->changed, $c->won, $c->lost])->toBe([10, 6, 5, 1])
        // 2·(1 + 6)/64
        ->and($c->p)->toEqualWithDelta(0.21875, 1e-12)
        ->and($c->isTold())->toBeTrue();
    $open = VoteChange::of($vote('abc'), $vote('abd'), null);
    expect([$open->both, $open->changed, $open->won, $open->lost, $open->p, $open->isTold()])
        ->toBe([3, 1, null, null, null, false]);
});

it('counts as having changed only who voted twice, and has no p where nobody changed sides', function () {
    $c = VoteChange::of(['x' => 'a', 'y' => 'b'], ['y' => 'b', 'z' => 'a'], ['a']);
    expect([$c->both, $c->changed, $c->won, $c->lost, $c->p])->toBe([1, 0, 0, 0, null])
        ->and(VoteChange::of([], [], ['a'])->both)->toBe(0)
        // From one wrong answer to another is a change, and no step to the key.
        ->and(VoteChange::of(['x' => 'b'], ['x' => 'c'], ['a'])->changed)->toBe(1)
        ->and(VoteChange::of(['x' => 'b'], ['x' => 'c'], ['a'])->won)->toBe(0);
});

it('has the p of the binomial distribution, whichever way round, for small counts and for large', function () {
    expect(VoteChange::p(0, 1))->toBe(1.0)
        ->and(VoteChange::p(3, 3))->toBe(1.0)
        ->and(VoteChange::p(0, 5))->toEqualWithDelta(2 / 32, 1e-12)
        ->and(VoteChange::p(1, 9))->toEqualWithDelta(2 * 11 / 1024, 1e-12)
        ->and(VoteChange::p(9, 1))->toBe(VoteChange::p(1, 9))
        // As R's binom.test(40, 100) has it.
        ->and(VoteChange::p(40, 60))->toEqualWithDelta(0.05688793, 1e-8)
        ->and(VoteChange::p(900, 1100))->toEqualWithDelta(8.463e-6, 5e-8)
        ->and(fn () => VoteChange::p(-1, 2))->toRefuse('below none');
});

it('cries wolf no more often than its level where nobody learns', function () {
    $c = new Chance('votes');
    $found = 0;
    for ($round = 0; $round < 2000; $round++) {
        $before = $after = [];
        for ($v = 0; $v < 12; $v++) {
            [$before["v$v"], $after["v$v"]] = [$c->uniform() < 0.6 ? 'a' : 'b', $c->uniform() < 0.6 ? 'a' : 'b'];
        }
        $found += (VoteChange::of($before, $after, ['a'])->p ?? 1.0) < 0.05 ? 1 : 0;
    }
    expect($found / 2000)->toBeLessThan(0.05);
});
