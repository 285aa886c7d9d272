<?php

use Core\Agreement\Clusters;
use Core\Agreement\Coefficient\Benchmark;
use Core\Agreement\Coefficient\CohenKappa;
use Core\Agreement\Coefficient\NominalAlpha;
use Core\Agreement\Coefficient\SetDistance;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\BrierScore;
use Core\Agreement\Profile\ClusteredKey;
use Core\Agreement\Profile\FacetEffect;
use Core\Agreement\Profile\FacetModel;
use Core\Agreement\Profile\FieldValues;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\Profile\LetterPoints;
use Core\Agreement\Profile\PeopleInOrder;
use Core\Agreement\Profile\RaterProfile;
use Core\Agreement\Profile\RoundsOnScale;
use Core\Agreement\Profile\ScoredCall;
use Core\Agreement\Profile\SignalDetection;
use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Weights;
use Core\Chance\Chance;

// Every number here is reached by another way than the code's own: on paper, by its definition written out again, or by
// differences where the code has a derivative.

const PAPER = 1e-9;

it('weighs the steps of a scale by their numbers, not by their places', function () {
    $at = static fn (Weights $w): array => array_chunk(
        array_map(static fn (float $v): float => round($v, 9), $w->w),
        4,
    );
    expect($at(Weights::linear([1.0, 2.0, 4.0, 7.0])))->toBe([
        [1.0, round(5 / 6, 9), 0.5, 0.0],
        [round(5 / 6, 9), 1.0, round(4 / 6, 9), round(1 / 6, 9)],
        [0.5, round(4 / 6, 9), 1.0, 0.5],
        [0.0, round(1 / 6, 9), 0.5, 1.0],
    ])->and($at(Weights::quadratic([-3.0, -2.0, 0.0, 3.0])))->toBe([
        [1.0, round(35 / 36, 9), 0.75, 0.0],
        [round(35 / 36, 9), 1.0, round(32 / 36, 9), round(11 / 36, 9)],
        [0.75, round(32 / 36, 9), 1.0, 0.75],
        [0.0, round(11 / 36, 9), 0.75, 1.0],
    ])
        // 1 − C(|k−l|+1, 2)/C(4, 2): one step 1/6, two 3/6, three 6/6.
        ->and($at(Weights::ordinal(4))[0])->toBe([1.0, round(5 / 6, 9), 0.5, 0.0])
        ->and(Weights::linear([1.0, 2.0, 4.0, 7.0])->total)
        ->toEqualWithDelta(4 + 2 * (5 / 6 + 0.5 + 4 / 6 + 1 / 6 + 0.5), PAPER)
        ->and([Weights::linear([2.0])->isIdentity, Weights::ordinal(1)->w, Weights::ordinal(2)->isIdentity])
        ->toBe([true, [1.0], false]);
});

it('has the criterion of whoever hesitates above nought, and of whoever over-calls below', function () {
    foreach ([[3, 5, 1, 9], [8, 2, 6, 4], [12, 0, 0, 7], [0, 6, 0, 6], [1, 0, 0, 1], [40, 13, 9, 88]] as $cells) {
        [$tp, $fn, $fp, $tn] = $cells;
        $of = new SignalDetection(...$cells);
        $z = static fn (int $yes, int $no): float => zOf(($yes + 0.5) / ($yes + $no + 1));
        expect(SignalDetection::criterionOf(...$cells))->toEqualWithDelta(-($z($tp, $fn) + $z($fp, $tn)) / 2, 1e-7)
            ->and($of->criterion->estimate)->toEqualWithDelta(-($z($tp, $fn) + $z($fp, $tn)) / 2, 1e-7)
            ->and($of->dPrime->estimate)->toEqualWithDelta($z($tp, $fn) - $z($fp, $tn), 1e-7)
            ->and($of->criterion->se)->toEqualWithDelta($of->dPrime->se / 2, PAPER);
        // The delta method by differences: dz/dp at the corrected rate, variance h(1 − h)/n.
        $variance = 0.0;
        foreach ([[$tp, $fn], [$fp, $tn]] as [$yes, $no]) {
            $h = ($yes + 0.5) / ($yes + $no + 1);
            $slope = (zOf($h + 1e-6) - zOf($h - 1e-6)) / 2e-6;
            $variance += $slope ** 2 * $h * (1 - $h) / ($yes + $no);
        }
        expect($of->dPrime->se)->toEqualWithDelta(sqrt($variance), 1e-5);
    }
    expect(SignalDetection::criterionOf(2, 8, 1, 9))->toBeGreaterThan(0.5)
        ->and(SignalDetection::criterionOf(9, 1, 8, 2))->toBeLessThan(-0.5)
        ->and(SignalDetection::criterionOf(5, 5, 5, 5))->toEqualWithDelta(0.0, PAPER);
    foreach ([[0, 0, 3, 4], [3, 4, 0, 0], [0, 0, 0, 0]] as $cells) {
        expect(SignalDetection::criterionOf(...$cells))->toBeNull()
            ->and((new SignalDetection(...$cells))->dPrime->estimate)->toBeNull();
    }
    foreach ([[1, 0, 3, 4], [0, 1, 3, 4], [3, 4, 0, 1], [3, 4, 1, 0]] as $cells) {
        expect(SignalDetection::criterionOf(...$cells))->toBeFloat();
    }
});

/** The normal quantile by bisection of erf's series: nothing of the code's. */
function zOf(float $p): float
{
    $phi = static function (float $x): float {
        for ($sum = $term = $x, $n = 1; abs($term) > 1e-17 && $n < 400; $n++) {
            $term *= -$x * $x / (2 * $n) * (2 * $n - 1) / (2 * $n + 1);
            $sum += $term;
        }

        return 0.5 + $sum / sqrt(2 * M_PI);
    };
    [$low, $high] = [-5.0, 5.0];
    for ($i = 0; $i < 80; $i++) {
        $mid = ($low + $high) / 2;
        $phi($mid) < $p ? $low = $mid : $high = $mid;
    }

    return ($low + $high) / 2;
}

it('carries the values of a call to the field by Bayes, with the ends of the ratio that Donner and Zou draw', function () {
    $cases = [
        [0.8, 0.66, 0.9, 0.9, 0.81, 0.95, 0.1], [0.3, 0.12, 0.55, 0.6, 0.5, 0.7, 0.2],
        [0.95, 0.8, 0.99, 0.4, 0.2, 0.6, 0.03],
        [0.5, 0.4, 0.6, 0.5, 0.4, 0.6, 0.5],
    ];
    foreach ($cases as [$s, $sl, $sh, $c, $cl, $ch, $pi]) {
        $of = new FieldValues(
            Figure::estimated($s, null, $sl, $sh, 'wilson'),
            Figure::estimated($c, null, $cl, $ch, 'wilson'),
            $pi,
        );
        ['ppv_field' => $ppv, 'npv_field' => $npv] = $of->figures();
        expect($ppv->estimate)->toEqualWithDelta($s * $pi / ($s * $pi + (1 - $c) * (1 - $pi)), PAPER)
            ->and($npv->estimate)->toEqualWithDelta($c * (1 - $pi) / ($c * (1 - $pi) + (1 - $s) * $pi), PAPER);
        // An end of the ratio r = p/q is where (p − rq)² is the squared reach of p and of rq towards it, added.
        foreach ([[$ppv, [1 - $c, 1 - $ch, 1 - $cl], [$s, $sl, $sh], (1 - $pi) / $pi],
            [$npv, [1 - $s, 1 - $sh, 1 - $sl], [$c, $cl, $ch], $pi / (1 - $pi)]] as [$figure, $p, $q, $odds]) {
            foreach ([[$figure->high, 1, 2], [$figure->low, 2, 1]] as [$end, $mine, $other]) {
                $r = (1 / $end - 1) / $odds;
                expect(($p[0] - $r * $q[0]) ** 2)->toEqualWithDelta(
                    ($p[0] - $p[$mine]) ** 2 + $r * $r * ($q[0] - $q[$other]) ** 2,
                    1e-9,
                );
            }
            expect($figure->low)->toBeLessThan($figure->estimate)
                ->and($figure->high)->toBeGreaterThan($figure->estimate);
        }
    }
    // Nobody was ever wrongly called, or never rightly.
    $sure = static fn (
        float $v,
    ): Figure => Figure::estimated($v, null, max(0.0, $v - 0.2), min(1.0, $v + 0.2), 'wilson');
    $ends = static fn (Figure $f): array => [$f->estimate, $f->low !== null && $f->low >= 0.0, $f->high <= 1.0];
    foreach ((new FieldValues($sure(1.0), $sure(1.0), 0.2))->figures() as $figure) {
        expect($ends($figure))->toBe([1.0, true, true]);
    }
    expect((new FieldValues($sure(0.0), $sure(1.0), 0.2))->figures()['ppv_field']->estimate)->toBeNull()
        ->and((new FieldValues($sure(0.0), $sure(0.5), 0.2))->figures()['ppv_field']->estimate)->toBe(0.0);
});

it('counts in a letter what was there and what was seen of it', function () {
    $calls = static function (string $item, string $said): array {
        $out = [];
        foreach (str_split($said) as $i => $c) {
            $out[] = new ScoredCall("c$i", $item, in_array($c, ['h', 'o'], true), in_array($c, ['h', 'm'], true), 0.8, "g$i");
        }

        return $out;
    };
    $letter = LetterPoints::of(new RaterProfile([
        ...$calls('sway', 'hhhhhhhhhhhhmrrrr'),
        ...$calls('slide', 'hhhhhhhhhmrrrrrrro'),
        ...$calls('flip', 'hhmm'),
        ...$calls('hang-back', 'mo'),
        ...$calls('spin-out', 'mhh'),
    ]));
    expect(array_map(static fn (array $w): array => [$w['item'], $w['seen'], $w['there']], $letter->well))
        ->toBe([['sway', 12, 13], ['slide', 9, 10]])
        ->and(array_map(static fn (array $n): array => [$n['item'], $n['missed'], $n['over']], $letter->next))
        ->toBe([['flip', 2, 0], ['hang-back', 1, 1]])
        ->and($letter->unsaid)->toBe(['hang-back']);
});

it('tells two rounds apart in points of the share, with both ends about their middle', function () {
    $logit = static fn (float $p): float => log($p / (1 - $p));
    foreach ([[0.6, 0.7, 0.5, 0.2], [0.55, 0.5, -0.2, 0.31], [0.9, 0.97, 1.3, 0.6]] as [$first, $second, $d, $se]) {
        $middle = ($logit($first) + $logit($second)) / 2;
        $points = static fn (
            float $by,
        ): float => 1 / (1 + exp(-($middle + $by / 2))) - 1 / (1 + exp(-($middle - $by / 2)));
        [$is, $low, $high] = (new RoundsOnScale($d, $se, $first, $second, 1, 100, 1.0))->points();
        expect($is)->toEqualWithDelta($points($d), PAPER)
            ->and($low)->toEqualWithDelta($points($d - 1.96 * $se), PAPER)
            ->and($high)->toEqualWithDelta($points($d + 1.96 * $se), PAPER)
            ->and($low)->toBeLessThan($is)->and($high)->toBeGreaterThan($is);
    }
    $model = new FacetModel(0.4, 0.1, ['reader' => 1.0], [], 0.0, 1);
    $effect = (new ReflectionClass(FacetEffect::class))->newInstanceWithoutConstructor();
    (function (): void {
        [$this->estimate, $this->seWithMean] = [0.5, 0.25];
    })->call($effect);
    $share = static fn (float $x): float => 1 / (1 + exp(-$x));
    expect($model->share($effect))->toEqualWithDelta([$share(0.9), $share(0.9 - 0.49), $share(0.9 + 0.49)], PAPER);
});

it('has the mean overlap of sets with Student\'s interval over cases', function () {
    // Pairs of three readers: 1/2, 1/2, 1 → 2/3; one pair, 0; two empty sets are alike, and each has nothing of {a}.
    $cases = [[['a'], ['a', 'b'], ['a']], [['a'], ['b']], [[], [], ['a']], [['a', 'b', 'c']]];
    [$m1, $m2, $m3] = [2 / 3, 0.0, 1 / 3];
    $mean = ($m1 + $m2 + $m3) / 3;
    $se = sqrt((($m1 - $mean) ** 2 + ($m2 - $mean) ** 2 + ($m3 - $mean) ** 2) / 2 / 3);
    $of = SetDistance::meanJaccard($cases);
    // t of 2 degrees of freedom at 0.975: 0.95·√(2/(1 − 0.95²)).
    expect($of->estimate)->toEqualWithDelta($mean, PAPER)
        ->and($of->se)->toEqualWithDelta($se, PAPER)
        ->and($of->high)->toEqualWithDelta(min(1.0, $mean + 0.95 * sqrt(2 / (1 - 0.95 ** 2)) * $se), 1e-6)
        ->and($of->low)->toBe(0.0)
        ->and(SetDistance::meanJaccard([[['a'], ['a', 'b']]])->se)->toBeNull()
        ->and(SetDistance::meanJaccard([[['a']]])->estimate)->toBeNull()
        ->and(SetDistance::masi(['a', 'b'], ['a']))->toEqualWithDelta(1 - 1 / 2 * 2 / 3, PAPER)
        ->and(SetDistance::masi(['a', 'b'], ['b', 'c']))->toEqualWithDelta(1 - 1 / 3 * 1 / 3, PAPER)
        ->and([SetDistance::masi([], []), SetDistance::masi(['a'], ['b']), SetDistance::masi(['a', 'a'], ['a'])])
        ->toBe([0.0, 1.0, 0.0]);
});

it('reads a coefficient against the levels as they were published', function () {
    $ends = static fn (Benchmark $of): array => array_combine(...array_map(null, ...$of->levels()));
    expect($ends(Benchmark::LandisKoch))->toBe([
        'almost perfect' => 0.8, 'substantial' => 0.6, 'moderate' => 0.4, 'fair' => 0.2, 'slight' => 0.0,
        'poor' => -1.0,
    ])->and($ends(Benchmark::Altman))
        ->toBe(['very good' => 0.8, 'good' => 0.6, 'moderate' => 0.4, 'fair' => 0.2, 'poor' => -1.0])
        ->and($ends(Benchmark::Fleiss))->toBe(['excellent' => 0.75, 'intermediate to good' => 0.4, 'poor' => -1.0]);
    // 0.7 ± 0.1: Φ(1) − Φ(−1) within one standard error either side, cut at 1.
    $read = Benchmark::LandisKoch->read(Figure::around(0.7, 0.1, 1.96, 'analytic'));
    $phi = static fn (float $z): float => 0.5 * (1 + erfOf($z / M_SQRT2));
    $all = $phi(3.0);
    expect($read['memberships']['almost perfect'])->toEqualWithDelta(($phi(3.0) - $phi(1.0)) / $all, 1e-7)
        ->and($read['memberships']['substantial'])->toEqualWithDelta(($phi(1.0) - $phi(-1.0)) / $all, 1e-7)
        ->and($read['memberships']['moderate'])->toEqualWithDelta(($phi(-1.0) - $phi(-3.0)) / $all, 1e-7)
        ->and(array_sum($read['memberships']))->toEqualWithDelta(1.0, 1e-9)
        ->and($read['level'])->toBe('moderate')
        ->and($read['probability'])->toEqualWithDelta(($phi(3.0) - $phi(-3.0)) / $all, 1e-7)
        ->and(Benchmark::LandisKoch->read(Figure::around(0.7, 0.05, 1.96, 'analytic'))['level'])->toBe('substantial')
        ->and(Benchmark::Altman->read(Figure::around(0.7, 0.28, 1.96, 'analytic'))['level'])->toBe('fair')
        ->and(Benchmark::Fleiss->read(Figure::around(-0.5, 0.1, 1.96, 'analytic'))['level'])->toBe('poor')
        ->and(Benchmark::Fleiss->read(Figure::estimated(0.5, null, null, null, 'point')))->toBeNull();
});

function erfOf(float $x): float
{
    for ($sum = $term = $x, $n = 1; abs($term) > 1e-18 && $n < 200; $n++) {
        $term *= -$x * $x / $n;
        $sum += $term / (2 * $n + 1);
    }

    return 2 / sqrt(M_PI) * $sum;
}

it('calls a figure thin below ten cases, or where its interval is wider than a half', function () {
    $wide = static fn (float $low, float $high): Figure => Figure::estimated(0.5, 0.1, $low, $high, 'analytic');
    expect($wide(0.4, 0.6)->isThin(9))->toBeTrue()
        ->and($wide(0.4, 0.6)->isThin(10))->toBeFalse()
        ->and($wide(0.25, 0.75)->isThin(40))->toBeFalse()
        ->and($wide(0.25, 0.76)->isThin(40))->toBeTrue()
        ->and(Figure::estimated(0.5, null, null, null, 'point')->isThin(40))->toBeTrue();
});

it('takes a belief\'s score apart so that the parts are the whole', function () {
    foreach (range(1, 12) as $seed) {
        $c = new Chance("brier $seed");
        $brier = new BrierScore;
        $other = new BrierScore;
        $scores = [];
        $n = $c->between(2, 60);
        for ($i = 0; $i < $n; $i++) {
            [$p, $true] = [[0.05, 0.25, 0.5, 0.75, 0.95][$c->between(0, 4)], $c->uniform() < 0.6];
            ($i % 3 === 0 ? $other : $brier)->add($p, $true);
            $scores[] = ($p - ($true ? 1.0 : 0.0)) ** 2;
        }
        $brier->merge($other);
        $parts = $brier->parts();
        $mean = array_sum($scores) / $n;
        $sd = sqrt(array_sum(array_map(fn (float $s): float => ($s - $mean) ** 2, $scores)) / ($n - 1));
        $figure = $brier->figure(new Confidence);
        expect($parts['reliability'] - $parts['resolution'] + $parts['uncertainty'])->toEqualWithDelta($mean, PAPER)
            ->and($figure->estimate)->toEqualWithDelta($mean, PAPER)
            ->and($figure->se)->toEqualWithDelta($sd / sqrt($n), 1e-9)
            ->and(array_sum(array_column($brier->calibration(), 'n')))->toBe($n);
    }
    // Whoever always says 0.75 of what is there three times in four is in no bin wrong, and tells nothing apart.
    $brier = new BrierScore;
    foreach ([true, true, true, false] as $true) {
        $brier->add(0.75, $true);
    }
    expect($brier->parts())
        ->toEqualWithDelta(['reliability' => 0.0, 'resolution' => 0.0, 'uncertainty' => 0.1875], PAPER)
        ->and((new BrierScore)->parts())->toBeNull()
        ->and((new BrierScore)->figure(new Confidence)->estimate)->toBeNull();
});

it('counts as many independent clusters as their sizes leave, however they are told', function () {
    foreach ([[5, 5, 5, 5], [1, 2, 9], [0, 3, 0, 4], [7], []] as $sizes) {
        $there = array_filter($sizes);
        $sum = array_sum($sizes);
        $squares = array_sum(array_map(static fn (int $n): int => $n * $n, $sizes));
        foreach ([Clusters::ofSizes($sizes), Clusters::ofSums(count($there), $sum, $squares)] as $of) {
            expect($of->count)->toBe(count($there))
                ->and($of->effective)->toEqualWithDelta($squares === 0 ? 0.0 : $sum ** 2 / $squares, PAPER);
        }
    }
});

it('finds no repeats where there is one occasion, or no such item', function () {
    $set = new RatingSet(Scale::Nominal);
    $set->add('c1', 'sway', 'ann', 'yes');
    expect($set->repeats('sway'))->toBe([])->and($set->repeats('slide'))->toBe([]);
    $set->add('c1', 'sway', 'ann', 'no', '2');
    $set->add('c2', 'sway', 'ann', 'no', '2');
    expect($set->repeats('sway'))->toHaveCount(1)->and($set->repeats('sway')[0])->toHaveCount(1)
        ->and($set->repeats('slide'))->toBe([]);
});

it('has Krippendorff\'s α as his table of coincidences has it, with as many readers a case as there are', function () {
    foreach (range(1, 30) as $seed) {
        $c = new Chance("alpha $seed");
        $rows = [];
        foreach (range(1, $c->between(2, 5)) as $rater) {
            $rows["r$rater"] = array_map(
                static fn (): string => $c->uniform() < 0.2 ? '.' : ['x', 'y', 'z'][min(2, $c->between(0, 3))],
                range(1, 12),
            );
        }
        $table = ItemTable::fromRatings(ratings($rows), ['']);
        // o_ck: ordered pairs within a case, each worth 1/(m − 1).
        $o = [];
        for ($u = 0; $u < 12; $u++) {
            $given = array_values(array_filter(array_column($rows, $u), static fn (string $v): bool => $v !== '.'));
            foreach ($given as $i => $a) {
                foreach ($given as $j => $b) {
                    if ($i !== $j) {
                        $o[$a][$b] = ($o[$a][$b] ?? 0) + 1 / (count($given) - 1);
                    }
                }
            }
        }
        $n = array_map(array_sum(...), $o);
        $all = array_sum($n);
        $same = array_sum(array_map(static fn (string $k): float => $o[$k][$k] ?? 0.0, array_keys($o)));
        $chance = array_sum(array_map(static fn (float $v): float => $v * ($v - 1), $n));
        $alpha = count($n) < 2 ? null : (($all - 1) * $same - $chance) / ($all * ($all - 1) - $chance);
        $is = (new NominalAlpha)->value($table, Weights::identity($table->q));
        $alpha === null ? expect($is)->toBeNull() : expect($is)->toEqualWithDelta($alpha, 1e-9);
    }
});

it('has the error of a figure that fails without one golfer from its derivative', function () {
    // One golfer's are all that were called: without them the correlation is not defined.
    $cells = [[3, 1, 1, 2], [0, 2, 0, 4], [0, 1, 0, 3], [0, 0, 0, 5]];
    $all = array_map(array_sum(...), array_map(null, ...$cells));
    $figures = (new ClusteredKey($cells, [], new Confidence))->figures();
    $statistics = [
        'mcc' => static fn (array $c): float => ($c[0] * $c[3] - $c[1] * $c[2])
            / sqrt(($c[0] + $c[1]) * ($c[2] + $c[3]) * ($c[0] + $c[2]) * ($c[1] + $c[3])),
        'youden' => static fn (array $c): float => $c[0] / ($c[0] + $c[1]) + $c[3] / ($c[2] + $c[3]) - 1,
        'cohen_kappa' => kappaOf(...),
    ];
    foreach ($statistics as $name => $of) {
        $linear = $left = 0.0;
        foreach ($cells as $cell) {
            $at = static fn (float $e): float => $of(
                array_map(static fn (float $a, int $c): float => $a + $e * $c, $all, $cell),
            );
            $linear += (($at(1e-5) - $at(-1e-5)) / 2e-5) ** 2;
            $left += $name === 'mcc' ? NAN : ($at(-1.0) - $of($all)) ** 2;
        }
        [$method, $square] = $name === 'mcc' ? ['cluster linear', $linear * 4 / 3] : [
            'cluster jackknife', $left * 3 / 4,
        ];
        expect($figures[$name]->estimate)->toEqualWithDelta($of($all), PAPER, $name)
            ->and($figures[$name]->method)->toBe($method, $name)
            ->and($figures[$name]->se)->toEqualWithDelta(sqrt($square), 1e-6, $name);
    }
    expect(KeyTable::statistics(...[...$all, false])[1])->toEqualWithDelta($statistics['mcc']($all), PAPER)
        ->and(CohenKappa::twoByTwo($all[0], $all[2], $all[1], $all[3]))->toEqualWithDelta(kappaOf($all), PAPER);
});

/** @param  list<int|float>  $c  tp, fn, fp, tn */
function kappaOf(array $c): float
{
    [$tp, $fn, $fp, $tn] = $c;
    $n = $tp + $fn + $fp + $tn;
    $chance = (($tp + $fn) * ($tp + $fp) + ($fp + $tn) * ($fn + $tn)) / $n ** 2;

    return (($tp + $tn) / $n - $chance) / (1 - $chance);
}

it('draws readers to the middle by what cases they share, and not below one call a case', function () {
    // Two readers right and wrong together on every golfer: their calls say less than so many would.
    $together = $apart = [];
    foreach (range(1, 12) as $g) {
        $right = $g % 3 === 0 ? 0 : 4;
        $together['ann'][$g] = $together['bo'][$g] = [$right, 4];
        $apart['ann'][$g] = [[3, 2, 4, 3][$g % 4], 4];
        $apart['bo'][$g] = [[2, 4, 3, 3][$g % 4], 4];
    }
    $effect = static function (array $right): float {
        $there = [];
        foreach ($right as $of) {
            foreach ($of as $g => [$y, $n]) {
                $there[$g] = [($there[$g][0] ?? 0) + $y, ($there[$g][1] ?? 0) + $n];
            }
        }
        [$m, $k] = [count($right), count($there)];
        $over = $under = 0.0;
        foreach ($right as $of) {
            $e = array_map(
                static fn (int $g): float => $of[$g][0] - $of[$g][1] * $there[$g][0] / $there[$g][1],
                array_keys($there),
            );
            $mean = array_sum($e) / $k;
            $n = array_sum(array_column($of, 1));
            $p = array_sum(array_column($of, 0)) / $n;
            $spread = array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $e)) / ($k - 1);
            $over += $m / ($m - 1) * $k * $spread / $n ** 2;
            $under += $p * (1 - $p) / $n;
        }

        return max(1.0, $over / $under);
    };
    foreach ([$together, $apart] as $right) {
        expect(PeopleInOrder::of($right)->designEffect)->toEqualWithDelta($effect($right), PAPER);
    }
    // Where everybody is always right there is no spread to divide by.
    $all = ['ann' => [1 => [4, 4], 2 => [3, 3]], 'bo' => [1 => [4, 4], 2 => [2, 2]]];
    expect(PeopleInOrder::of($all)?->designEffect ?? 1.0)->toBe(1.0);
    // One reader who errs on whole golfers, another spread over all: more than one call's worth is lost.
    $lumps = ['ann' => [], 'bo' => []];
    foreach (range(1, 8) as $g) {
        $lumps['ann'][$g] = [$g <= 4 ? 6 : 0, 6];
        $lumps['bo'][$g] = [$g <= 4 ? 1 : 5, 6];
    }
    expect(PeopleInOrder::of($lumps)->designEffect)->toEqualWithDelta($effect($lumps), PAPER)->toBeGreaterThan(1.5);
});
