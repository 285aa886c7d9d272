<?php

use Core\Agreement\Figure;
use Core\Agreement\Profile\ConfusedWith;
use Core\Agreement\Study\Definition;
use Core\Agreement\Study\Proposal;
use Core\Chance\Chance;
use Core\Remark\Remark;

/*
 * Whether a fault's definition holds, and what is confused with it.
 */

/** @param  list<ConfusedWith>  $confused */
function definition(
    ?Figure $joined = null,
    int $cases = 28,
    int $contested = 0,
    array $present = [],
    array $untold = [],
    array $confused = [],
): Definition {
    return new Definition($joined, $cases, $contested, $present, $untold, $confused);
}

/** @return list<string> */
function proposed(Definition $d): array
{
    return array_map(static fn (Remark $r): string => $r->code, $d->proposals());
}

$figure = static fn (float $at, float $low, float $high): Figure => Figure::estimated($at, 0.1, $low, $high, 'test');

it('gives the corner’s chance as the hypergeometric does', function (array $table, float $p) {
    expect(ConfusedWith::tail(...$table))->toEqualWithDelta($p, 1e-9);
})->with([
    // Worked out in whole numbers: sum of C(missed, k)·C(others, called − k) over C(all, called).
    'tea' => [[3, 4, 1, 4], 17 / 70],
    'all' => [[4, 4, 0, 4], 1 / 70],
    'none together' => [[0, 4, 4, 4], 1.0],
    'nobody called it' => [[0, 10, 0, 30], 1.0],
    'nobody missed it' => [[0, 0, 5, 30], 1.0],
    'six of fourteen against three of ninety' => [[6, 14, 3, 90], 1.335081263627e-4],
]);

it('names what is called in its place, and nothing that is called as often where it is not missed', function () {
    $found = ConfusedWith::among([
        'hang-back' => [6, 14, 3, 90],
        'sway' => [3, 14, 20, 90],
        'slide' => [2, 14, 0, 90],
        'toe-dive' => [0, 14, 0, 90],
    ]);
    expect(array_column(array_map(get_object_vars(...), $found), 'fault'))->toBe(['hang-back'])
        ->and($found[0]->p)->toEqualWithDelta(4 * 1.335081263627e-4, 1e-9)
        ->and(ConfusedWith::among([]))->toBe([]);
});

it('hardly ever names a confusion where there is none', function () {
    $wrong = 0;
    $rounds = many(300, 2000);
    $c = new Chance('confusions');
    for ($i = 0; $i < $rounds; $i++) {
        $counts = [];
        for ($f = 0; $f < 27; $f++) {
            $called = static function (int $of) use ($c): int {
                $n = 0;
                for ($k = 0; $k < $of; $k++) {
                    $n += $c->uniform() < 0.08 ? 1 : 0;
                }

                return $n;
            };
            $counts["fault $f"] = [$called(15), 15, $called(85), 85];
        }
        $wrong += ConfusedWith::among($counts) === [] ? 0 : 1;
    }
    // The test is exact and Holm keeps the family: at most 5 %, with room for chance.
    expect($wrong / $rounds)->toBeLessThan(0.07);
});

it('says what the whole interval says, and else that it cannot be said', function (?Figure $f, int $contested, array $is) {
    expect(proposed(definition($f, 28, $contested)))
        ->toBe(array_map(static fn (Proposal $p): string => $p->value, $is));
})->with([
    'holds' => [$figure(0.8, 0.6, 0.95), 3, [Proposal::Holds]],
    'at the line' => [$figure(0.7, 0.5, 0.9), 3, [Proposal::Holds]],
    'neither panel nor staff' => [$figure(0.2, 0.1, 0.4), 10, [Proposal::Sharpen]],
    'the staff alone' => [$figure(0.2, 0.1, 0.4), 2, [Proposal::Practise]],
    'wide' => [$figure(0.48, 0.0, 1.0), 0, [Proposal::NotYet]],
    'never asked' => [null, 0, [Proposal::NotYet]],
]);

it('proposes to split by evidence where one device surely tells it and another surely does not', function () {
    $telling = array_fill(0, 20, [0, 6]);
    $mute = array_fill(0, 20, [5, 6]);
    $of = static fn (array $untold): array => array_values(array_filter(
        definition(null, 28, 0, [], $untold)->proposals(),
        static fn (Remark $r): bool => $r->is(Proposal::SplitByEvidence),
    ));
    expect($of(['mat' => $mute, 'dual-plate' => $telling])[0]->with)
        ->toMatchArray(['device' => 'mat', 'other' => 'dual-plate'])
        ->and($of(['mat' => $mute, 'film' => $mute]))->toBe([])
        ->and($of(['mat' => $telling, 'dual-plate' => $telling]))->toBe([])
        // Seventy calls on the swings of two golfers are two golfers' word.
        ->and($of(['mat' => [[30, 36], [30, 36]], 'dual-plate' => $telling]))->toBe([]);
});

it('thinks of dropping only what surely hardly occurs, over enough golfers', function () {
    $has = static fn (array $present, int $cases): bool => in_array(
        Proposal::Drop->value,
        proposed(definition(null, $cases, 0, $present)),
        true,
    );
    expect($has(array_fill(0, 100, [0, 1]), 100))->toBeTrue()
        ->and($has(array_fill(0, 40, [0, 1]), 40))->toBeFalse()
        ->and($has([...array_fill(0, 90, [0, 1]), ...array_fill(0, 10, [1, 1])], 100))->toBeFalse()
        ->and($has([[0, 50], [0, 50]], 100))->toBeFalse();
});

it('tells how often readers are joined on one kind of evidence, as wide as few golfers make it', function () {
    $of = new Definition(null, 0, 0, [], [], [], [
        'mat' => [[6, 12], [0, 8], [20, 20], [2, 10]],
        'film' => [[0, 0], [0, 0]],
    ]);
    expect($of->joinedOn('mat')->estimate)->toEqualWithDelta(28 / 50, 1e-12)
        ->and($of->joinedOn('mat')->low)->toBeLessThan(0.2)
        ->and($of->joinedOn('mat')->high)->toBeGreaterThan(0.85)
        // Nobody called it present there, and nothing was ever shown on the other.
        ->and($of->joinedOn('film')->estimate)->toBeNull()
        ->and($of->joinedOn('plate')->estimate)->toBeNull();
});
