<?php

use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;

/** Random ratings with a true value behind them. @return list<array{string, string, string}> case, rater, value */
function randomRows(
    string $seed,
    int $cases = 30,
    int $raters = 4,
    array $names = ['a', 'p'],
    float $missing = 0.1,
    float $skill = 0.8,
): array {
    $c = new Chance($seed);
    $rows = [];
    for ($i = 0; $i < $cases; $i++) {
        $truth = $c->between(0, count($names) - 1);
        for ($r = 0; $r < $raters; $r++) {
            $value = $c->uniform() < $skill ? $truth : $c->between(0, count($names) - 1);
            $rows[] = [sprintf('c%03d', $i), "r$r", $c->uniform() < $missing ? '' : $names[$value]];
        }
    }

    return $rows;
}

function figuresOf(array $rows, ?StudyOptions $options = null): array
{
    $set = new RatingSet();
    foreach ($rows as [$case, $rater, $value]) {
        $set->add($case, '', $rater, $value);
    }

    return published((new Study($set, $options ?? new StudyOptions(bootstrap: 0)))->item(['']));
}

function estimates(array $block): array
{
    return array_map(static fn (array $f): ?float => $f['estimate'], $block['coefficients']);
}

it('does not depend on the order of the rows', function (string $seed) {
    $rows = randomRows($seed);
    $shuffled = (new Chance('order'.$seed))->shuffled($rows);
    expect(estimates(figuresOf($shuffled)))->toEqualWithDelta(estimates(figuresOf($rows)), 1e-12);
})->with(['one', 'two', 'three', 'four']);

it('does not depend on who is called what, nor on the names of the categories', function (string $seed) {
    $rows = randomRows($seed, names: ['a', 'b', 'c']);
    $renamed = array_map(
        static fn (array $r): array => [
            $r[0],
            ['r0' => 'zoe', 'r1' => 'abe', 'r2' => 'mia', 'r3' => 'kim'][$r[1]],
            ['' => '', 'a' => 'z', 'b' => 'm', 'c' => 'd'][$r[2]],
        ],
        $rows,
    );
    $one = figuresOf($rows);
    $two = figuresOf($renamed);
    expect(estimates($two))->toEqualWithDelta(estimates($one), 1e-12);
    foreach ($one['coefficients'] as $name => $f) {
        expect($two['coefficients'][$name]['se'] ?? null)->toEqualWithDelta($f['se'] ?? null, 1e-12);
    }
})->with(['one', 'two', 'three']);

it('is 1 when all raters copy one, with an interval that is not of zero width', function () {
    $rows = array_map(
        static fn (array $r): array => [$r[0], $r[1], (int) substr($r[0], 1) % 3 === 0 ? 'p' : 'a'],
        randomRows('copy', missing: 0.0),
    );
    foreach (figuresOf($rows)['coefficients'] as $name => $f) {
        expect($f['estimate'])
            ->toEqualWithDelta(1.0, 1e-12)
            ->and($f['high'])
            ->toBe(1.0)
            ->and($f['low'])
            ->toBeLessThan(0.99)
            ->toBeGreaterThan(0.5, $name);
    }
});

it('orders AC1, Brennan–Prediger and Fleiss on two categories', function (string $seed) {
    $e = estimates(figuresOf(randomRows($seed)));
    expect($e['gwet_ac1'])
        ->toBeGreaterThanOrEqual($e['brennan_prediger'] - 1e-12)
        ->and($e['brennan_prediger'])
        ->toBeGreaterThanOrEqual($e['fleiss_kappa'] - 1e-12);
})->with(['a', 'b', 'c', 'd', 'e', 'f']);

it('orders Fleiss, Cohen, Conger and alpha of two complete raters', function (string $seed) {
    $block = figuresOf(randomRows($seed, raters: 2, missing: 0.0));
    $e = estimates($block);
    expect($e['fleiss_kappa'])
        ->toBeLessThanOrEqual($e['conger_kappa'] + 1e-12)
        ->and($e['fleiss_kappa'])
        ->toBeLessThanOrEqual($e['krippendorff_alpha'] + 1e-12)
        ->and($e['conger_kappa'])
        ->toEqualWithDelta($block['pairs'][0]['cohen_kappa']['estimate'], 1e-12);
})->with(['a', 'b', 'c', 'd']);

it('gives the same bootstrap for the same seed and another for another', function () {
    $rows = randomRows('boot');
    $low = static fn (int $seed): float => figuresOf($rows, new StudyOptions(pairs: false, bootstrap: 400,
        seed: $seed))[
        'coefficients'
    ]['gwet_ac1']['low'];
    expect($low(1))->toBe($low(1))->and($low(2))->not->toBe($low(1));
});

it('agrees with the analytic interval where cases are many', function () {
    $rows = randomRows('many', cases: 200, raters: 5, missing: 0.05);
    $analytic = figuresOf($rows)['coefficients'];
    $boot = figuresOf($rows, new StudyOptions(pairs: false, bootstrap: 1500))['coefficients'];
    foreach (['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'krippendorff_alpha'] as $name) {
        expect($boot[$name]['method'])
            ->toBe('bca')
            ->and($boot[$name]['se'])
            ->toEqualWithDelta($analytic[$name]['se'], 1e-14)
            ->and($boot[$name]['low'])
            ->toEqualWithDelta($analytic[$name]['low'], 0.015)
            ->and($boot[$name]['high'])
            ->toEqualWithDelta($analytic[$name]['high'], 0.015);
    }
});

it('covers the truth about as often as it says', function () {
    // Truth of this population from many cases; 400 studies of 60 cases each.
    $truth = figuresOf(randomRows('truth', cases: 20000, missing: 0.0), new StudyOptions(pairs: false, bootstrap: 0))[
        'coefficients'
    ]['gwet_ac1']['estimate'];
    $inside = 0;
    for ($i = 0; $i < 400; $i++) {
        $f = figuresOf(randomRows("study$i", cases: 60, missing: 0.0), new StudyOptions(pairs: false, bootstrap: 0))[
            'coefficients'
        ]['gwet_ac1'];
        $inside += $f['low'] <= $truth && $truth <= $f['high'] ? 1 : 0;
    }
    expect($inside / 400)
        ->toBeGreaterThan(0.91)
        ->toBeLessThan(0.985);
});

it('keeps the units of one case together when items are pooled', function () {
    // The same calls on every item: pooling adds no information, so the error must not shrink.
    $set = new RatingSet();
    foreach (randomRows('pool', missing: 0.0) as [$case, $rater, $value]) {
        foreach (['x', 'y', 'z'] as $item) {
            $set->add($case, $item, $rater, $value);
        }
    }
    $study = new Study($set, new StudyOptions(pairs: false, bootstrap: 0));
    $one = published($study->item(['x']))['coefficients']['gwet_ac1'];
    $all = published($study->item(['x', 'y', 'z']))['coefficients']['gwet_ac1'];
    expect($all['estimate'])
        ->toEqualWithDelta($one['estimate'], 1e-12)
        ->and($all['se'])
        ->toBeGreaterThan(0.98 * $one['se'])
        ->toBeLessThan(1.03 * $one['se'])
        ->and($all['method'])
        ->toBe('cluster jackknife');
});

it('orders the three also with many raters, missing ratings and any prevalence', function (
    string $seed,
    float $skill,
    float $missing,
) {
    $e = estimates(figuresOf(randomRows($seed, 40, 9, missing: $missing, skill: $skill)));
    expect($e['gwet_ac1'])
        ->toBeGreaterThanOrEqual($e['brennan_prediger'] - 1e-12)
        ->and($e['brennan_prediger'])
        ->toBeGreaterThanOrEqual($e['fleiss_kappa'] - 1e-12);
})
    ->with(['g', 'h', 'i'])
    ->with([0.5, 0.95])
    ->with([0.0, 0.4]);

it('does not depend on order or names with pairs, repeats of raters and the key either', function () {
    $rows = randomRows('whole', 24, 4, names: ['absent', 'present']);
    $make = static function (array $rows, array $names): array {
        $set = new RatingSet();
        foreach ($rows as [$case, $rater, $value]) {
            $set->add($case, '', $names[$rater], $value, '1', 0.75);
        }
        for ($i = 0; $i < 24; $i++) {
            $set->addKey(sprintf('c%03d', $i), '', $i % 3 === 0 ? 'present' : 'absent');
        }

        return published((new Study($set, new StudyOptions(bootstrap: 60)))->item(['']));
    };
    $one = $make($rows, ['r0' => 'a', 'r1' => 'b', 'r2' => 'c', 'r3' => 'd']);
    $two = $make((new Chance('turned'))->shuffled($rows), ['r0' => 'z', 'r1' => 'y', 'r2' => 'x', 'r3' => 'w']);
    expect(
        array_reverse(array_map(static fn (array $r): array => array_diff_key($r, ['rater' => 1]),
            $two['against_key'])),
    )
        ->toEqualWithDelta(
            array_map(static fn (array $r): array => array_diff_key($r, ['rater' => 1]), $one['against_key']),
            1e-9,
        )
        ->and(array_reverse(array_column($two['raters_vs_rest'], 'mean_kappa')))
        ->toEqualWithDelta(array_column($one['raters_vs_rest'], 'mean_kappa'), 1e-9)
        ->and(array_sum(array_column(array_column($two['pairs'], 'cohen_kappa'), 'estimate')))
        ->toEqualWithDelta(array_sum(array_column(array_column($one['pairs'], 'cohen_kappa'), 'estimate')), 1e-9);
});

it(
    'gives the same figures however often an identical study is asked, and other limits for another confidence',
    function () {
        $rows = randomRows('again');
        $wide = figuresOf($rows, new StudyOptions(bootstrap: 100, confidence: 0.99));
        $narrow = figuresOf($rows, new StudyOptions(bootstrap: 100, confidence: 0.8));
        expect(figuresOf($rows, new StudyOptions(bootstrap: 100, confidence: 0.99)))->toEqual($wide);
        foreach ($wide['coefficients'] as $name => $f) {
            if ($f['estimate'] !== null) {
                expect($f['high'] - $f['low'])->toBeGreaterThan(
                    $narrow['coefficients'][$name]['high'] - $narrow['coefficients'][$name]['low'],
                );
            }
        }
    },
);
