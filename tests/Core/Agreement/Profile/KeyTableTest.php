<?php

use Core\Agreement\Confidence;
use Core\Agreement\Profile\KeyBootstrap;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Resampling\Resample;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Wilson;
use Core\Number\Distribution;

function keyTable(int $tp, int $fn, int $fp, int $tn): KeyTable
{
    $t = new KeyTable;
    $case = 0;
    foreach ([[$tp, true, true], [$fn, false, true], [$fp, true, false], [$tn, false, false]] as [$n, $called, $true]) {
        for ($i = 0; $i < $n; $i++) {
            $t->add($case++, $called, $true);
        }
    }

    return $t;
}

/** The same, dealt out in turn to clusters of five. */
function inTens(int $tp, int $fn, int $fp, int $tn): KeyTable
{
    $t = new KeyTable;
    $case = 0;
    foreach ([[$tp, true, true], [$fn, false, true], [$fp, true, false], [$tn, false, false]] as [$n, $called, $true]) {
        for ($i = 0; $i < $n; $i++) {
            $t->add($case++ % 10, $called, $true);
        }
    }

    return $t;
}

it('computes the proportions with Wilson intervals', function () {
    $f = keyTable(18, 2, 5, 25)->figures();
    expect($f['sensitivity']->estimate)
        ->toBe(0.9)
        ->and($f['specificity']->estimate)
        ->toEqualWithDelta(25 / 30, 1e-12)
        ->and($f['ppv']->estimate)
        ->toEqualWithDelta(18 / 23, 1e-12)
        ->and($f['npv']->estimate)
        ->toEqualWithDelta(25 / 27, 1e-12)
        ->and($f['youden']->estimate)
        ->toEqualWithDelta(0.9 + 25 / 30 - 1, 1e-12)
        ->and($f['mcc']->estimate)
        ->toEqualWithDelta((18 * 25 - 5 * 2) / sqrt(23 * 20 * 30 * 27), 1e-12)
        ->and($f['sensitivity']->method)
        ->toBe('wilson');
});

it('gives Wilson\'s interval as Newcombe (1998, table I) prints it', function (
    int $k,
    int $n,
    float $low,
    float $high,
) {
    [$a, $b] = Wilson::interval($k, $n);
    expect($a)->toEqualWithDelta($low, 5e-5)->and($b)->toEqualWithDelta($high, 5e-5);
})->with([[81, 263, 0.2553, 0.3662], [15, 148, 0.0624, 0.1605], [0, 20, 0.0, 0.1611], [1, 29, 0.0061, 0.1718]]);

it('separates sensitivity from leaning by signal detection with the log-linear correction', function () {
    $f = keyTable(18, 2, 5, 25)->figures();
    $h = Distribution::normalQuantile(18.5 / 21);
    $fa = Distribution::normalQuantile(5.5 / 31);
    expect($f['d_prime']->estimate)
        ->toEqualWithDelta($h - $fa, 1e-12)
        ->and($f['criterion']->estimate)
        ->toEqualWithDelta(-($h + $fa) / 2, 1e-12)
        ->and($f['criterion']->se)
        ->toEqualWithDelta($f['d_prime']->se / 2, 1e-12)
        ->and(keyTable(20, 0, 0, 30)->figures()['d_prime']->estimate)
        ->toBeFloat()
        ->toBeLessThan(6.0);
});

it('leans high for who over-calls and low for who under-calls', function () {
    expect(keyTable(19, 1, 20, 10)->figures()['criterion']->high)->toBeLessThan(0.0)
        ->and(keyTable(6, 14, 0, 30)->figures()['criterion']->low)->toBeGreaterThan(0.0);
});

it('scores confidence: sure and right is 0, sure and wrong is 1, a coin is a quarter', function () {
    $brier = static function (array $rows): float {
        $t = new KeyTable;
        foreach ($rows as $i => [$called, $true, $confidence]) {
            $t->add($i, $called, $true, $confidence);
        }

        return $t->figures()['brier']->estimate;
    };
    expect($brier([[true, true, 1.0], [false, false, 1.0]]))
        ->toBe(0.0)
        ->and($brier([[true, false, 1.0], [false, true, 1.0]]))
        ->toBe(1.0)
        ->and($brier([[true, false, 0.5], [false, false, 0.5]]))
        ->toBe(0.25)
        ->and($brier([[false, true, 0.8]]))
        ->toEqualWithDelta(0.64, 1e-12);
});

it('is undefined where the key or the rater leaves a margin empty', function () {
    $f = keyTable(0, 0, 3, 7)->figures();
    expect(worded($f['sensitivity']->reason))
        ->toContain('no positive')
        ->and($f['youden']->estimate)
        ->toBeNull()
        ->and($f['d_prime']->estimate)
        ->toBeNull()
        ->and($f['mcc']->estimate)
        ->toBeNull()
        ->and(worded(keyTable(0, 3, 0, 7)->figures()['ppv']->reason))
        ->toBe('nothing was called positive')
        ->and(worded(keyTable(2, 0, 0, 0)->figures()['specificity']->reason))
        ->toContain('no negative')
        ->and(worded($f['brier']->reason))
        ->toBe('no confidence was stated');
});

it('resamples clusters for Youden and Matthews, and not where they are few', function () {
    $tables = ['x' => keyTable(18, 2, 5, 25), 'y' => keyTable(10, 10, 3, 27)];
    $plain = array_map(static fn (KeyTable $t): array => $t->figures(), $tables);
    $one = (new KeyBootstrap($tables, new ClusterBootstrap(50, 600, 1)))->intervals($plain, new Confidence);
    $grouped = array_map(static fn (KeyTable $t): array => $t->clustered()->figures(), ['x' => inTens(18, 2, 5, 25)]);
    $few = (new KeyBootstrap(['x' => inTens(18, 2, 5, 25)], new ClusterBootstrap(10, 600, 1)))->intervals(
        $grouped,
        new Confidence,
    );
    foreach (['x', 'y'] as $rater) {
        expect($plain[$rater]['mcc']->method)
            ->toBe('jackknife')
            ->and($one[$rater]['mcc']->method)
            ->toBe('bca')
            ->and($one[$rater]['mcc']->low)
            ->toBeLessThan($one[$rater]['mcc']->estimate)
            ->and($one[$rater]['mcc']->high)
            ->toBeGreaterThan($one[$rater]['mcc']->estimate)
            ->and($one[$rater]['mcc']->se)
            ->toEqualWithDelta($plain[$rater]['mcc']->se, 0.02)
            ->and($one[$rater]['sensitivity']->method)
            ->toBe('wilson');
    }
    expect($few)->toEqual($grouped);
});

it('resamples as one would by drawing the cases one by one', function () {
    $tables = ['x' => keyTable(18, 2, 5, 25), 'y' => keyTable(10, 10, 3, 27), 'z' => keyTable(1, 19, 29, 1)];
    $boot = new ClusterBootstrap(50, 40, 7);
    $figures = (new KeyBootstrap($tables, $boot))->intervals(
        array_map(static fn (KeyTable $t): array => $t->figures(), $tables),
        new Confidence(0.9),
    );
    foreach ($tables as $rater => $table) {
        $values = [];
        for ($b = 1; $b <= 40; $b++) {
            $draw = $boot->draw($b);
            $again = new KeyTable;
            for ($j = 0; $j < count($draw); $j += 2) {
                for ($t = 0; $t < $draw[$j + 1]; $t++) {
                    $cell = $table->byCluster()[$draw[$j]];
                    $again->add(1000 * $t + $draw[$j], $cell === 1 || $cell === 1 << 30, $cell < 1 << 30);
                }
            }
            $values[] = $again->figures()['mcc']->estimate;
        }
        $expected = Resample::bca(
            $table->figures()['mcc']->estimate,
            array_values(array_filter($values, is_float(...))),
            array_column($table->leaveOneOut(false), 1),
            0.9,
            40,
        );
        expect($figures[$rater]['mcc']->low)
            ->toEqualWithDelta($expected->low, 1e-12)
            ->and($figures[$rater]['mcc']->high)
            ->toEqualWithDelta($expected->high, 1e-12);
    }
});

it('scores every rater against the key, leaving out cases without one', function () {
    $set = ratings(['x' => 'present absent present absent', 'y' => 'present present . absent']);
    foreach (['present', 'absent', '', 'present'] as $i => $v) {
        $set->addKey("c00$i", '', $v);
    }
    $rows = published((new Study($set, new StudyOptions(bootstrap: 0)))->item(['']))['against_key'];
    expect(array_column($rows, 'rater'))
        ->toBe(['x', 'y'])
        ->and(array_column($rows, 'n'))
        ->toBe([3, 3])
        ->and($rows[0]['sensitivity']['estimate'])
        ->toBe(0.5)
        ->and($rows[0]['specificity']['estimate'])
        ->toBe(1.0)
        ->and($rows[1]['specificity']['estimate'])
        ->toBe(0.0)
        ->and(array_keys($rows[0]))
        ->toBe([
            'rater',
            'n',
            'sensitivity',
            'specificity',
            'ppv',
            'npv',
            'youden',
            'mcc',
            'd_prime',
            'criterion',
            'cohen_kappa',
            'brier',
        ]);
});

it('knows the normal and Student\'s distribution to ten digits', function () {
    expect(Distribution::normal(1.96))
        ->toEqualWithDelta(0.9750021048517795, 1e-12)
        ->and(Distribution::normal(-6.0))
        ->toEqualWithDelta(9.865876450376946e-10, 1e-20)
        ->and(Distribution::normal(0.0))
        ->toEqualWithDelta(0.5, 1e-15)
        ->and(Distribution::normalQuantile(0.975))
        ->toEqualWithDelta(1.959963984540054, 1e-12)
        ->and(Distribution::normalQuantile(1e-8))
        ->toEqualWithDelta(-5.612001244174789, 1e-9)
        ->and(Distribution::normalQuantile(0.0))
        ->toBe(-INF)
        ->and(Distribution::studentQuantile(0.975, 1))
        ->toEqualWithDelta(12.706204736432095, 1e-9)
        ->and(Distribution::studentQuantile(0.975, 9))
        ->toEqualWithDelta(2.2621571627409915, 1e-10)
        ->and(Distribution::studentQuantile(0.995, 30))
        ->toEqualWithDelta(2.7499956535672286, 1e-10)
        ->and(Distribution::studentQuantile(0.1, 5))
        ->toEqualWithDelta(-1.475884048824481, 1e-10)
        ->and(Distribution::student(2.0, 10))
        ->toEqualWithDelta(0.9633059826146299, 1e-12);
});
