<?php

use Core\Agreement\Coefficient\VarianceComponents;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\DawidSkene;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Scale;
use Core\Agreement\Undefined;
use Core\Chance\Chance;

/**
 * Raters with known error rates on cases with known classes. @param  list<list<list<float>>>  $confusion by rater,
 * class and call
 *
 * @return array{ItemTable, list<int>} the table and the classes
 */
function plantedClasses(array $confusion, array $prevalence, int $cases, float $missing, string $seed): array
{
    $c = new Chance($seed);
    $pick = static function (array $p) use ($c): int {
        $u = $c->uniform();
        foreach ($p as $k => $v) {
            $u -= $v;
            if ($u < 0) {
                return $k;
            }
        }

        return count($p) - 1;
    };
    $set = new RatingSet;
    $truth = [];
    for ($i = 0; $i < $cases; $i++) {
        $truth[] = $class = $pick($prevalence);
        foreach ($confusion as $r => $rows) {
            $set->add(
                sprintf('c%04d', $i),
                '',
                "r$r",
                $c->uniform() < $missing && $r > 0 ? '' : 'k'.$pick($rows[$class]),
            );
        }
    }

    return [ItemTable::fromRatings($set, ['']), $truth];
}

const SKILLED = [[0.9, 0.1], [0.15, 0.85]];
const LOUD = [[0.6, 0.4], [0.05, 0.95]];
const SHY = [[0.97, 0.03], [0.45, 0.55]];

it('recovers planted error rates and prevalence, with ratings missing', function () {
    $planted = [SKILLED, LOUD, SHY, SKILLED, SHY];
    [$table, $truth] = plantedClasses($planted, [0.7, 0.3], 3000, 0.2, 'dawid');
    $fit = DawidSkene::fit($table, 5);
    expect($fit->converged)
        ->toBeTrue()
        ->and($fit->separated)
        ->toBeTrue()
        ->and($fit->prevalence[1])
        ->toEqualWithDelta(0.3, 0.03);
    foreach ($planted as $r => $rows) {
        foreach ($rows as $j => $row) {
            expect($fit->confusion[$r][$j][$j])->toEqualWithDelta($row[$j], 0.045);
        }
    }
    $right = count(
        array_filter(
            $truth,
            static fn (int $k, int $u): bool => ($fit->posterior[$u][1] > 0.5 ? 1 : 0) === $k,
            ARRAY_FILTER_USE_BOTH,
        ),
    );
    expect($right / 3000)->toBeGreaterThan(0.9);
});

it('recovers three classes from every start, each under its own name', function () {
    $rows = [[0.8, 0.1, 0.1], [0.1, 0.8, 0.1], [0.15, 0.05, 0.8]];
    [$table] = plantedClasses([$rows, $rows, $rows, $rows], [0.5, 0.3, 0.2], 2500, 0.0, 'three');
    $fit = DawidSkene::fit($table, 8);
    expect($fit->starts)->toBeGreaterThanOrEqual(6)->and($fit->of)->toBe(8)->and($fit->separated)->toBeTrue();
    foreach ([0.5, 0.3, 0.2] as $k => $p) {
        expect($fit->prevalence[$k])->toEqualWithDelta($p, 0.03);
    }
});

it('gives the same fit for the same seed, sums to one, and never lowers the likelihood by going on', function () {
    [$table] = plantedClasses([SKILLED, LOUD, SHY], [0.6, 0.4], 60, 0.1, 'small');
    $fit = DawidSkene::fit($table, 4, 9);
    expect(DawidSkene::fit($table, 4, 9))
        ->toEqual($fit)
        ->and(DawidSkene::fit($table, 1, 9, 3)->logLikelihood)
        ->toBeLessThanOrEqual(DawidSkene::fit($table, 1, 9, 300)->logLikelihood + 1e-9)
        ->and(DawidSkene::fit($table, 1, 9, 2)->converged)
        ->toBeFalse();
    foreach ($fit->posterior as $row) {
        expect(array_sum($row))->toEqualWithDelta(1.0, 1e-12);
    }
});

it('says where the classes do not part, and has nothing to say of one category', function () {
    // Raters who turn every call around: the names follow what they say, not what is so.
    $turned = [[0.1, 0.9], [0.9, 0.1]];
    [$table, $truth] = plantedClasses([$turned, $turned, $turned], [0.5, 0.5], 400, 0.0, 'turned');
    $fit = DawidSkene::fit($table, 3);
    expect($fit->confusion[0][0][0])->toBeGreaterThan(0.8)->and($fit->posterior[0][1 - $truth[0]])->toBeGreaterThan(0.5)
        ->and(DawidSkene::fit(ItemTable::fromRatings(ratings(['a' => 'p p', 'b' => 'p p']), [''])))->toBeNull();
});

/** A complete table with planted variances. */
function plantedVariances(float $case, float $rater, float $error, int $cases, int $raters, string $seed): ItemTable
{
    $c = new Chance($seed);
    $set = new RatingSet(Scale::Interval);
    $severity = array_map(static fn (): float => sqrt($rater) * $c->normal(), range(1, $raters));
    for ($i = 0; $i < $cases; $i++) {
        $true = sqrt($case) * $c->normal();
        foreach ($severity as $r => $s) {
            $set->add(sprintf('c%03d', $i), '', "r$r", sprintf('%.6F', $true + $s + sqrt($error) * $c->normal()));
        }
    }

    return ItemTable::fromRatings($set, ['']);
}

it('recovers planted variance components', function () {
    $sums = [0.0, 0.0, 0.0];
    for ($i = 0; $i < 30; $i++) {
        $v = VarianceComponents::fitted(plantedVariances(4.0, 1.0, 2.0, 40, 8, "variance$i"));
        foreach ([$v->case, $v->rater, $v->caseRater] as $k => $f) {
            $sums[$k] += $f->estimate / 30;
        }
    }
    expect($sums[0])
        ->toEqualWithDelta(4.0, 0.5)
        ->and($sums[1])
        ->toEqualWithDelta(1.0, 0.3)
        ->and($sums[2])
        ->toEqualWithDelta(2.0, 0.1);
});

it('puts bootstrap intervals about the components', function () {
    $table = plantedVariances(4.0, 1.0, 2.0, 60, 6, 'interval');
    $v = VarianceComponents::fitted($table, bootstrap: new ClusterBootstrap(60, 500, 1));
    expect($v->case->low)
        ->toBeLessThan($v->case->estimate)
        ->toBeGreaterThan(1.0)
        ->and($v->case->high)
        ->toBeGreaterThan($v->case->estimate)
        ->toBeLessThan(9.0)
        ->and($v->caseRater->method)
        ->toBe('bca');
});

it('shows in the decision study what more raters and cases bring', function () {
    $v = VarianceComponents::fitted(plantedVariances(4.0, 1.0, 2.0, 60, 6, 'study'));
    $curve = $v->decisionStudy([1, 2, 4, 8], [10, 40]);
    expect($curve)->toHaveCount(8);
    foreach ([0, 2, 4] as $i) {
        expect($curve[$i + 2]['relative'])
            ->toBeGreaterThan($curve[$i]['relative'])
            ->and($curve[$i + 2]['absolute'])
            ->toBeLessThan($curve[$i + 2]['relative'])
            ->and($curve[$i + 1]['se_of_mean'])
            ->toBeLessThan($curve[$i]['se_of_mean']);
    }
    $none = VarianceComponents::fitted(ItemTable::fromRatings(ratings(['a' => 'p .', 'b' => 'p a']), ['']));
    expect($none->case->estimate)
        ->toBeNull()
        ->and($none->reason)
        ->toBe(Undefined::Incomplete)
        ->and($none->decisionStudy([1], [1]))
        ->toBe([]);
});
