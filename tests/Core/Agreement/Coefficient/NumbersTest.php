<?php

use Core\Agreement\Coefficient\BlandAltman;
use Core\Agreement\Coefficient\IntraclassCorrelation;
use Core\Agreement\Coefficient\RankAgreement;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;

/** Two raters' timings of the same moment, ms. @return array{list<float>, list<float>} */
function timings(Chance $c, int $n, float $bias = 4.0, float $noise = 8.0): array
{
    $x = $y = [];
    for ($i = 0; $i < $n; $i++) {
        $true = 1500 + 40 * $c->normal();
        $x[] = $true + $noise * $c->normal();
        $y[] = $true - $bias + $noise * $c->normal();
    }

    return [$x, $y];
}

/** Share of intervals of a figure that hold a value. */
function coverage(string $figure, float $truth, int $n, int $studies): float
{
    $in = 0;
    for ($i = 0; $i < $studies; $i++) {
        [$x, $y] = timings(new Chance("$figure$i"), $n);
        $f = (new BlandAltman($x, $y))->figures()[$figure];
        $in += $f->low <= $truth && $truth <= $f->high ? 1 : 0;
    }

    return $in / $studies;
}

it('holds the bias, the limits and the concordance about as often as it says', function (string $figure, float $truth) {
    expect(coverage($figure, $truth, 60, 500))->toBeGreaterThan(0.92)->toBeLessThan(0.98);
})->with([
    ['bias', 4.0], ['lower_limit', 4.0 - 1.96 * 8 * M_SQRT2], ['upper_limit', 4.0 + 1.96 * 8 * M_SQRT2],
    // ρ_c = 2·1600/(2·1664 + 16)
    ['lin_concordance', 2 * 1600 / (2 * 1664 + 16)],
]);

it('has a concordance of 1 only for the same values, and less than the correlation for shifted ones', function () {
    [$x] = timings(new Chance('same'), 20);
    $shifted = array_map(static fn (float $v): float => $v + 100, $x);
    expect((new BlandAltman($x, $x))->lin()->estimate)
        ->toEqualWithDelta(1.0, 1e-12)
        ->and((new BlandAltman($x, $x))->lin()->method)
        ->toBe('point')
        ->and((new BlandAltman($x, $shifted))->lin()->estimate)
        ->toBeLessThan(0.5)
        ->and((new BlandAltman($x, $shifted))->bias()->estimate)
        ->toEqualWithDelta(-100.0, 1e-9)
        ->and((new BlandAltman($x, array_map(static fn (float $v): float => -$v, $x)))->lin()->estimate)
        ->toBeLessThanOrEqual(0.0);
});

it('turns round with its raters', function () {
    [$x, $y] = timings(new Chance('turn'), 30);
    $one = (new BlandAltman($x, $y))->figures();
    $two = (new BlandAltman($y, $x))->figures();
    expect($two['bias']->estimate)
        ->toEqualWithDelta(-$one['bias']->estimate, 1e-9)
        ->and($two['upper_limit']->high)
        ->toEqualWithDelta(-$one['lower_limit']->low, 1e-9)
        ->and($two['lin_concordance']->low)
        ->toEqualWithDelta($one['lin_concordance']->low, 1e-12);
});

it('counts what lies within a tolerance, at its very edge too', function () {
    $d = new BlandAltman([0.3, 0.3, 0.5, 1.0], [0.2, 0.25, 0.1, 1.0]);
    expect($d->within(0.1)->estimate)
        ->toBe(0.75)
        ->and($d->within(0.0)->estimate)
        ->toBe(0.25)
        ->and($d->within(1.0)->estimate)
        ->toBe(1.0)
        ->and((new BlandAltman([], []))->within(1.0)->estimate)
        ->toBeNull();
});

it('is undefined, with a reason, where numbers are too few or all the same', function () {
    expect(worded((new BlandAltman([], []))->bias()->reason))
        ->toBe('no case was measured by both')
        ->and((new BlandAltman([1.0], [2.0]))->bias()->method)
        ->toBe('point')
        ->and(worded((new BlandAltman([1.0], [2.0]))->limit(1)->reason))
        ->toContain('fewer than two')
        ->and(worded((new BlandAltman([1.0], [2.0]))->lin()->reason))
        ->toContain('fewer than two')
        ->and(worded((new BlandAltman([1.0, 1.0], [1.0, 1.0]))->lin()->reason))
        ->toBe('all values are the same')
        ->and((new BlandAltman([1.0, 2.0], [1.0, 2.5]))->lin()->method)
        ->toBe('point');
});

/** Numbers of several items that go up and down together in a case. */
function pooledNumbers(string $seed, int $cases, bool $same): RatingSet
{
    $c = new Chance($seed);
    $set = new RatingSet(Scale::Interval);
    for ($i = 0; $i < $cases; $i++) {
        $true = 10 * $c->normal();
        foreach (['a', 'b', 'c'] as $rater) {
            $v = sprintf('%.4F', $true + 4 * $c->normal());
            foreach (['x', 'y', 'z'] as $item) {
                $set->add("c$i", $item, $rater, $same ? $v : sprintf('%.4F', $true + 4 * $c->normal()));
            }
        }
    }

    return $set;
}

it('leaves out clusters for intraclass correlations of pooled items, as their units are not independent', function () {
    $set = pooledNumbers('pooled', 60, true);
    $study = new Study($set, new StudyOptions(pairs: false, bootstrap: 400));
    $one = published($study->item(['x']))['coefficients']['icc_2_1'];
    $all = published($study->item(['x', 'y', 'z']))['coefficients']['icc_2_1'];
    expect($one['method'])->toBe('f')->and($all['method'])->toBe('bca')
        // Three times the same is no more than once: nearly the same value, and no narrower interval.
        ->and($all['estimate'])
        ->toEqualWithDelta($one['estimate'], 0.01)
        ->and($all['high'] - $all['low'])
        ->toBeGreaterThan(0.6 * ($one['high'] - $one['low']))
        ->and(
            published((new Study($set, new StudyOptions(pairs: false, bootstrap: 0)))->item(['x', 'y', 'z']))[
                'coefficients'
            ]['icc_2_1']['method'],
        )
        ->toBe('cluster jackknife');
});

it('says why there is no intraclass correlation', function (array $rows, string $reason) {
    $set = new RatingSet(Scale::Interval);
    foreach ($rows as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $set->add("c$i", '', $rater, $v === '.' ? '' : $v);
        }
    }
    foreach (
        (new IntraclassCorrelation(ItemTable::fromRatings($set, [''])))->figures(new Confidence(),
            new ClusterBootstrap(3, 10, 1)) as $figure
    ) {
        expect($figure->estimate)->toBeNull()->and(worded($figure->reason))->toBe($reason);
    }
})->with([
    [['a' => '1 2 3', 'b' => '1 . 3'], 'needs every rater to have rated every case'],
    [['a' => '1', 'b' => '2'], 'needs two cases or more'],
    [['a' => '5 5 5', 'b' => '5 5 5'], 'all values are the same, so there is no variance to share out'],
    [['a' => '1 . 2', 'b' => '. 3 .'], 'fewer than two ratings on every case'],
]);

it('does not let scale or shift of the numbers into intraclass correlations', function () {
    $rows = ['9 2 5 8', '6 1 3 2', '8 4 6 8', '7 1 2 6', '10 5 6 9', '6 2 4 7'];
    $of = static function (callable $change) use ($rows): array {
        $set = new RatingSet(Scale::Interval);
        foreach ($rows as $i => $row) {
            foreach (explode(' ', $row) as $j => $v) {
                $set->add("t$i", '', "j$j", (string) $change((float) $v));
            }
        }

        return array_map(
            static fn ($f): ?float => $f->estimate,
            (new IntraclassCorrelation(ItemTable::fromRatings($set, [''])))->figures(new Confidence(), null),
        );
    };
    expect($of(static fn (float $v): float => 1e6 + 0.001 * $v))->toEqualWithDelta(
        $of(static fn (float $v): float => $v),
        1e-6,
    );
});

it('takes two spellings of a number for one value, and orders numbers as numbers', function () {
    $set = new RatingSet(Scale::Ordinal);
    foreach (['2', '10', '2.0', '1e1', ' 3'] as $i => $v) {
        $set->add("c$i", '', 'a', trim($v));
        $set->add("c$i", '', 'b', '+2');
    }
    $table = ItemTable::fromRatings($set, ['']);
    expect($table->categories)
        ->toBe(['2', '3', '10'])
        ->and($table->numbers)
        ->toBe([2.0, 3.0, 10.0])
        ->and($table->columns[0])
        ->toBe([0, 2, 0, 2, 1])
        ->and($table->code('10.00'))
        ->toBe(2)
        ->and($table->code('x'))
        ->toBeNull()
        ->and(ItemTable::fromRatings($set, [''], ['1', '2.0', '3', '10'])->categories)
        ->toBe(['1', '2', '3', '10'])
        ->and(fn () => ItemTable::fromRatings($set, [''], ['1', 'two']))
        ->toRefuse("'two', which is no decimal number")
        ->and(fn () => ItemTable::fromRatings($set, [''], ['2', '3']))
        ->toRefuse("the value '10' of case 'c1'");
});

it('refuses weights on names and odd options', function () {
    expect(fn () => new Study(new RatingSet(), new StudyOptions(weights: 'linear')))
        ->toRefuse('no meaning on a nominal scale')
        ->and(fn () => new StudyOptions(weights: 'cubic'))
        ->toRefuse('not linear or quadratic')
        ->and(fn () => new StudyOptions(tolerance: -1.0))
        ->toRefuse('tolerance')
        ->and(fn () => new StudyOptions(tolerance: NAN))
        ->toThrow(CoreException::class)
        ->and(fn () => new StudyOptions(bootstrap: -1))
        ->toThrow(CoreException::class);
});

it('holds rank correlations about as often as it says', function () {
    $in = 0;
    for ($i = 0; $i < 400; $i++) {
        $c = new Chance("rank$i");
        [$x, $y] = [[], []];
        for ($k = 0; $k < 60; $k++) {
            $z = $c->normal();
            $x[] = $z + $c->normal();
            $y[] = $z + $c->normal();
        }
        $f = RankAgreement::spearman($x, $y);
        // ρ of ranks of a normal pair with r = 1/2: (6/π) asin(r/2).
        $in += $f->low <= 6 / M_PI * asin(0.25) && 6 / M_PI * asin(0.25) <= $f->high ? 1 : 0;
    }
    expect($in / 400)->toBeGreaterThan(0.91)->toBeLessThan(0.985);
});
