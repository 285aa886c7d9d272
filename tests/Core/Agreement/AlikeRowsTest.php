<?php

use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Confidence;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Resampling\WithoutReaders;
use Core\Agreement\Weights;
use Core\Chance\Chance;

/*
 * Units that all called the same are worked out once: nothing may change by it.
 */

/** Every call drawn on its own; the cases over again as often as is said. */
function drawnCalls(
    string $seed,
    int $raters,
    int $cases,
    int $q,
    float $missing = 0.0,
    int $copies = 1,
    ?string $cluster = null,
): RatingSet {
    $set = new RatingSet;
    for ($copy = 0; $copy < $copies; $copy++) {
        $chance = new Chance($seed);
        for ($c = 0; $c < $cases; $c++) {
            for ($r = 0; $r < $raters; $r++) {
                $value = 'k'.$chance->between(0, $q - 1);
                $set->add("c$copy.$c", '', "r$r", $chance->uniform() < $missing ? '' : $value);
            }
            if ($cluster !== null) {
                $set->group("c$copy.$c", $cluster.intdiv($c, 2));
            }
        }
    }

    return $set;
}

/** @return array<string, int> how often each row of calls is there */
function timesOfRows(ItemTable $table, array $times): array
{
    $out = [];
    for ($u = 0; $u < $table->units; $u++) {
        $row = implode(' ', array_column($table->columns, $u));
        $out[$row] = ($out[$row] ?? 0) + $times[$u];
    }
    ksort($out);

    return $out;
}

it('holds what all called the same once, and how often', function (int $raters, int $q, float $missing, int $most) {
    $table = ItemTable::fromRatings(drawnCalls("rows$raters", $raters, 400, $q, $missing), ['']);
    [$rows, $times] = $table->rows();
    expect(timesOfRows($rows, $times))->toBe(timesOfRows($table, array_fill(0, $table->units, 1)))
        ->and(array_sum($times))->toBe($table->units)
        ->and($rows->units)->toBe(count($times))->toBeLessThanOrEqual($most)
        ->and($rows->q)->toBe($table->q)
        ->and($rows->grouped)->toBeFalse();
})->with([
    'few raters' => [3, 2, 0.0, 8],
    'with missing calls' => [3, 2, 0.3, 26],
    'more than fits a word' => [70, 3, 0.1, 400],
    'one rater' => [1, 4, 0.2, 4],
]);

it('tells one row from another behind the end of a word', function () {
    $table = ItemTable::fromRatings(ratings(array_map(
        static fn (int $r): array => ['a', 'b', $r === 89 ? 'c' : 'a', 'a', $r === 0 ? 'b' : 'a'],
        range(0, 89),
    )), ['']);
    [$rows, $times] = $table->rows();
    expect($times)->toBe([2, 1, 1, 1])->and($rows->units)->toBe(4);
});

it('leaves the units of golfers as they are', function () {
    $table = ItemTable::fromRatings(drawnCalls('golfers', 3, 40, 2, cluster: 'g'), ['']);
    [$rows, $times] = $table->rows();
    expect($rows)->toBe($table)->and($times)->toBe(array_fill(0, 40, 1));
});

it('finds readers like these as unit by unit', function (int $raters, int $q, float $missing) {
    $table = ItemTable::fromRatings(drawnCalls("crossed$q", $raters, 150, $q, $missing), ['']);
    $weights = Weights::identity($table->q);
    $sums = new CountSums($table, $weights);
    $figures = count($sums->estimates());
    $found = WithoutReaders::ofTable($table, $weights, $sums, $figures);
    $values = $parts = array_fill(0, $figures, []);
    foreach (WithoutReaders::each($table, $weights, $sums) as [$statistics, $of]) {
        foreach ($statistics as $f => $value) {
            $values[$f][] = $value;
            foreach ($of[$f] as $rank => $v) {
                $parts[$f][$rank][] = $v;
            }
        }
    }
    foreach ($parts as $f => $byCluster) {
        $spread = 0.0;
        foreach ($byCluster as $v) {
            $mean = array_sum($v) / $raters;
            $spread += array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $v));
        }
        $n = match (true) {
            $f > 4 => count(array_filter($sums->possible($f - 5))),
            $f === 4 => $table->paired,
            default => $table->units,
        };
        expect($found->crossed[$f])->toEqualWithDelta($spread * ($raters - 1) / $raters * $n / ($n - 1), 1e-12);
        foreach ($values[$f] as $g => $v) {
            expect($found->values[$f][$g])->toEqualWithDelta($v, 1e-12);
        }
    }
})->with([[5, 2, 0.0], [5, 3, 0.3], [9, 4, 0.1]]);

it('is twice as sure of twice the cases, to the last unit', function (int $raters, float $missing) {
    $weights = Weights::identity(2);
    $of = static function (int $copies) use ($raters, $missing, $weights): array {
        $table = ItemTable::fromRatings(drawnCalls("twice$raters", $raters, 60, 2, $missing, $copies), ['']);
        $sums = new CountSums($table, $weights);
        [$figures] = (new CountFigures($table, $sums, $weights))->figures(null);

        return [$table, [
            ...$figures,
            'conger' => CongerKappa::figure($table, $weights, new Confidence()),
        ]];
    };
    [[$one, $once], [, $twice]] = [$of(1), $of(2)];
    foreach ($once as $name => $f) {
        expect($twice[$name]->estimate === null)->toBe($f->estimate === null);
        // α's own terms of a small sample, 1/Σr, are another's with twice the cases.
        if ($f->estimate === null || $name === 'krippendorff_alpha') {
            continue;
        }
        $n = $one->units;
        expect($twice[$name]->estimate)->toEqualWithDelta($f->estimate, 1e-12)
            ->and($twice[$name]->se)->toEqualWithDelta($f->se * sqrt(($n - 1) / (2 * $n - 1)), 1e-12);
    }
})->with([[4, 0.0], [4, 0.2], [12, 0.0]]);

/** Light's κ word by word: the mean of the κ of the pairs that have one. */
function lightByHand(RatingSet $set): float
{
    $kappas = [];
    $table = ItemTable::fromRatings($set, $set->items(), ['k0', 'k1']);
    foreach ((new PairTables($table, Weights::identity(2), new Confidence()))->results(1) as $pair) {
        $kappas[] = $pair->kappa->estimate;
    }
    $kappas = array_filter($kappas, is_float(...));

    return $kappas === [] ? NAN : array_sum($kappas) / count($kappas);
}

it('tells Light\'s kappa for readers like these by leaving out case and reader', function (
    int $raters,
    int $cases,
    float $missing,
    ?string $cluster,
) {
    $set = drawnCalls("light$raters", $raters, $cases, 2, $missing, 1, $cluster);
    $table = ItemTable::fromRatings($set, [''], ['k0', 'k1']);
    $found = (new PairTables($table, Weights::identity(2), new Confidence()))->light();
    $names = RatingSet::ordered($set->raterNames());
    $value = lightByHand($set);
    $of = static fn (array $cases): string => $set->clusterOf($cases[0]) ?? $cases[0];
    $clusters = array_values(array_unique(array_map(static fn (string $c): string => $of([$c]), $set->cases())));
    $left = static fn (RatingSet $from, string $without): RatingSet => $from->filtered(
        static fn (string $case): bool => $of([$case]) !== $without,
    );
    $g = count($clusters);
    $alone = array_map(static fn (string $c): float => lightByHand($left($set, $c)), $clusters);
    $middle = $cluster === null ? array_sum($alone) / $g : $value;
    $vc = ($g - 1) / $g * array_sum(array_map(static fn (float $v): float => ($v - $middle) ** 2, $alone));
    $values = $delta = [];
    foreach ($names as $r => $name) {
        $rest = $set->only([''], array_values(array_diff($names, [$name])));
        $values[] = $without = lightByHand($rest);
        foreach ($clusters as $c => $one) {
            $delta[$c][$r] = lightByHand($left($rest, $one)) - $without;
        }
    }
    $squares = static fn (array $v): float => array_sum(
        array_map(static fn (float $x): float => ($x - array_sum($v) / count($v)) ** 2, $v),
    );
    $vr = ($raters - 1) / $raters * $squares($values);
    $vrc = ($raters - 1) / $raters * ($g - 1) / $g * array_sum(array_map($squares, $delta));
    expect($found->se)->toEqualWithDelta(sqrt($vc), 1e-12)
        ->and($found->newReaders->se)->toEqualWithDelta(sqrt($vc + max(0.0, $vr - $vrc)), 1e-12)
        ->and($found->newReaders->low)->toBeLessThan($found->low);
})->with([
    'cases of their own, many alike' => [4, 70, 0.0, null],
    'with missing calls' => [5, 30, 0.2, null],
    'golfers' => [5, 30, 0.1, 'g'],
]);

it('says why where few readers call for Light\'s kappa', function () {
    $table = ItemTable::fromRatings(drawnCalls('three', 3, 30, 2), ['']);
    $found = (new PairTables($table, Weights::identity(2), new Confidence()))->light();
    expect($found->newReaders->reason?->code)->toBe('undefined.few-readers-for-others');
});
