<?php

use Core\Chance\Chance;
use Core\Planning\Deal;

it('deals every case once, repeats far enough behind and mixed with new ones', function (
    int $first,
    int $second,
    int $repeats,
    bool $parts,
) {
    $ones = array_map(static fn (int $i): string => "a$i", range(1, $first));
    $news = $second === 0 ? [] : array_map(static fn (int $i): string => "b$i", range(1, $second));
    $again = [];
    for ($i = 1; $i <= $repeats; $i++) {
        $again["r$i"] = "a$i";
    }
    $blocks = 0;
    for ($seed = 0; $seed < 200; $seed++) {
        $order = Deal::order($ones, $news, $again, $parts, new Chance("deal $seed"));
        $at = array_flip($order);
        expect(count($order))->toBe($first + $second + $repeats)->and(count($at))->toBe(count($order));
        foreach ($again as $repeat => $of) {
            expect($at[$repeat] - $at[$of])->toBeGreaterThan(Deal::BETWEEN);
        }
        if ($parts) {
            foreach ([...$ones] as $one) {
                expect($at[$one])->toBeLessThan($first);
            }
        }
        $blocks += array_diff(array_slice($order, -$repeats), array_keys($again)) === [] ? 1 : 0;
    }
    expect($blocks)->toBeLessThan(200 / 3);
})->with([[24, 0, 3, false], [40, 0, 8, false], [14, 6, 4, true], [12, 6, 3, true]]);

it('says how much room there is, and nobody can guess a place within it', function () {
    expect(Deal::room(20, false))
        ->toBe(0)
        ->and(Deal::room(21, false))
        ->toBe(1)
        ->and(Deal::room(24, false))
        ->toBe(4)
        ->and(Deal::room(60, false))
        ->toBe(30)
        ->and(Deal::room(17, true))
        ->toBe(0)
        ->and(Deal::room(18, true))
        ->toBe(6)
        ->and(Deal::room(24, true))
        ->toBe(12);
    // The commonest place of a repeat, over many readers, is no guess worth making.
    foreach ([[21, 0, 1, false], [12, 6, 1, true]] as [$first, $second, $repeats, $parts]) {
        $places = [];
        for ($seed = 0; $seed < 600; $seed++) {
            $order = Deal::order(
                range(1, $first),
                $second === 0 ? [] : range(101, 100 + $second),
                [999 => 1],
                $parts,
                new Chance("place $seed"),
            );
            $place = array_search(999, $order, true);
            $places[$place] = ($places[$place] ?? 0) + 1;
        }
        expect(max($places) / 600)->toBeLessThan(0.34);
    }
});

it('refuses what cannot be placed', function () {
    expect(fn () => Deal::order([1, 2, 3], [], [9 => 1], false, new Chance('x')))->toRefuse('cannot be kept apart');
});
