<?php

use Core\Agreement\Coefficient\Benchmark;
use Core\Agreement\Coefficient\RankAgreement;
use Core\Agreement\Coefficient\SetDistance;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\BrierScore;
use Core\Agreement\Resampling\Comparison;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Undefined;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;

function share(): Closure
{
    return static fn (array $s): float => ($s[1] ?? 0) > 0 ? $s[0] / $s[1] : NAN;
}

/** @return array<string, array{int, int}> */
function answers(string $seed, int $n, float $p, string $name = 'c'): array
{
    $c = new Chance($seed);
    $out = [];
    for ($i = 0; $i < $n; $i++) {
        $out[sprintf('%s%03d', $name, $i)] = [$c->uniform() < $p ? 1 : 0, 1];
    }

    return $out;
}

it('finds a difference on paired cases, with an interval about it', function () {
    $c = Comparison::paired(answers('before', 80, 0.55), answers('after', 80, 0.85), share(), resamples: 800);
    expect($c->cases)
        ->toBe(80)
        ->and($c->difference->estimate)
        ->toEqualWithDelta($c->second - $c->first, 1e-12)
        ->and($c->p)
        ->toBeLessThan(0.01)
        ->and($c->difference->low)
        ->toBeGreaterThan(0.0)
        ->and($c->difference->high)
        ->toBeLessThan(0.6)
        ->and($c->permutations)
        ->toBe(800);
});

it('compares only the cases both have, and is the negative of itself turned round', function () {
    $a = answers('one', 40, 0.6);
    $b = answers('two', 60, 0.6);
    $there = Comparison::paired($a, $b, share(), resamples: 300);
    $back = Comparison::paired($b, $a, share(), resamples: 300);
    expect($there->cases)
        ->toBe(40)
        ->and($back->difference->estimate)
        ->toEqualWithDelta(-$there->difference->estimate, 1e-12)
        ->and($back->p)
        ->toBe($there->p)
        ->and($back->difference->low)
        ->toEqualWithDelta(-$there->difference->high, 1e-9);
});

it('has p values that are even where nothing differs', function () {
    $below = 0;
    for ($i = 0; $i < 100; $i++) {
        $below +=
            Comparison::paired(answers("a$i", 30, 0.5), answers("b$i", 30, 0.5), share(), resamples: 99)->p <= 0.1
                ? 1
                : 0;
    }
    expect($below)->toBeLessThan(20);
});

it('compares two rounds with cases of their own', function () {
    $c = Comparison::independent(
        answers('spring', 70, 0.5, 's'),
        answers('autumn', 50, 0.85, 'a'),
        share(),
        resamples: 500,
    );
    $same = Comparison::independent(answers('x', 70, 0.7, 's'), answers('y', 50, 0.7, 'a'), share(), resamples: 500);
    expect($c->cases)
        ->toBe(120)
        ->and($c->p)
        ->toBeLessThan(0.01)
        ->and($c->difference->low)
        ->toBeGreaterThan(0.0)
        ->and($same->p)
        ->toBeGreaterThan(0.02);
});

it('compares a coefficient of agreement before and after a debrief', function () {
    $sums = static function (float $skill, string $seed): array {
        $c = new Chance($seed);
        $rows = [];
        foreach (['a', 'b', 'c', 'd'] as $rater) {
            $truth = new Chance('truth');
            for ($i = 0; $i < 60; $i++) {
                $is = $truth->uniform() < 0.5;
                $rows[$rater][] = ($c->uniform() < $skill) === $is ? 'p' : 'n';
            }
        }
        $table = ItemTable::fromRatings(ratings($rows), [''], ['n', 'p']);

        return [new CountSums($table, Weights::identity(2)), $table];
    };
    [$before] = $sums(0.7, 'before');
    [$after] = $sums(0.92, 'after');
    $ac1 = Comparison::paired($before->byCluster(), $after->byCluster(), $before->statistic('gwet_ac'), resamples: 300);
    expect($ac1->first)
        ->toEqualWithDelta($before->estimates()[2], 1e-12)
        ->and($ac1->second)
        ->toEqualWithDelta($after->estimates()[2], 1e-12)
        ->and($ac1->p)
        ->toBeLessThan(0.02)
        ->and($ac1->difference->low)
        ->toBeGreaterThan(0.1);
});

it('says in words what cannot be compared', function () {
    $none = Comparison::paired(['x' => [1, 1]], ['y' => [1, 1]], share());
    expect(worded($none->difference->reason))
        ->toBe('there is no case to compare')
        ->and($none->p)
        ->toBeNull()
        ->and(
            worded(
                Comparison::paired(['x' => [1, 0], 'y' => [0, 0]], ['x' => [1, 1], 'y' => [0, 1]], share())->difference
                    ->reason,
            ),
        )
        ->toBe('undefined in one of the two')
        ->and(Comparison::paired(['x' => [1, 1]], ['x' => [0, 1]], share())->difference->method)
        ->toBe('point');
});

// R 4.2.2: p.adjust(c(0.01, 0.04, 0.03, 0.005, 0.6), "holm")
it('adjusts many comparisons after Holm', function () {
    $p = Comparison::holm(['a' => 0.01, 'b' => 0.04, 'c' => 0.03, 'd' => 0.005, 'e' => 0.6]);
    expect(array_keys($p))
        ->toBe(['a', 'b', 'c', 'd', 'e'])
        ->and(array_values($p))
        ->toEqualWithDelta([0.04, 0.09, 0.09, 0.025, 0.6], 1e-12)
        ->and(Comparison::holm([]))
        ->toBe([])
        ->and(Comparison::holm([0.8, 0.9]))
        ->toBe([1.0, 1.0]);
});

it('says what difference a design could find', function () {
    expect(Comparison::detectable(0.05))
        ->toEqualWithDelta(0.05 * (1.959963984540054 + 0.8416212335729143), 1e-12)
        ->and(Comparison::detectable(0.05, power: 0.9))
        ->toBeGreaterThan(Comparison::detectable(0.05));
});

it('gives a word only as far as the interval has earned it', function () {
    $sure = Benchmark::LandisKoch->read(Figure::estimated(0.75, 0.01, 0.73, 0.77, ''));
    $unsure = Benchmark::LandisKoch->read(Figure::estimated(0.75, 0.15, 0.45, 1.0, ''));
    expect($sure['level'])
        ->toBe('substantial')
        ->and($sure['probability'])
        ->toBeGreaterThan(0.95)
        ->and($unsure['level'])
        ->toBe('moderate')
        ->and(array_sum($unsure['memberships']))
        ->toEqualWithDelta(1.0, 1e-9)
        ->and(Benchmark::Altman->read(Figure::estimated(0.9, 0.01, 0.88, 0.92, ''))['level'])
        ->toBe('very good')
        ->and(Benchmark::Fleiss->read(Figure::estimated(-0.2, 0.05, -0.3, -0.1, ''))['level'])
        ->toBe('poor')
        ->and(Benchmark::Fleiss->read(Figure::undefined(Undefined::NoPairs)))
        ->toBeNull();
});

it('measures how far sets of faults are apart', function () {
    expect(SetDistance::jaccard(['a', 'b'], ['b', 'c']))
        ->toEqualWithDelta(1 / 3, 1e-12)
        ->and(SetDistance::jaccard([], []))
        ->toBe(1.0)
        ->and(SetDistance::masi(['a', 'b'], ['b', 'a', 'a']))
        ->toBe(0.0)
        ->and(SetDistance::masi(['a'], ['a', 'b']))
        ->toEqualWithDelta(1 - (0.5 * 2) / 3, 1e-12)
        ->and(SetDistance::masi(['a', 'b'], ['b', 'c']))
        ->toEqualWithDelta(1 - 1 / 9, 1e-12)
        ->and(SetDistance::masi(['a'], []))
        ->toBe(1.0)
        ->and(SetDistance::masi([], []))
        ->toBe(0.0);
});

it('puts sets into alpha', function () {
    $same = [[['a'], ['a']], [['a', 'b'], ['b', 'a']], [[], []]];
    $mixed = [[['a'], ['a', 'b']], [['c'], ['c']], [['a'], ['b']], [['b', 'c'], ['b', 'c']]];
    expect(SetDistance::alpha($same)->estimate)
        ->toEqualWithDelta(1.0, 1e-12)
        ->and(SetDistance::alpha($same)->low)
        ->toBeLessThan(1.0)
        ->and(SetDistance::alpha($mixed)->estimate)
        ->toBeGreaterThan(0.2)
        ->toBeLessThan(0.9)
        ->and(worded(SetDistance::alpha([[['a'], ['a']]])->reason))
        ->toContain('every set is the same')
        ->and(worded(SetDistance::alpha([[['a']]])->reason))
        ->toBe('fewer than two ratings on every case')
        ->and(SetDistance::meanJaccard($mixed)->estimate)
        ->toEqualWithDelta((0.5 + 1 + 0 + 1) / 4, 1e-12)
        ->and(SetDistance::meanJaccard([])->estimate)
        ->toBeNull();
    // Sets of one label each, told apart as MASI does, are nominal alpha.
    $rows = ['a' => 'p a p a p a', 'b' => 'p a a a p p'];
    $sets = array_map(
        static fn (string $x, string $y): array => [[$x], [$y]],
        explode(' ', $rows['a']),
        explode(' ', $rows['b']),
    );
    expect(SetDistance::alpha($sets)->estimate)->toEqualWithDelta(
        (new CountSums(ItemTable::fromRatings(ratings($rows), ['']), Weights::identity(2)))->estimates()[4],
        1e-12,
    );
});

it('shares ranks among ties and corrects W for them', function () {
    expect(RankAgreement::ranks([3, 1, 3, 2]))->toBe([3.5, 1.0, 3.5, 2.0]);
    $tied = RankAgreement::kendall([[1, 2, 2, 4], [1, 2, 2, 4], [1, 2, 2, 4]]);
    expect($tied['w']->estimate)
        ->toEqualWithDelta(1.0, 1e-12)
        ->and($tied['mean_rho'])
        ->toEqualWithDelta(1.0, 1e-12)
        ->and(worded(RankAgreement::kendall([[1, 1], [1, 1]])['w']->reason))
        ->toBe('every judge ties everything')
        ->and(RankAgreement::kendall([[1, 2]])['w']->estimate)
        ->toBeNull()
        ->and(worded(RankAgreement::spearman([1, 1], [1, 2])->reason))
        ->toBe('one ties everything')
        ->and(RankAgreement::spearman([1, 2, 3, 4, 5], [5, 4, 3, 2, 1])->estimate)
        ->toBe(-1.0)
        ->and(RankAgreement::spearman([1], [1])->estimate)
        ->toBeNull();
});

it('takes the Brier score apart after Murphy', function () {
    $b = new BrierScore;
    $c = new Chance('brier');
    $scores = [];
    for ($i = 0; $i < 200; $i++) {
        $p = $c->between(0, 10) / 10;
        $true = $c->uniform() < 0.3 + 0.4 * $p;
        $b->add($p, $true);
        $scores[] = ($p - ($true ? 1 : 0)) ** 2;
    }
    $parts = $b->parts();
    expect($parts['reliability'] - $parts['resolution'] + $parts['uncertainty'])
        ->toEqualWithDelta(array_sum($scores) / 200, 1e-12)
        ->and($b->figure(new Confidence())->estimate)
        ->toEqualWithDelta(array_sum($scores) / 200, 1e-12)
        ->and(array_sum(array_column($b->calibration(), 'n')))
        ->toBe(200)
        ->and(array_column($b->calibration(), 'p'))
        ->toBe([0.0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0])
        ->and((new BrierScore())->parts())
        ->toBeNull();
});

it('takes only levels of confidence between nothing and certainty', function (float $level) {
    new Confidence($level);
})->with([0.0, 1.0, -0.5, NAN])->throws(CoreException::class, 'agreement.confidence');

it('gives W an interval by leaving out each thing in turn, as ranking the rest anew would', function () {
    $chance = new Chance('kendall');
    $judges = array_fill(0, 4, []);
    for ($i = 0; $i < 24; $i++) {
        $is = $chance->normal();
        foreach (array_keys($judges) as $g) {
            $judges[$g][] = (int) round(2.0 * ($is + $chance->normal(0.0, 0.6)));
        }
    }
    $w = RankAgreement::kendall($judges)['w'];
    $left = [];
    for ($i = 0; $i < 24; $i++) {
        $left[] = RankAgreement::kendall(
            array_map(static fn (array $v): array => [...array_slice($v, 0, $i), ...array_slice($v, $i + 1)], $judges),
        )['w']->estimate;
    }
    $mean = array_sum($left) / 24;
    $se = sqrt((23 / 24) * array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $left)));
    expect($w->se)
        ->toEqualWithDelta($se, 1e-12)
        ->and($w->method)
        ->toBe('jackknife')
        ->and($w->low)
        ->toBeLessThan($w->estimate)
        ->and($w->high)
        ->toBeGreaterThan($w->estimate);
    // Ten things are the least; and rankings that are all alike have no width to give.
    expect(RankAgreement::kendall(array_map(static fn (array $v): array => array_slice($v, 0, 9), $judges))['w']->low)
        ->toBeNull()
        ->and(RankAgreement::kendall([range(1, 12), range(1, 12)])['w']->low)
        ->toBeNull();
});
