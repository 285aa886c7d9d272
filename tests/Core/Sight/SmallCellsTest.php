<?php

use Core\Chance\Chance;
use Core\Sight\SmallCells;

it('tells categories of fewer than five together only, and with them whatever would give them away', function (
    array $counts,
    array $told,
    int $together,
    array $merged,
) {
    $cells = SmallCells::of($counts);
    expect($cells->told)->toBe($told)
        ->and($cells->together)->toBe($together)
        ->and($cells->merged)->toBe($merged);
})->with([
    'nobody' => [[], [], 0, []],
    'all are many' => [['a' => 7, 'b' => 5], ['a' => 7, 'b' => 5], 0, []],
    'one is few: the total less the other would tell it' => [['a' => 11, 'b' => 3], [], 14, ['a', 'b']],
    'one is few, and the smallest of the others goes with it' => [
        ['a' => 20, 'b' => 2, 'c' => 6], ['a' => 20], 8, ['b', 'c'],
    ],
    'two are few, and few together' => [['a' => 9, 'b' => 1, 'c' => 2, 'd' => 12], ['d' => 12], 12, ['a', 'b', 'c']],
    'two are few, and enough together' => [['a' => 9, 'b' => 3, 'c' => 4], ['a' => 9], 7, ['b', 'c']],
    'two are few, and exactly enough together' => [['a' => 9, 'b' => 2, 'c' => 3], ['a' => 9], 5, ['b', 'c']],
    'one short of enough' => [['a' => 9, 'b' => 2, 'c' => 2, 'd' => 8], ['a' => 9], 12, ['b', 'c', 'd']],
    'none of a kind is nobody' => [['a' => 6, 'b' => 0], ['a' => 6], 0, []],
    'all of them are few' => [['a' => 2, 'b' => 1], [], 3, ['a', 'b']],
]);

it('lets no group of one to four be worked out, whatever the table', function () {
    $chance = new Chance('small cells');
    for ($i = 0; $i < 4000; $i++) {
        $counts = [];
        for ($k = 0, $n = 1 + $chance->between(0, 5); $k < $n; $k++) {
            $counts["k$k"] = $chance->between(0, 11);
        }
        $cells = SmallCells::of($counts);
        expect(array_sum($cells->told) + $cells->together)->toBe(array_sum($counts));
        foreach ($cells->told as $category => $told) {
            expect($told)->toBeGreaterThanOrEqual(5)->toBe($counts[$category]);
        }
        // What is left when all that is told is taken from the whole: two categories at least, and no few people.
        if ($cells->together > 0 && $cells->told !== []) {
            expect($cells->together)->toBeGreaterThanOrEqual(5)
                ->and(count($cells->merged))->toBeGreaterThanOrEqual(2);
        }
    }
});
