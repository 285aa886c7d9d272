<?php

use Core\Agreement\Clusters;
use Core\Agreement\Coefficient\SpecificAgreement;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\NewReaders;
use Core\Agreement\Profile\DriftChart;
use Core\Agreement\Profile\FacetDesign;
use Core\Agreement\Profile\FacetFit;
use Core\Agreement\Profile\RankedPerson;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Study\GroupComparison;
use Core\Chance\Chance;

// Models worked out a second time, the long way: one dense matrix in place of parts, every way listed, every pair.

/**
 * @param  list<list<float>>  $m
 * @return array{list<list<float>>, float} its inverse and the logarithm of its determinant, by elimination
 */
function turnedRound(array $m): array
{
    $n = count($m);
    foreach ($m as $i => $row) {
        $m[$i] = [...$row, ...array_map(static fn (int $j): float => $i === $j ? 1.0 : 0.0, range(0, $n - 1))];
    }
    $log = 0.0;
    for ($i = 0; $i < $n; $i++) {
        $best = $i;
        for ($k = $i + 1; $k < $n; $k++) {
            $best = abs($m[$k][$i]) > abs($m[$best][$i]) ? $k : $best;
        }
        [$m[$i], $m[$best]] = [$m[$best], $m[$i]];
        $log += log(abs($m[$i][$i]));
        $m[$i] = array_map(static fn (float $v): float => $v / $m[$i][$i], $m[$i]);
        foreach ($m as $k => $row) {
            if ($k !== $i) {
                $m[$k] = array_map(static fn (float $v, float $w): float => $v - $row[$i] * $w, $row, $m[$i]);
            }
        }
    }

    return [array_map(static fn (array $row): array => array_slice($row, $n), $m), $log];
}

/**
 * The mode of a model of levels drawn about nought, with one matrix for all of them; the mean is the last parameter.
 *
 * @param  list<array{bool, list<string>}>  $calls
 * @param  list<float>  $sd
 * @return array{names: list<string>, at: list<float>, inverse: list<list<float>>, deviance: float, p: list<float>}
 */
function modeOfAll(array $calls, array $sd): array
{
    $places = [];
    foreach ($calls as [, $levels]) {
        foreach ($levels as $f => $level) {
            $places["$f $level"] ??= count($places);
        }
    }
    $rows = array_map(static fn (array $c): array => [
        ...array_map(static fn (int $f, string $l): int => $places["$f $l"], array_keys($c[1]), $c[1]),
        count($places),
    ], $calls);
    $penalty = array_map(static fn (string $name): float => 1 / $sd[(int) $name] ** 2, array_keys($places));
    $n = count($places) + 1;
    $at = array_fill(0, $n, 0.0);
    $inverse = $p = [];
    $hessian = [];
    for ($step = 0; $step < 60; $step++) {
        $slope = array_fill(0, $n, 0.0);
        $hessian = array_fill(0, $n, array_fill(0, $n, 0.0));
        foreach ($rows as $i => $row) {
            $p[$i] = 1 / (1 + exp(-array_sum(array_map(static fn (int $j): float => $at[$j], $row))));
            foreach ($row as $j) {
                $slope[$j] += ($calls[$i][0] ? 1.0 : 0.0) - $p[$i];
                foreach ($row as $k) {
                    $hessian[$j][$k] += $p[$i] * (1 - $p[$i]);
                }
            }
        }
        foreach ($penalty as $j => $v) {
            $slope[$j] -= $v * $at[$j];
            $hessian[$j][$j] += $v;
        }
        [$inverse] = turnedRound($hessian);
        foreach ($at as $j => $v) {
            $at[$j] = $v + array_sum(array_map(static fn (float $h, float $s): float => $h * $s, $inverse[$j], $slope));
        }
    }
    $loss = 0.0;
    foreach ($calls as $i => [$right]) {
        $loss -= log($right ? $p[$i] : 1 - $p[$i]);
    }
    foreach ($penalty as $j => $v) {
        $loss += 0.5 * $v * $at[$j] ** 2;
    }
    $random = array_map(
        static fn (array $row): array => array_slice($row, 0, $n - 1),
        array_slice($hessian, 0, $n - 1),
    );
    $spreads = array_sum(array_map(static fn (float $v): float => -log($v), $penalty));

    return [
        'names' => array_keys($places), 'at' => $at, 'inverse' => $inverse,
        'deviance' => 2 * $loss + turnedRound($random)[1] + $spreads, 'p' => $p,
    ];
}

it('finds the mode, the errors, the fit and the likelihood of a many-facet model as one dense matrix does', function () {
    foreach (range(1, 4) as $seed) {
        $c = new Chance("facets $seed");
        $calls = [];
        foreach (['ann', 'bo', 'cy', 'di'] as $r => $reader) {
            foreach (range(1, 9) as $case) {
                foreach (['sway', 'slide'] as $f => $fault) {
                    if ($c->uniform() < 0.85) {
                        $calls[] = [$c->uniform() < 0.35 + 0.1 * $r + 0.04 * ($case % 5) - 0.1 * $f, [$reader, "c$case", $fault]];
                    }
                }
            }
        }
        foreach ([[0.8, 1.1, 0.4], [0.2, 2.5, 1.0]] as $sd) {
            $fit = new FacetFit(new FacetDesign($calls, ['reader', 'case', 'fault']));
            $dense = modeOfAll($calls, $sd);
            expect($fit->deviance($sd))->toEqualWithDelta($dense['deviance'], 1e-6);
            $effects = $fit->effects($sd);
            $mean = count($dense['names']);
            expect($effects['mean'])->toEqualWithDelta($dense['at'][$mean], 1e-6)
                ->and($effects['se'])->toEqualWithDelta(sqrt($dense['inverse'][$mean][$mean]), 1e-6);
            foreach ($dense['names'] as $j => $name) {
                [$facet, $level] = explode(' ', $name);
                $of = $effects['facets'][['reader', 'case', 'fault'][(int) $facet]][$level];
                $v = $dense['inverse'];
                $mine = array_keys(
                    array_filter($calls, static fn (array $call): bool => $call[1][(int) $facet] === $level),
                );
                $squares = $weights = $strange = 0.0;
                foreach ($mine as $i) {
                    $p = $dense['p'][$i];
                    $off = (($calls[$i][0] ? 1.0 : 0.0) - $p) ** 2;
                    [$squares, $weights, $strange] = [
                        $squares + $off, $weights + $p * (1 - $p), $strange + $off / ($p * (1 - $p)),
                    ];
                }
                expect($of->estimate)->toEqualWithDelta($dense['at'][$j], 1e-6, $name)
                    ->and($of->se)->toEqualWithDelta(sqrt($v[$j][$j]), 1e-6, $name)
                    ->and($of->seWithMean)
                    ->toEqualWithDelta(sqrt($v[$j][$j] + $v[$mean][$mean] + 2 * $v[$j][$mean]), 1e-6, $name)
                    ->and($of->n)->toBe(count($mine))
                    ->and($of->infit)->toEqualWithDelta($squares / $weights, 1e-6, $name)
                    ->and($of->outfit)->toEqualWithDelta($strange / count($mine), 1e-6, $name);
            }
            [$a, $b] = [array_search('0 bo', $dense['names'], true), array_search('0 di', $dense['names'], true)];
            [$difference, $se] = $fit->contrast(0, 'bo', 'di', $sd);
            expect($difference)->toEqualWithDelta($dense['at'][$a] - $dense['at'][$b], 1e-6)
                ->and($se)->toEqualWithDelta(
                    sqrt($dense['inverse'][$a][$a] + $dense['inverse'][$b][$b] - 2 * $dense['inverse'][$a][$b]),
                    1e-6,
                );
        }
    }
});

it('gives readers to come the freedom that both variances leave', function () {
    $sure = new Confidence;
    $clusters = Clusters::ofSizes(array_fill(0, 21, 3));
    $without = [0.58, 0.63, 0.6, 0.66, 0.55, 0.61];
    $mean = array_sum($without) / 6;
    $vr = 5 / 6 * array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $without));
    foreach ([[0.05, 0.0], [0.05, 0.002], [0.01, 0.5], [0.3, 0.0]] as [$se, $crossed]) {
        $vc = $se ** 2;
        $figure = Figure::around(0.6, $se, $sure->z, 'cluster jackknife');
        $nu = ($vc + $vr) ** 2 / ($vc ** 2 / 20 + $vr ** 2 / 5);
        $half = $sure->t(min(max($nu, 5), 20)) * sqrt($vc + $vr);
        $of = NewReaders::of($figure, $without, $crossed, $clusters, $sure);
        expect($of->se)->toEqualWithDelta(sqrt($vc + max(0.0, $vr - $crossed)), 1e-12)
            ->and($of->low)->toEqualWithDelta(max(-1.0, 0.6 - $half), 1e-12)
            ->and($of->high)->toEqualWithDelta(min(1.0, 0.6 + $half), 1e-12)
            ->and($of->p)->toBeNull()
            ->and(worded($of->reason))->toContain('readers');
        // A difference is not bound to the scale, and goes by what is left of the readers' part.
        $net = max(0.0, $vr - $crossed);
        $nu = min(max(($vc + $net) ** 2 / ($vc ** 2 / 20 + $net ** 2 / 5), 5), 20);
        $of = NewReaders::ofDifference($figure, $without, $crossed, $clusters, $sure);
        expect($of->low)->toEqualWithDelta(0.6 - $sure->t($nu) * sqrt($vc + $net), 1e-12)
            ->and($of->high)->toEqualWithDelta(0.6 + $sure->t($nu) * sqrt($vc + $net), 1e-12)
            ->and($of->p)->toBeGreaterThan(0.0)->toBeLessThan(0.2);
        // The test and the interval say the same: at this level the half-width is what p is 5 % of.
        $edge = Figure::around($sure->t($nu) * sqrt($vc + $net), $se, $sure->z, 'cluster jackknife');
        expect(NewReaders::ofDifference($edge, $without, $crossed, $clusters, $sure)->p)->toEqualWithDelta(0.05, 1e-6);
    }
    $why = static fn (array $without, ?Clusters $of = null): ?string => worded(
        NewReaders::of(Figure::around(0.6, 0.05, 1.96, 'x'), $without, 0.0, $of ?? $clusters, $sure)->reason,
    );
    expect($why([0.5, 0.6, 0.7]))->not->toBeNull()
        ->and($why([0.5, 0.6, 0.7, NAN]))->not->toBeNull()
        ->and($why($without, Clusters::ofSizes([5])))->not->toBeNull()
        ->and($why(array_fill(0, 8, 0.6)))->toBeNull()
        ->and($why(array_fill(0, 7, 0.6)))->not->toBeNull();
});

it('has the agreement on one category over every ordered pair of readers', function () {
    foreach (range(1, 15) as $seed) {
        $c = new Chance("specific $seed");
        $rows = [];
        foreach (range(1, $c->between(2, 5)) as $rater) {
            $rows["r$rater"] = array_map(
                static fn (): string => $c->uniform() < 0.25 ? '.' : ['a', 'b', 'c'][$c->between(0, 2)],
                range(1, 10),
            );
        }
        $table = ItemTable::fromRatings(ratings($rows), ['']);
        foreach (['a', 'b', 'c'] as $category) {
            $both = $first = 0;
            foreach ($rows as $x => $one) {
                foreach ($rows as $y => $other) {
                    foreach ($one as $u => $said) {
                        if ($x !== $y && $said === $category && $other[$u] !== '.') {
                            $first++;
                            $both += $other[$u] === $category ? 1 : 0;
                        }
                    }
                }
            }
            $code = $table->code($category);
            $is = $code === null ? null : (new SpecificAgreement)->value($table, $code);
            $first === 0 ? expect($is)->toBeNull() : expect($is)->toEqualWithDelta($both / $first, 1e-12);
        }
    }
});

it('says of two in a row that they cannot be told apart where their ranks meet', function () {
    $at = static fn (int $best, int $worst): RankedPerson => new RankedPerson('x', 10, 0.5, 0.5, $best, $worst);
    foreach ([[1, 2, 2, 4, true], [1, 2, 3, 4, false], [3, 5, 1, 3, true], [1, 5, 2, 3, true], [4, 4, 1, 3, false], [2, 2, 2, 2, true]] as [$a, $b, $c, $d, $tied]) {
        expect($at($a, $b)->isTiedWith($at($c, $d)))->toBe($tied)
            ->and($at($c, $d)->isTiedWith($at($a, $b)))->toBe($tied);
    }
});

it('charts a reader\'s calls less what the others said of the same', function () {
    $c = new Chance('drift by hand');
    $calls = $lines = [];
    for ($i = 0; $i < 60; $i++) {
        [$called, $truth] = [$c->uniform() < 0.4, $c->uniform() < 0.5];
        $others = $i % 7 === 0 ? null : $c->between(0, 4) / 4;
        $calls[] = new ScoredCall("c$i", 'sway', $called, $truth, null, $i % 5 === 0 ? null : 'g'.intdiv($i, 2), $others);
        if ($others !== null) {
            $lines[] = [
                'golfer' => $i % 5 === 0 ? "c$i" : 'g'.intdiv($i, 2),
                // The others are right as often as they say what is so.
                'right' => ($called === $truth ? 1.0 : 0.0) - ($truth ? $others : 1 - $others),
                'present' => ($called ? 1.0 : 0.0) - $others,
            ];
        }
    }
    $chart = (new RaterProfile($calls))->drift();
    expect($chart)->not->toBeNull()->and($chart)->toEqual(DriftChart::ofCalls($lines));
    $at = 0;
    foreach ($chart->points as $point) {
        $golfers = array_slice(array_values(array_unique(array_column($lines, 'golfer'))), $at, $point['golfers']);
        $of = array_filter($lines, static fn (array $l): bool => in_array($l['golfer'], $golfers, true));
        expect($point['calls'])->toBe(count($of))
            ->and($point['right'])->toEqualWithDelta(array_sum(array_column($of, 'right')) / count($of), 1e-12)
            ->and($point['present'])->toEqualWithDelta(array_sum(array_column($of, 'present')) / count($of), 1e-12);
        $at += $point['golfers'];
    }
});

it('knows the least that chance can be of two small groups', function () {
    $ways = static fn (int $n, int $k): float => array_product(array_map(
        static fn (int $i): float => ($n - $k + $i) / $i,
        range(1, $k),
    ));
    foreach ([[3, 3], [3, 4], [4, 3], [5, 5], [6, 3]] as [$n, $m]) {
        // All of one group above all of the other: as far apart as can be.
        $one = array_map(static fn (int $i): float => 10.0 + $i ** 1.3, range(1, $n));
        $other = array_map(static fn (int $i): float => $i ** 1.1 / 10, range(1, $m));
        $of = GroupComparison::of($one, $other, new Chance('groups'));
        $least = ($n === $m ? 2 : 1) / $ways($n + $m, $n);
        expect($of->smallest)->toEqualWithDelta($least, 1e-12)
            ->and($of->p)->toBeGreaterThanOrEqual($least - 1e-12)
            ->and($of->difference)->toEqualWithDelta(array_sum($one) / $n - array_sum($other) / $m, 1e-12);
        if ($n === $m) {
            expect($of->p)->toEqualWithDelta($least, 1e-12);
        }
    }
});
