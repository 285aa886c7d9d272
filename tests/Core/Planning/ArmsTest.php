<?php

use Core\Chance\Chance;
use Core\Planning\Arms;

/** @return array{int, int} the fewest and the most any way is given */
function spreadOfArms(array $codes): array
{
    $n = [...array_fill_keys(Arms::CODES, 0), ...array_count_values($codes)];

    return [min($n), max($n)];
}

it('gives each reader, each case and each stratum every way as often, but for one', function (
    int $cases,
    int $readers,
) {
    $chance = new Chance("arms $cases $readers");
    $present = [];
    for ($c = 0; $c < $cases; $c++) {
        $present["c$c"] = $chance->between(0, 6);
    }
    $dealt = Arms::crossed($present, range(11, 10 + $readers), "seed $cases");
    expect(array_keys($dealt))->toEqualCanonicalizing(array_keys($present));
    foreach ($dealt as $of) {
        [$least, $most] = spreadOfArms($of);
        expect(array_keys($of))->toEqualCanonicalizing(range(11, 10 + $readers))
            ->and($most - $least)->toBeLessThanOrEqual(1);
    }
    asort($present);
    foreach (range(11, 10 + $readers) as $reader) {
        $own = array_map(static fn (array $of): string => $of[$reader], $dealt);
        [$least, $most] = spreadOfArms($own);
        expect($most - $least)->toBeLessThanOrEqual(1);
        // Within the cases that hold the least and the most, too: nobody gets film for the easy ones.
        foreach (array_chunk(array_keys($dealt), (int) ceil($cases / 3)) as $stratum) {
            [$least, $most] = spreadOfArms(array_map(static fn (string $c): string => $own[$c], $stratum));
            expect($most - $least)->toBeLessThanOrEqual(1);
        }
    }
    // Strata rise: what one holds most is no more than what the next holds least.
    $strata = array_chunk(array_map(static fn (string $c): int => $present[$c], array_keys($dealt)),
        (int) ceil($cases / 3));
    foreach (array_slice($strata, 1) as $i => $next) {
        expect(max($strata[$i]))->toBeLessThanOrEqual(min($next));
    }
})->with([[3, 6], [14, 8], [40, 7], [41, 9], [200, 40]]);

it('gives every pair of case and reader each way as often over many seeds: nobody can tell what comes', function () {
    $n = array_fill_keys(Arms::CODES, 0);
    $same = 0;
    for ($s = 0; $s < 600; $s++) {
        $dealt = Arms::crossed(['a' => 1, 'b' => 2, 'c' => 3, 'd' => 1], range(1, 7), "s$s");
        $n[$dealt['b'][4]]++;
        $same += $dealt['a'][1] === $dealt['d'][1] ? 1 : 0;
    }
    // 200 each, of 600; a binomial's deviation is 11.5.
    foreach ($n as $times) {
        expect($times)->toBeGreaterThan(150)->toBeLessThan(250);
    }
    // What one case was shown in tells little of the next one's: they lie next to each other as often as not.
    expect($same)->toBeLessThan(300);
});

it('deals the same by the same seed, whatever the order in which cases and readers are named', function () {
    $cases = ['a' => 1, 'b' => 2, 'c' => 2, 'd' => 5];
    expect(Arms::crossed($cases, [1, 2, 3], 'x'))->toBe(Arms::crossed(array_reverse($cases), [3, 1, 2], 'x'))
        ->not->toEqual(Arms::crossed($cases, [1, 2, 3], 'y'))
        ->and(Arms::crossed([], [1, 2, 3], 'x'))->toBe([])
        ->and(Arms::crossed(['a' => 0], [], 'x'))->toBe([]);
});
