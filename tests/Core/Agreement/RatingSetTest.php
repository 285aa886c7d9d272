<?php

use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;

it('keeps only what some raters said of some items, as if nothing else had been said', function () {
    $draw = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar(5));
    for ($i = 0; $i < 40; $i++) {
        [$all, $some] = [new RatingSet, new RatingSet];
        [$raters, $items] = [['r1', 'r3', 'r12'], ['sway', '7']];
        foreach (['c2', 'c10', 'c1'] as $case) {
            foreach (['sway', '7', 'hang'] as $item) {
                foreach (['r12', 'r1', 'r2', 'r3'] as $rater) {
                    foreach (['1', '2'] as $occasion) {
                        $said = [$case, $item, $rater, ['', 'x', 'y'][$draw->getInt(0, 2)], $occasion];
                        if ($draw->getInt(0, 2) > 0) {
                            $all->add(...$said);
                            in_array($rater, $raters, true) && in_array($item, $items, true) && $some->add(...$said);
                        }
                    }
                }
            }
        }
        foreach ($all->ratingsOf('r3', '2') as $case => $byItem) {
            foreach ($byItem as $item => [$value]) {
                $one = $all->filtered(fn (string ...$of): bool => $of === [$case, (string) $item, 'r3', '2']);
                expect($one->valueNames())
                    ->toBe($value === '' ? [''] : ['', $value]);
            }
        }
        $only = $all->only($items, $raters);
        expect($only->items())->toBe($some->items())->and($only->cases())->toBe($some->cases());
        foreach ($some->items() as $item) {
            foreach ([[$item], $some->items()] as $of) {
                $table = static fn (RatingSet $set): array => (array) ItemTable::fromRatings($set, $of, ['x', 'y']);
                expect($table($only))->toEqual($table($some));
            }
        }
    }
});
