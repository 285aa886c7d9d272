<?php

use Core\Agreement\Coefficient\Alpha;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\IntervalAlpha;
use Core\Agreement\Coefficient\OrdinalAlpha;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Resampling\Resample;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Chance\Chance;

/*
 * The fast ways – packed sums, laid-over columns, looked-up sums, bits – against the slow ones that follow the
 * definitions word by word.
 */

/** Random ratings of several items. @return list<array{string, string, string, string}> case, item, rater, value */
function manyRows(string $seed, int $q, int $cases, int $raters, int $items = 1, float $missing = 0.15): array
{
    $c = new Chance($seed);
    $out = [];
    for ($i = 0; $i < $cases; $i++) {
        for ($k = 0; $k < $items; $k++) {
            $lean = $c->between(1, $q);
            for ($r = 0; $r < $raters; $r++) {
                $value = $c->uniform() < 0.65 ? $lean : $c->between(1, $q);
                if ($c->uniform() >= $missing) {
                    $out[] = [sprintf('c%03d', $i), "i$k", sprintf('r%02d', $r), (string) $value];
                }
            }
        }
    }

    return $out;
}

function setOf(array $rows, Scale $scale = Scale::Nominal): RatingSet
{
    $set = new RatingSet($scale);
    foreach ($rows as [$case, $item, $rater, $value]) {
        $set->add($case, $item, $rater, $value);
    }

    return $set;
}

/** @return array<string, list<array<string, int>>> values by rater, of each unit of each case */
function unitsOf(array $rows): array
{
    $units = [];
    foreach ($rows as [$case, $item, $rater, $value]) {
        $units[$case][$item][$rater] = (int) $value;
    }

    return array_map(array_values(...), $units);
}

function weight(string $name, int $q): Closure
{
    return match ($name) {
        'ordinal' => static fn (int $a, int $b): float => 1 -
            (abs($a - $b) * (abs($a - $b) + 1)) / 2 / (($q * ($q - 1)) / 2),
        'linear' => static fn (int $a, int $b): float => 1 - abs($a - $b) / ($q - 1),
        'quadratic' => static fn (int $a, int $b): float => 1 - ($a - $b) ** 2 / ($q - 1) ** 2,
        default => static fn (int $a, int $b): float => $a === $b ? 1.0 : 0.0,
    };
}

it('weighs agreement as its definitions say, with ratings missing', function (string $name, string $seed) {
    $q = 4;
    $rows = manyRows($seed, $q, 25, 5);
    $w = weight($name, $q);
    $block = published(
        (new Study(
            setOf($rows, Scale::Ordinal),
            new StudyOptions(
                categories: ['1', '2', '3', '4'],
                bootstrap: 0,
                weights: $name === 'ordinal' ? null : $name,
            ),
        ))->item(['i0']),
    );
    $shares = [];
    $pi = array_fill(1, $q, 0.0);
    $units = array_merge(...array_values(unitsOf($rows)));
    foreach ($units as $unit) {
        $values = array_values($unit);
        foreach ($values as $v) {
            $pi[$v] += 1 / count($values) / count($units);
        }
        $sum = $n = 0;
        foreach ($values as $i => $a) {
            foreach ($values as $j => $b) {
                if ($i !== $j) {
                    $sum += $w($a, $b);
                    $n++;
                }
            }
        }
        if ($n > 0) {
            $shares[] = $sum / $n;
        }
    }
    $pa = array_sum($shares) / count($shares);
    $total = $fleiss = $spread = 0.0;
    foreach ($pi as $a => $p) {
        $spread += $p * (1 - $p);
        foreach ($pi as $b => $o) {
            $total += $w($a, $b);
            $fleiss += $w($a, $b) * $p * $o;
        }
    }
    foreach (
        [
            'fleiss_kappa' => $fleiss,
            'gwet_ac2' => ($total * $spread) / ($q * ($q - 1)),
            'brennan_prediger' => $total / $q ** 2,
        ] as $coefficient => $pe
    ) {
        expect($block['coefficients'][$coefficient]['estimate'])->toEqualWithDelta(($pa - $pe) / (1 - $pe), 1e-12);
    }
})->with(['ordinal', 'linear', 'quadratic'])->with(['one', 'two']);

it('computes alpha on ranks, distances and ratios pair by pair', function (Scale $scale, string $seed) {
    $rows = manyRows($seed, 5, 20, 4);
    $units = array_filter(array_merge(...array_values(unitsOf($rows))), static fn (array $u): bool => count($u) > 1);
    $n = array_fill(1, 5, 0);
    foreach ($units as $u) {
        foreach ($u as $v) {
            $n[$v]++;
        }
    }
    $delta = static function (int $a, int $b) use ($scale, $n): float {
        if ($scale === Scale::Interval) {
            return ($a - $b) ** 2;
        }
        if ($scale === Scale::Ratio) {
            return (($a - $b) / ($a + $b)) ** 2;
        }
        [$a, $b] = [min($a, $b), max($a, $b)];

        return $a === $b ? 0.0 : (array_sum(array_slice($n, $a - 1, $b - $a + 1)) - ($n[$a] + $n[$b]) / 2) ** 2;
    };
    $observed = $expected = 0.0;
    $all = array_merge(...array_map(array_values(...), $units));
    foreach ($units as $u) {
        foreach ($u as $i => $a) {
            foreach ($u as $j => $b) {
                $observed += $i !== $j ? $delta($a, $b) / (count($u) - 1) : 0.0;
            }
        }
    }
    foreach ($all as $a) {
        foreach ($all as $b) {
            $expected += $delta($a, $b);
        }
    }
    expect(
        Alpha::figure(ItemTable::fromRatings(setOf($rows, $scale), ['i0']), new Confidence(), null)->estimate,
    )->toEqualWithDelta(1 - ((count($all) - 1) * $observed) / $expected, 1e-12);
})
    ->with([Scale::Ordinal, Scale::Interval, Scale::Ratio])
    ->with(['one', 'two', 'three']);

it('makes alpha on two ranks nominal alpha, and interval alpha blind to shift and scale', function () {
    $rows = manyRows('two', 2, 30, 4);
    expect((new OrdinalAlpha(ItemTable::fromRatings(setOf($rows, Scale::Ordinal), ['i0'])))->estimates()[0])
        ->toEqualWithDelta(
            (new CountSums(ItemTable::fromRatings(setOf($rows), ['i0']), Weights::identity(2)))->estimates()[4],
            1e-12,
        );
    $five = manyRows('five', 5, 30, 4);
    $moved = array_map(static fn (array $r): array => [$r[0], $r[1], $r[2], (string) (1000.5 + 3 * (int) $r[3])],
        $five);
    expect(
        (new IntervalAlpha(ItemTable::fromRatings(setOf($moved, Scale::Interval), ['i0'])))->estimates()[0],
    )->toEqualWithDelta(
        (new IntervalAlpha(ItemTable::fromRatings(setOf($five, Scale::Interval), ['i0'])))->estimates()[0],
        1e-11,
    );
});

/** Cohen's κ of two raters over rows, straight from its definition; NAN where undefined. */
function slowKappa(array $units, string $a, string $b): float
{
    $both = array_values(
        array_filter(array_map(static fn (array $u): ?array => isset($u[$a], $u[$b]) ? [$u[$a], $u[$b]] : null,
            $units)),
    );
    $n = count($both);
    if ($n < 2) {
        return NAN;
    }
    $same = count(array_filter($both, static fn (array $p): bool => $p[0] === $p[1])) / $n;
    $one = array_count_values(array_column($both, 0));
    $two = array_count_values(array_column($both, 1));
    $pe = 0.0;
    foreach ($one as $k => $c) {
        $pe += $c * ($two[$k] ?? 0) / $n / $n;
    }

    return abs($pe - 1) < 1e-12 ? NAN : ($same - $pe) / (1 - $pe);
}

/**
 * @return array{float, float} mean of the pairs' κ and its jackknife error over cases, of all pairs or of one rater's
 */
function slowLight(array $cases, ?string $whose = null): array
{
    $mean = static function (array $cases) use ($whose): float {
        $units = array_merge(...array_values($cases));
        $raters = array_values(array_unique(array_merge(...array_map(array_keys(...), $units))));
        sort($raters);
        $kappas = [];
        foreach ($raters as $i => $a) {
            foreach (array_slice($raters, $i + 1) as $b) {
                if ($whose === null || $a === $whose || $b === $whose) {
                    $kappas[] = slowKappa($units, $a, $b);
                }
            }
        }
        $kappas = array_filter($kappas, static fn (float $k): bool => ! is_nan($k));

        return array_sum($kappas) / count($kappas);
    };
    $left = [];
    foreach (array_keys($cases) as $case) {
        $rest = $cases;
        unset($rest[$case]);
        $left[] = $mean($rest);
    }
    // Pooled units are centred on the whole, single ones on the mean of what is left.
    $middle = count(array_merge(...array_values($cases))) > count($cases) ? $mean($cases)
        : array_sum($left) / count($left);

    return [
        $mean($cases),
        sqrt(
            ((count($left) - 1) / count($left)) *
                array_sum(array_map(static fn (float $v): float => ($v - $middle) ** 2, $left)),
        ),
    ];
}

it('leaves out cases for Light and for each rater as one would by hand', function (
    int $q,
    int $cases,
    int $raters,
    int $items,
    float $missing,
) {
    $rows = manyRows("light$q$items", $q, $cases, $raters, $items, $missing);
    $set = setOf($rows);
    $table = ItemTable::fromRatings($set, $set->items());
    $pairs = new PairTables($table, Weights::identity($table->q), new Confidence);
    $units = unitsOf($rows);
    [$light, $se] = slowLight($units);
    expect($pairs->light()->estimate)
        ->toEqualWithDelta($light, 1e-12)
        ->and($pairs->light()->se)
        ->toEqualWithDelta($se, 1e-10);
    [$mean, $own] = slowLight($units, 'r01');
    $figure = $pairs->ratersVersusRest()['r01'];
    expect($figure->estimate)->toEqualWithDelta($mean, 1e-12)->and($figure->se)->toEqualWithDelta($own, 1e-10);
})->with([
    'two categories' => [2, 14, 4, 1, 0.1],
    'two, complete' => [2, 14, 5, 1, 0.0],
    'three' => [3, 12, 4, 1, 0.2],
    'five' => [5, 12, 4, 1, 0.2],
    'nine raters' => [2, 10, 9, 1, 0.2],
    'pooled, by bits' => [2, 9, 4, 5, 0.2],
    'pooled, more than 32 units a case' => [2, 6, 3, 40, 0.2],
    'pooled, three categories' => [3, 8, 4, 4, 0.2],
    'twenty categories' => [20, 15, 3, 1, 0.1],
    'some pairs without a kappa' => [2, 14, 5, 1, 0.4],
]);

it('takes pairs of many categories as of few', function () {
    $rows = manyRows('wide', 20, 40, 3);
    $table = ItemTable::fromRatings(setOf($rows), ['i0']);
    $units = array_merge(...array_values(unitsOf($rows)));
    foreach ((new PairTables($table, Weights::identity($table->q), new Confidence))->results(null) as $pair) {
        expect($pair->kappa->estimate)->toEqualWithDelta(slowKappa($units, $pair->a, $pair->b), 1e-12);
    }
});

it('draws the same replicates from packed sums as from the ratings themselves', function (
    int $q,
    int $items,
    bool $weighted,
) {
    $rows = manyRows("boot$q$items", $q, 12, 5, $items);
    $scale = $weighted ? Scale::Ordinal : Scale::Nominal;
    $set = setOf($rows, $scale);
    $names = array_map(strval(...), range(1, $q));
    $table = ItemTable::fromRatings($set, $set->items(), $names);
    $weights = Weights::asked($table, $weighted ? 'linear' : null);
    $boot = new ClusterBootstrap(12, 25, 3);
    $fast = new CountSums($table, $weights, 12);
    $cases = $set->cases();
    for ($b = 1; $b <= 25; $b++) {
        $draw = $boot->draw($b);
        $again = [];
        for ($j = 0; $j < count($draw); $j += 2) {
            for ($t = 0; $t < $draw[$j + 1]; $t++) {
                foreach ($rows as [$case, $item, $rater, $value]) {
                    if ($case === $cases[$draw[$j]]) {
                        $again[] = ["$case-$t", $item, $rater, $value];
                    }
                }
            }
        }
        $slow = ItemTable::fromRatings(setOf($again, $scale), $set->items(), $names);
        foreach ((new CountSums($slow, Weights::asked($slow, $weighted ? 'linear' : null)))->estimates() as $k => $v) {
            $own = $fast->replicate($draw)[$k];
            expect(is_nan($v) ? is_nan($own) : abs($v - $own) < 1e-12)->toBeTrue(
                "replicate $b, statistic $k: $v, $own",
            );
        }
    }
})->with([[2, 1, false], [2, 3, false], [4, 1, false], [4, 2, true], [9, 1, true]]);

it('leaves one case out of the sums as out of the ratings', function () {
    $rows = manyRows('left', 3, 10, 4, 2);
    $set = setOf($rows);
    $left = (new CountSums(ItemTable::fromRatings($set, $set->items()), Weights::identity(3)))->leaveOneOut();
    foreach ($set->cases() as $i => $case) {
        $rest = setOf(array_filter($rows, static fn (array $r): bool => $r[0] !== $case));
        expect($left[$i])->toEqualWithDelta(
            (new CountSums(ItemTable::fromRatings($rest, $rest->items(), ['1', '2', '3']), Weights::identity(3)))
                ->estimates(),
            1e-12,
        );
    }
});

it('has errors of weighted figures close to a jackknife over cases', function (string $name) {
    $rows = manyRows('weighted errors', 4, 90, 4, 1, str_contains($name, 'conger') ? 0.0 : 0.1);
    $figure = static fn (array $rows): array => published(
        (new Study(
            setOf($rows, Scale::Ordinal),
            new StudyOptions(categories: ['1', '2', '3', '4'], pairs: false, bootstrap: 0, weights: 'quadratic'),
        ))->item(['i0']),
    )['coefficients'][$name];
    $left = [];
    foreach (array_unique(array_column($rows, 0)) as $case) {
        $left[] = $figure(array_filter($rows, static fn (array $r): bool => $r[0] !== $case))['estimate'];
    }
    $mean = array_sum($left) / count($left);
    $jackknife = sqrt(
        ((count($left) - 1) / count($left)) *
            array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $left)),
    );
    expect($figure($rows)['se'] / $jackknife)
        ->toBeGreaterThan(0.93)
        ->toBeLessThan(1.07);
})->with(['fleiss_kappa', 'gwet_ac2', 'brennan_prediger', 'conger_kappa']);

it('makes nominal weights and none the same, and weighted Conger of two raters their weighted kappa', function () {
    $rows = manyRows('same', 3, 30, 2, 1, 0.0);
    $table = ItemTable::fromRatings(setOf($rows, Scale::Ordinal), ['i0']);
    foreach (
        [
            Weights::identity(3),
            Weights::ordinal(3),
            Weights::linear([1.0, 2.0, 3.0]),
            Weights::quadratic([1.0, 2.0, 3.0]),
        ] as $weights
    ) {
        $pair = (new PairTables($table, $weights, new Confidence()))->results(null)[0]->kappa;
        expect(CongerKappa::figure($table, $weights, new Confidence())->estimate)->toEqualWithDelta(
            $pair->estimate,
            1e-12,
        );
    }
    $plain = [12, 3, 4, 2, 9, 1, 0, 2, 7];
    expect((new CohenKappa($plain, new Confidence(), Weights::identity(3)))->kappa())->toEqual(
        (new CohenKappa($plain))->kappa(),
    );
});

it('finds quantiles without sorting everything', function (string $kind) {
    $c = new Chance("quantiles$kind");
    $values = array_map(static fn (): float => match ($kind) {
        'even' => $c->uniform(),
        'normal' => $c->normal(),
        'few values' => $c->between(0, 4) / 4,
        'one value' => 0.3,
        default => $c->uniform() < 0.99 ? 1e-9 * $c->uniform() : 1e6,
    }, range(1, 1999));
    $sorted = $values;
    sort($sorted);
    foreach ([0.0001, 0.025, 0.31, 0.5, 0.975, 0.99999] as $p) {
        $h = max(1.0, min(1999.0, 2000 * $p));
        $i = (int) floor($h);
        $expected = $sorted[$i - 1] + ($i < 1999 ? ($h - $i) * ($sorted[$i] - $sorted[$i - 1]) : 0.0);
        expect(Resample::quantiles($values, [$p, 0.5])[0])->toEqualWithDelta(
            $expected,
            1e-12 * max(1.0, abs($expected)),
        );
    }
})->with(['even', 'normal', 'few values', 'one value', 'far apart']);

it('works every count-based coefficient out by its definition as by packed sums', function (int $q, int $raters) {
    $undefined = 0;
    foreach (range(1, many(25, 200)) as $i) {
        $c = new Chance("two ways $q $raters $i");
        $missing = $c->uniform() < 0.3 ? 0.85 : 0.15;
        $scale = $q > 2 && $c->uniform() < 0.5 ? Scale::Ordinal : Scale::Nominal;
        $set = setOf(manyRows("two ways $q $raters $i", $q, $c->between(1, 12), $raters, 2, $missing), $scale);
        $weights = $scale === Scale::Nominal ? null : [null, 'linear', 'quadratic'][$c->between(0, 2)];
        $study = new Study($set, new StudyOptions(bootstrap: 0, weights: $weights));
        foreach ([...array_map(fn (string $item): array => [$item], $set->items()), $set->items()] as $items) {
            foreach ($study->twoWays($items) as $both) {
                expect($both->isSame())->toBeTrue("$both->figure: $both->packed and $both->defined");
                $undefined += $both->packed === null ? 1 : 0;
            }
        }
    }
    // Tables where something is undefined are among them.
    expect($undefined)->toBeGreaterThan(0);
})->with([[1, 3], [2, 2], [2, 5], [3, 4], [5, 8]]);
