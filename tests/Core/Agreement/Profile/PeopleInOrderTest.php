<?php

use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\Profile\RankedPerson;
use Core\Chance\Chance;

/** @return array<string, array<int, array{int, int}>> right calls and calls by rater and cluster */
function rightCalls(array $skills, string $seed, int $clusters = 30, int $calls = 6, float $together = 0.0): array
{
    $c = new Chance($seed);
    $out = [];
    for ($g = 0; $g < $clusters; $g++) {
        $hard = $together * $c->normal();
        foreach ($skills as $i => $p) {
            $right = 0;
            for ($k = 0; $k < $calls; $k++) {
                $right += $c->uniform() < min(1.0, max(0.0, $p + $hard)) ? 1 : 0;
            }
            $out["r$i"][$g] = [$right, $calls];
        }
    }

    return $out;
}

it('tells apart who is far apart, and ties who is not', function () {
    $order = PeopleInOrder::of(rightCalls([0.95, 0.94, 0.6, 0.4], 'apart'));
    $by = array_column($order->people, null, 'rater');
    expect($by['r0']->isTiedWith($by['r1']))->toBeTrue()
        ->and($by['r0']->isTiedWith($by['r2']))->toBeFalse()
        ->and($by['r2']->worst)->toBe(3)->and($by['r3']->best)->toBe(4)
        ->and($order->people[3]->rater)->toBe('r3');
});

it('ties everybody where all are alike', function () {
    $apart = 0;
    for ($i = 0; $i < 20; $i++) {
        $people = PeopleInOrder::of(rightCalls(array_fill(0, 6, 0.8), "alike$i"))->people;
        $apart += $people[0]->isTiedWith($people[5]) ? 0 : 1;
    }
    expect($apart)->toBeLessThanOrEqual(2);
});

it('draws each toward the others, more where there is less', function () {
    $right = rightCalls([0.9, 0.8, 0.7, 0.6], 'shrink');
    $right['r4'] = array_slice(rightCalls([1.0], 'few')['r0'], 0, 2, true);
    $by = array_column(PeopleInOrder::of($right)->people, null, 'rater');
    expect($by['r4']->rate)->toBe(1.0)->and($by['r4']->shrunken)->toBeLessThan(0.97)
        ->and(abs($by['r0']->shrunken - $by['r0']->rate))->toBeLessThan(0.07)
        ->and($by['r4']->worst - $by['r4']->best)->toBeGreaterThanOrEqual($by['r0']->worst - $by['r0']->best);
});

it('is the same for the same seed, whatever the order of the raters', function () {
    $right = rightCalls([0.9, 0.7, 0.8], 'seed');
    expect(PeopleInOrder::of($right, 4))->toEqual(PeopleInOrder::of(array_reverse($right, true), 4));
});

it('takes out how hard a golfer is for everybody', function () {
    $alone = PeopleInOrder::of(rightCalls([0.8, 0.7, 0.6, 0.5], 'hard', 40, 8));
    $together = PeopleInOrder::of(rightCalls([0.8, 0.7, 0.6, 0.5], 'hard', 40, 8, 0.15));
    expect($alone->designEffect)->toBeLessThan(1.6)->and($together->designEffect)->toBeLessThan(1.6);
});

it('says as often as it should where a rank lies', function () {
    $inside = $all = 0;
    for ($i = 0; $i < many(40, 400); $i++) {
        $c = new Chance("rank$i");
        $skills = [];
        for ($r = 0; $r < 6; $r++) {
            $skills[] = 0.75 + 0.08 * $c->normal();
        }
        $true = $skills;
        arsort($true);
        $rank = array_flip(array_map(static fn (int $i): string => "r$i", array_keys($true)));
        foreach (PeopleInOrder::of(rightCalls($skills, "calls$i"))->people as $p) {
            $inside += $p->best <= $rank[$p->rater] + 1 && $p->worst >= $rank[$p->rater] + 1 ? 1 : 0;
            $all++;
        }
    }
    expect($inside / $all)->toBeGreaterThan(0.92);
});

it('tells nothing of one, or from one golfer', function () {
    expect(PeopleInOrder::of(rightCalls([0.8], 'one')))->toBeNull()
        ->and(PeopleInOrder::of(rightCalls([0.8, 0.7], 'one', 1)))->toBeNull()
        ->and(PeopleInOrder::of([]))->toBeNull();
});

it('ties all where nobody is ever wrong, or ever right', function () {
    foreach ([[3, 1.0], [0, 0.0]] as [$right, $rate]) {
        $people = PeopleInOrder::of(['a' => array_fill(0, 9, [$right, 3]), 'b' => array_fill(0, 5, [$right, 3])])
            ->people;
        expect(array_map(static fn (RankedPerson $p): array => [$p->rater, $p->shrunken, $p->best, $p->worst], $people))
            ->toBe([['a', $rate, 1, 2], ['b', $rate, 1, 2]]);
    }
});

it('bears who is always right or never', function () {
    $people = PeopleInOrder::of(['a' => array_fill(0, 9, [3, 3]), 'b' => array_fill(0, 9, [0, 3])])->people;
    expect(array_map(static fn (RankedPerson $p): array => [$p->rater, $p->best, $p->worst], $people))
        ->toBe([['a', 1, 1], ['b', 2, 2]]);
});
