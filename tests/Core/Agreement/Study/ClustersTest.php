<?php

use Core\Agreement\Clusters;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountInfluence;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;

/*
 * Golfers as clusters, and readers like these: the fast ways against what the formulas say word by word.
 */

/**
 * Swings of golfers who have habits of their own.
 *
 * @return list<array{string, string, string, string, string}> case, item, rater, value, golfer
 */
function golferRows(
    string $seed,
    int $golfers = 9,
    int $swings = 4,
    int $raters = 5,
    int $items = 1,
    float $missing = 0.1,
    int $q = 2,
): array {
    $c = new Chance($seed);
    $out = [];
    for ($g = 0; $g < $golfers; $g++) {
        $of = $c->between(1, $swings);
        for ($s = 0; $s < $of; $s++) {
            for ($k = 0; $k < $items; $k++) {
                $true = $c->uniform() < 0.7 ? ($g + $k) % $q : $c->between(0, $q - 1);
                for ($r = 0; $r < $raters; $r++) {
                    $value = $c->uniform() < 0.85 - 0.05 * $r ? $true : $c->between(0, $q - 1);
                    if ($c->uniform() >= $missing) {
                        $out[] = ["g$g-s$s", "i$k", "r$r", "v$value", "golfer $g"];
                    }
                }
            }
        }
    }

    return $out;
}

function grouped(array $rows, Scale $scale = Scale::Nominal): RatingSet
{
    $set = new RatingSet($scale);
    foreach ($rows as [$case, $item, $rater, $value, $golfer]) {
        $set->add($case, $item, $rater, $value);
        $set->group($case, $golfer);
    }

    return $set;
}

/** @return array<string, array<string, mixed>> */
function clusteredFigures(RatingSet $set, array $options = []): array
{
    return published((new Study($set, new StudyOptions(...['bootstrap' => 0, ...$options])))->item($set->items()));
}

it('takes each case for its own cluster where none is told, or each is told its own', function () {
    $rows = array_map(static fn (array $row): array => [...array_slice($row, 0, 4), $row[0]], golferRows('own'));
    $plain = new RatingSet;
    foreach ($rows as [$case, $item, $rater, $value]) {
        $plain->add($case, $item, $rater, $value);
    }
    foreach ([0, 300] as $bootstrap) {
        expect(json_encode(clusteredFigures(grouped($rows), ['bootstrap' => $bootstrap])))
            ->toBe(json_encode(clusteredFigures($plain, ['bootstrap' => $bootstrap])));
    }
});

it('does not depend on what golfers are called, nor on the order of the rows', function () {
    $rows = golferRows('names', items: 2);
    $figures = clusteredFigures(grouped($rows));
    $again = [];
    foreach (array_reverse($rows) as [$case, $item, $rater, $value, $golfer]) {
        $again[] = [$case, $item, $rater, $value, strrev($golfer).'x'];
    }
    $other = clusteredFigures(grouped($again));
    foreach ($figures['coefficients'] as $name => $f) {
        foreach (['estimate', 'se', 'low', 'high'] as $part) {
            expect($other['coefficients'][$name][$part] ?? null)->toEqualWithDelta($f[$part] ?? null, 1e-9);
        }
    }
    expect($other['pairs'][0]['cohen_kappa']['se'])->toEqualWithDelta($figures['pairs'][0]['cohen_kappa']['se'], 1e-12);
});

it('refuses a case of two golfers', function () {
    $set = new RatingSet;
    $set->group('a', 'x');
    $set->group('a', 'x');
    expect(fn () => $set->group('a', 'y'))->toThrow(CoreException::class);
});

it('orders clusters bytewise, a cluster before a case of its name', function () {
    $set = new RatingSet;
    foreach (['b', 'a', 'c', '10', '9'] as $case) {
        $set->add($case, '', 'r', 'x');
    }
    $set->group('c', 'a');
    $set->group('9', 'a');
    expect($set->inClusters())->toBe([['10', 0], ['9', 1], ['c', 1], ['a', 2], ['b', 3]])
        ->and($set->clusterCount())->toBe(4)
        ->and($set->isClustered())->toBeTrue()
        ->and($set->only([''], ['r'])->clusterCount())->toBe(4);
});

it('leaves out each golfer for every figure of agreement, as one would by hand', function (
    string $seed,
    int $items,
    int $q,
    float $missing,
) {
    $rows = golferRows($seed, items: $items, missing: $missing, q: $q);
    $all = clusteredFigures(grouped($rows));
    $golfers = array_values(array_unique(array_column($rows, 4)));
    $without = [];
    foreach ($golfers as $golfer) {
        $rest = array_values(array_filter($rows, static fn (array $row): bool => $row[4] !== $golfer));
        $without[] = clusteredFigures(grouped($rest), [
            'categories' => array_map(static fn (int $k): string => "v$k", range(0, $q - 1)),
        ]);
    }
    $sizes = [];
    foreach ($rows as [$case, $item, , , $golfer]) {
        $sizes[$golfer]["$case $item"] = true;
    }
    $n = array_map(count(...), array_values($sizes));
    $effective = array_sum($n) ** 2 / array_sum(array_map(static fn (int $v): int => $v * $v, $n));
    $g = count($golfers);
    foreach (['percent_agreement', 'fleiss_kappa', 'gwet_ac1', 'brennan_prediger', 'light_kappa'] as $name) {
        $f = $all['coefficients'][$name];
        $squares = 0.0;
        foreach ($without as $rest) {
            $squares += ($rest['coefficients'][$name]['estimate'] - $f['estimate']) ** 2;
        }
        $se = sqrt(($g - 1) / $g * $squares);
        expect($f['se'])->toEqualWithDelta($se, 1e-10)
            ->and($f['clusters'])->toEqualWithDelta($effective, 1e-12)
            ->and($f['method'])->toBe('cluster jackknife')
            ->and($f['low'])
            ->toEqualWithDelta(max(-1.0, $f['estimate'] - (new Confidence)->t($effective - 1) * $se), 1e-10)
            ->and($f['reason'])->toContain('below 15')
            ->and($f['reason_code']['code'])->toBe('caution.few-clusters');
    }
})->with([
    'one item' => ['one', 1, 2, 0.1],
    'pooled' => ['pooled', 3, 2, 0.2],
    'three categories' => ['three', 2, 3, 0.1],
]);

it('leaves out each golfer for two raters, their PABAK and what one said twice', function () {
    $rows = golferRows('pair', 12, 5, 3, 2, 0.0);
    $all = clusteredFigures(grouped($rows))['pairs'][0];
    $golfers = array_values(array_unique(array_column($rows, 4)));
    $kappas = $pabaks = 0.0;
    foreach ($golfers as $golfer) {
        $rest = array_values(array_filter($rows, static fn (array $row): bool => $row[4] !== $golfer));
        $pair = clusteredFigures(grouped($rest))['pairs'][0];
        $kappas += ($pair['cohen_kappa']['estimate'] - $all['cohen_kappa']['estimate']) ** 2;
        $pabaks += ($pair['pabak']['estimate'] - $all['pabak']['estimate']) ** 2;
    }
    $g = count($golfers);
    // The same two as what one reader said first and later.
    $set = new RatingSet;
    foreach ($rows as [$case, $item, $rater, $value, $golfer]) {
        if ($rater !== 'r2') {
            $set->add($case, $item, 'r', $value, $rater === 'r0' ? '1' : '2');
            $set->group($case, $golfer);
        }
    }
    $self = clusteredFigures($set)['self'][0];
    expect($all['cohen_kappa']['se'])->toEqualWithDelta(sqrt(($g - 1) / $g * $kappas), 1e-12)
        ->and($all['pabak']['se'])->toEqualWithDelta(sqrt(($g - 1) / $g * $pabaks), 1e-12)
        ->and($self['cohen_kappa']['se'])->toEqualWithDelta($all['cohen_kappa']['se'], 1e-12)
        ->and($self['percent_agreement']['se'])->toEqualWithDelta($all['pabak']['se'] / 2, 1e-12)
        ->and($self['percent_agreement']['estimate'])->toEqualWithDelta($all['percent_agreement'], 1e-12);
});

it('finds the influence of a cluster from its sums as unit by unit', function (int $q, bool $weighted, float $missing) {
    $rows = golferRows("influence$q", 8, 5, 5, 2, $missing, $q);
    if ($weighted) {
        $rows = array_map(static fn (array $r): array => [$r[0], $r[1], $r[2], substr($r[3], 1), $r[4]], $rows);
    }
    $set = grouped($rows, $weighted ? Scale::Ordinal : Scale::Nominal);
    $table = ItemTable::fromRatings($set, $set->items());
    $weights = Weights::asked($table, null);
    $sums = new CountSums($table, $weights);
    $forms = CountInfluence::forms($sums->total, $sums->estimates(), $table->q, $weights);
    foreach (CountSums::NAMES as $i => $name) {
        $influence = CountFigures::coefficient($name)->influence(
            $table,
            $weights,
            $sums->estimates()[$i],
            $sums->proportions(),
        );
        $by = [];
        foreach ($influence->byUnit as $u => $v) {
            $by[$table->clusterOf[$u]] = ($by[$table->clusterOf[$u]] ?? 0.0) + $v;
        }
        $n = $name === 'krippendorff_alpha' ? $table->paired : $table->units;
        foreach ($sums->times($forms[$i]) as $g => $v) {
            expect($v * $n)->toEqualWithDelta($by[$sums->ranks[$g]] ?? 0.0, 1e-9);
        }
        expect(array_sum($sums->times($forms[$i])))->toEqualWithDelta(0.0, $i === 4 ? 0.02 : 1e-12)
            ->and(CountInfluence::chance($sums->total, $table->q, $weights)[$i])
            ->toEqualWithDelta($influence->chance, 1e-12);
    }
})->with([[2, false, 0.1], [2, false, 0.6], [3, false, 0.2], [4, true, 0.2]]);

/** V_c + max(0, V_r − V_rc) and V_c + V_r, from what the formula says, over figures of whole tables. */
function readersByHand(RatingSet $set, Closure $figure, Closure $influences): array
{
    $raters = RatingSet::ordered($set->raterNames());
    $m = count($raters);
    $n = null;
    $values = $parts = [];
    foreach ($raters as $rater) {
        $rest = $set->only($set->items(), array_values(array_diff($raters, [$rater])));
        $values[] = $figure($rest);
        $parts[] = $influences($rest);
    }
    $mean = array_sum($values) / $m;
    $vr = ($m - 1) / $m * array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values));
    $clusters = array_keys($parts[0]);
    $crossed = 0.0;
    foreach ($clusters as $c) {
        $of = array_column($parts, $c);
        $middle = array_sum($of) / $m;
        $crossed += array_sum(array_map(static fn (float $v): float => ($v - $middle) ** 2, $of));
    }
    $g = count($clusters);

    return [$vr, ($m - 1) / $m * $g / ($g - 1) * $crossed];
}

it('speaks for readers like these as the formula says', function (string $name, int $items, int $q) {
    // Complete: then what is left without a reader has as many units.
    $set = grouped(golferRows("readers$items$q", 16, 3, 9, $items, 0.0, $q));
    $categories = array_map(static fn (int $k): string => "v$k", range(0, $q - 1));
    $f = clusteredFigures($set, ['categories' => $categories])['coefficients'][$name];
    $table = static fn (RatingSet $of): ItemTable => ItemTable::fromRatings($of, $of->items(), $categories);
    $named = ['gwet_ac1' => 'gwet_ac'][$name] ?? $name;
    [$vr, $vrc] = readersByHand(
        $set,
        static fn (RatingSet $of): float => clusteredFigures($of, ['categories' => $categories])['coefficients'][$name][
            'estimate'
        ],
        static function (RatingSet $of) use ($table, $named, $q): array {
            $t = $table($of);
            $sums = new CountSums($t, Weights::identity($q));
            $value = CountFigures::coefficient($named)->value($t, Weights::identity($q));
            $by = [];
            $units = CountFigures::coefficient($named)->influence($t, Weights::identity($q), $value, $sums
                ->proportions());
            foreach ($units->byUnit as $u => $v) {
                $by[$t->clusterOf[$u]] = ($by[$t->clusterOf[$u]] ?? 0.0) + $v / $t->units;
            }

            return $by;
        },
    );
    $vc = $f['se'] ** 2;
    $g = 16;
    $nu = min(max(($vc + $vr) ** 2 / ($vc ** 2 / ($g - 1) + $vr ** 2 / 8), 8), $g - 1);
    $half = (new Confidence)->t($nu) * sqrt($vc + $vr);
    expect($f['new_raters']['se'])->toEqualWithDelta(sqrt($vc + max(0.0, $vr - $vrc)), 1e-9)
        ->and($f['new_raters']['low'])->toEqualWithDelta(max(-1, $f['estimate'] - $half), 1e-9)
        ->and($f['new_raters']['high'])->toEqualWithDelta(min(1, $f['estimate'] + $half), 1e-9)
        ->and($f['new_raters'])->not->toHaveKey('reason');
})->with([
    ['percent_agreement', 1, 2],
    ['fleiss_kappa', 2, 2],
    ['gwet_ac1', 2, 2],
    ['gwet_ac1', 1, 3],
    ['brennan_prediger', 1, 3],
    ['krippendorff_alpha', 2, 2],
]);

it('gives Conger\'s kappa for readers like these as Fleiss\' where all lean alike', function () {
    $set = grouped(golferRows('conger', 16, 3, 9, 2, 0.0));
    $c = clusteredFigures($set)['coefficients'];
    expect($c['conger_kappa']['new_raters']['se'])->toEqualWithDelta($c['fleiss_kappa']['new_raters']['se'], 0.01)
        ->and($c['conger_kappa']['se'])->toEqualWithDelta($c['fleiss_kappa']['se'], 0.005);
    // The influences' own sum of squares, against leaving out each case.
    $table = ItemTable::fromRatings($set, ['i0']);
    $single = new ItemTable($table->scale, $table->categories, [], $table->raters, $table->columns,
        array_keys($table->clusterOf));
    $alone = new ItemTable(
        $table->scale, $table->categories, [], $table->raters, $table->columns, array_keys($table->clusterOf), null,
        true,
    );
    $w = Weights::identity(2);
    expect(CongerKappa::figure($single, $w, new Confidence)->se)
        ->toEqualWithDelta(CongerKappa::figure($alone, $w, new Confidence)->se, 0.003);
});

it('says nothing of other readers from fewer than four, and warns below eight', function () {
    $few = clusteredFigures(grouped(golferRows('few', raters: 3)))['coefficients']['gwet_ac1']['new_raters'];
    $some = clusteredFigures(grouped(golferRows('some', raters: 5)))['coefficients']['gwet_ac1']['new_raters'];
    $same = array_map(static fn (array $r): array => [$r[0], $r[1], $r[2], 'v'.($r[0][1] % 2), $r[4]],
        golferRows('same'));
    $all = clusteredFigures(grouped($same))['coefficients']['gwet_ac1'];
    expect($few)->toBe([
        'reason' => 'fewer than four readers say nothing of other readers',
        'reason_code' => ['code' => 'undefined.few-readers-for-others'],
    ])
        ->and($some['reason'])->toContain('only 5 readers')
        ->and($some['low'])->toBeFloat()
        ->and($all['method'])->toBe('perfect-agreement bound')
        ->and($all['low'])->toBeLessThan(0.9)
        ->and($all['new_raters']['reason'])->toContain('all agree on everything');
});

it('counts golfers, not swings, where nobody ever differs', function () {
    $rows = array_map(static fn (array $r): array => [$r[0], $r[1], $r[2], 'v'.($r[0][1] % 2), $r[4]],
        golferRows('perfect'));
    $golfers = count(array_unique(array_column($rows, 4)));
    $f = clusteredFigures(grouped($rows))['coefficients']['percent_agreement'];
    expect($f['low'])->toEqualWithDelta($golfers / ($golfers + 1.959963984540054 ** 2), 1e-9)->and($f['high'])
        ->toBe(1.0);
});

it('counts clusters of uneven size as fewer', function () {
    $even = Clusters::ofSizes([3, 3, 3]);
    $uneven = Clusters::ofSizes([7, 1, 1, 0]);
    expect([$even->count, $even->effective])->toBe([3, 3.0])
        ->and($uneven->count)->toBe(3)
        ->and($uneven->effective)->toEqualWithDelta(81 / 51, 1e-12)
        ->and(Clusters::ofSizes([])->effective)->toBe(0.0)
        ->and(Clusters::ofSizes([0])->areFew())->toBeTrue();
});

it('takes alpha of numbers over golfers, and for readers like these', function () {
    $c = new Chance('numbers');
    $set = new RatingSet(Scale::Interval);
    $rows = [];
    for ($g = 0; $g < 12; $g++) {
        $habit = $c->normal();
        for ($s = 0; $s < 3; $s++) {
            $true = $habit + 0.5 * $c->normal();
            for ($r = 0; $r < 8; $r++) {
                $rows[] = ["$g-$s", '', "r$r", sprintf('%.2F', $true + 0.1 * $r + 0.4 * $c->normal()), "g$g"];
            }
        }
    }
    $set = grouped($rows, Scale::Interval);
    $f = clusteredFigures($set, ['pairs' => true]);
    $alpha = $f['coefficients']['krippendorff_alpha'];
    $squares = 0.0;
    for ($g = 0; $g < 12; $g++) {
        $rest = grouped(array_values(array_filter($rows, static fn (array $r): bool => $r[4] !== "g$g")),
            Scale::Interval);
        $squares += (clusteredFigures($rest)['coefficients']['krippendorff_alpha']['estimate'] - $alpha['estimate']) ** 2;
    }
    expect($alpha['se'])->toEqualWithDelta(sqrt(11 / 12 * $squares), 1e-10)
        ->and($alpha['new_raters']['se'])->toBeGreaterThan($alpha['se'])
        ->and($f['coefficients']['icc_2_1']['method'])->toBe('cluster jackknife')
        ->and($f['pairs'][0]['bias']['method'])->toBe('cluster jackknife')
        ->and($f['pairs'][0]['bias']['low'])->toBeLessThan($f['pairs'][0]['bias']['estimate']);
});
