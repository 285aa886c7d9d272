<?php

use Core\Agreement\Coefficient\WithAbstentions;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\Profile\FieldValues;
use Core\Agreement\Profile\KeyTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\ClusterBootstrap;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;

/** @return list<array{string, string, string, string, string}> case, item, rater, value, golfer */
function unsureRows(string $seed, int $golfers = 10, float $unsure = 0.2): array
{
    $c = new Chance($seed);
    $out = [];
    for ($g = 0; $g < $golfers; $g++) {
        for ($s = 0; $s < 3; $s++) {
            foreach (['x', 'y'] as $item) {
                $true = $c->uniform() < 0.4;
                for ($r = 0; $r < 4; $r++) {
                    $called = $c->uniform() < 0.85 ? $true : ! $true;
                    $value = $c->uniform() < $unsure ? 'cannot_tell' : ($called ? 'present' : 'absent');
                    if ($c->uniform() < 0.95) {
                        $out[] = ["$g-$s", $item, "r$r", $value, "g$g"];
                    }
                }
            }
        }
    }

    return $out;
}

function unsure(array $rows, bool $clusters = true, array $key = []): RatingSet
{
    $set = new RatingSet;
    foreach ($rows as [$case, $item, $rater, $value, $golfer]) {
        $set->add($case, $item, $rater, $value);
        if ($clusters) {
            $set->group($case, $golfer);
        }
    }
    foreach ($key as [$case, $item, $value]) {
        $set->addKey($case, $item, $value);
    }

    return $set;
}

/** What the definitions say: agreement, Brennan–Prediger and specific agreement of "present". */
function abstainingByHand(array $rows): array
{
    $units = [];
    foreach ($rows as [$case, $item, , $value]) {
        $units["$case $item"][] = $value;
    }
    $agree = $pairs = 0.0;
    $both = $possible = 0;
    foreach ($units as $given) {
        $r = count($given);
        if ($r < 2) {
            continue;
        }
        $same = 0;
        foreach ($given as $i => $a) {
            foreach ($given as $j => $b) {
                if ($i !== $j) {
                    $same += $a === $b && $a !== 'cannot_tell' ? 1 : 0;
                    $both += $a === 'present' && $b === 'present' ? 1 : 0;
                    $possible += $a === 'present' || $a === 'cannot_tell' ? 1 : 0;
                }
            }
        }
        $agree += $same / ($r * ($r - 1));
        $pairs++;
    }

    return [$agree / $pairs, 2 * $agree / $pairs - 1, $both / $possible];
}

it('lets whoever abstains agree with nobody', function (bool $clusters, array $items) {
    $rows = array_values(array_filter(unsureRows('by hand'), static fn (array $r): bool => in_array($r[1], $items,
        true)));
    $options = new StudyOptions(categories: ['absent', 'present'], cannotTell: 'cannot_tell', bootstrap: 0);
    $block = published((new Study(unsure($rows, $clusters), $options))->item($items))['abstention'];
    [$agreement, $bp, $present] = abstainingByHand($rows);
    expect($block['coefficients']['percent_agreement']['estimate'])->toEqualWithDelta($agreement, 1e-12)
        ->and($block['coefficients']['brennan_prediger']['estimate'])->toEqualWithDelta($bp, 1e-12)
        ->and(((array) $block['specific_agreement'])['present']['estimate'])->toEqualWithDelta($present, 1e-12);
    // Without each golfer, or each case, by hand.
    $at = $clusters ? 4 : 0;
    $groups = array_values(array_unique(array_column($rows, $at)));
    $squares = [0.0, 0.0, 0.0];
    foreach ($groups as $group) {
        $left = array_values(array_filter($rows, static fn (array $r): bool => $r[$at] !== $group));
        foreach (abstainingByHand($left) as $i => $v) {
            $squares[$i] += ($v - [$agreement, $bp, $present][$i]) ** 2;
        }
    }
    // Of "present" those count who show it, or abstain, where another judged it too.
    $said = [];
    foreach ($rows as $row) {
        $said["$row[0] $row[1]"][] = $row;
    }
    $show = [];
    foreach ($said as $unit) {
        foreach (count($unit) > 1 ? $unit : [] as $row) {
            if ($row[3] !== 'absent') {
                $show[$row[$at]] = true;
            }
        }
    }
    $se = static function (int $i) use ($groups, $show, $squares): float {
        $g = $i === 2 ? count($show) : count($groups);

        return sqrt(($g - 1) / $g * $squares[$i]);
    };
    $grouped = $clusters || count($items) > 1;
    expect($block['coefficients']['percent_agreement']['se'])->toEqualWithDelta($se(0), $grouped ? 1e-10 : 1e-3)
        ->and($block['coefficients']['brennan_prediger']['se'])->toEqualWithDelta($se(1), $grouped ? 1e-10 : 2e-3)
        ->and(((array) $block['specific_agreement'])['present']['se'])->toEqualWithDelta($se(2), 1e-10);
})->with([
    'golfers, pooled' => [true, ['x', 'y']],
    'cases, pooled' => [false, ['x', 'y']],
    'golfers, one fault' => [true, ['x']],
    'cases, one fault' => [false, ['x']],
]);

it('draws the same replicates of them as from whole ratings', function () {
    $rows = unsureRows('draws', 60);
    $set = unsure($rows);
    $table = ItemTable::fromRatings($set, ['x', 'y'], ['absent', 'cannot_tell', 'present']);
    $of = new WithAbstentions($table, 1);
    $boot = new ClusterBootstrap(60, 200, 1);
    $draw = $boot->draw(3);
    $golfers = array_values(array_unique(array_column($rows, 4)));
    sort($golfers, SORT_STRING);
    $again = [];
    for ($j = 0; $j < count($draw); $j += 2) {
        for ($t = 0; $t < $draw[$j + 1]; $t++) {
            foreach ($rows as $row) {
                if ($row[4] === $golfers[$draw[$j]]) {
                    $again[] = ["$t $row[0]", ...array_slice($row, 1)];
                }
            }
        }
    }
    [$agreement, $bp, $present] = abstainingByHand($again);
    $found = $of->replicate($draw);
    [$figures] = $of->figures(new Confidence, $boot);
    expect($found[0])->toEqualWithDelta($agreement, 1e-12)
        ->and($found[1])->toEqualWithDelta($bp, 1e-12)
        ->and($found[3])->toEqualWithDelta($present, 1e-12)
        ->and($figures['percent_agreement']->method)->toBe('bca');
});

it('counts an abstention wrong against the key, so that nobody gains by it', function () {
    $rows = $key = [];
    foreach ([['present', 'present'], ['cannot_tell', 'present'], ['cannot_tell', 'absent'], ['absent', 'absent'],
        ['present', 'absent'], ['absent', 'present']] as $i => [$said, $true]) {
        foreach (['a', 'b'] as $rater) {
            $rows[] = ["c$i", 'x', $rater, $said, "c$i"];
        }
        $key[] = ["c$i", 'x', $true];
    }
    $options = new StudyOptions(categories: ['absent', 'present'], cannotTell: 'cannot_tell', bootstrap: 0);
    $block = published((new Study(unsure($rows, false, $key), $options))->item(['x']));
    $plain = $block['against_key'][0];
    $wrong = $block['abstention']['against_key'][0];
    expect($plain['n'])->toBe(4)->and($wrong['n'])->toBe(6)
        ->and($plain['sensitivity']['estimate'])->toBe(0.5)
        ->and($wrong['sensitivity']['estimate'])->toEqualWithDelta(1 / 3, 1e-12)
        ->and($wrong['specificity']['estimate'])->toEqualWithDelta(1 / 3, 1e-12)
        ->and($wrong['answered']['estimate'])->toEqualWithDelta(4 / 6, 1e-12)
        ->and($wrong['half_credit']['estimate'])->toEqualWithDelta(0.5, 1e-12)
        ->and($wrong)->not->toHaveKey('brier');
});

it('never lets an abstention pay, whatever the reader would have said', function () {
    $c = new Chance('pay');
    for ($i = 0; $i < 60; $i++) {
        $told = new KeyTable;
        $kept = new KeyTable;
        for ($case = 0; $case < 20; $case++) {
            $true = $c->uniform() < 0.4;
            $called = $c->uniform() < 0.7 ? $true : ! $true;
            $told->add($case, $called, $true);
            // Kept to oneself in a third of the cases: then it is wrong.
            $kept->add($case, $c->uniform() < 0.33 ? ! $true : $called, $true);
        }
        foreach (['sensitivity', 'specificity', 'youden', 'd_prime'] as $name) {
            $a = $told->figures()[$name]->estimate;
            $b = $kept->figures()[$name]->estimate;
            expect($b ?? -9.0)->toBeLessThanOrEqual(($a ?? -9.0) + 1e-12);
        }
    }
});

it('takes the mean over faults beside what pooling gives', function () {
    $rows = unsureRows('mean', 12, 0.0);
    $set = unsure($rows);
    $options = new StudyOptions(categories: ['absent', 'present'], bootstrap: 0);
    $study = new Study($set, $options);
    $mean = published($study->item(['x', 'y']))['mean_over_items'];
    $one = published($study->item(['x']));
    $two = published($study->item(['y']));
    expect($study->item(['x'])->mean)->toBeNull();
    $squares = 0.0;
    for ($g = 0; $g < 12; $g++) {
        $rest = new Study(unsure(array_values(array_filter($rows, static fn (array $r): bool => $r[4] !== "g$g"))),
            $options);
        $squares += (
            (published($rest->item(['x']))['coefficients']['gwet_ac1']['estimate'] +
                published($rest->item(['y']))['coefficients']['gwet_ac1']['estimate']) / 2 -
            $mean['coefficients']['gwet_ac1']['estimate']
        ) ** 2;
    }
    expect($mean['coefficients']['gwet_ac1']['estimate'])
        ->toEqualWithDelta(
            ($one['coefficients']['gwet_ac1']['estimate'] + $two['coefficients']['gwet_ac1']['estimate']) / 2,
            1e-12,
        )
        ->and($mean['coefficients']['gwet_ac1']['se'])->toEqualWithDelta(sqrt(11 / 12 * $squares), 1e-10)
        ->and(((array) $mean['specific_agreement'])['present']['estimate'])
        ->toEqualWithDelta(
            (((array) $one['specific_agreement'])['present']['estimate'] +
                ((array) $two['specific_agreement'])['present']['estimate']) / 2,
            1e-12,
        );
});

it('gives a fault that nobody disagrees on its weight in the mean, and leaves out where a figure is undefined',
    function () {
        $rows = unsureRows('rare', 12, 0.0);
        $set = unsure(array_map(static fn (array $r): array => $r[1] === 'y' ? [$r[0], 'y', $r[2], 'absent', $r[4]] : $r,
            $rows));
        $study = new Study($set, new StudyOptions(categories: ['absent', 'present'], bootstrap: 0));
        $mean = published($study->item(['x', 'y']))['mean_over_items'];
        $one = published($study->item(['x']))['coefficients'];
        expect($mean['coefficients']['gwet_ac1']['estimate'])->toEqualWithDelta(($one['gwet_ac1']['estimate'] + 1) / 2,
            1e-12)
            ->and($mean['coefficients']['fleiss_kappa']['estimate'])->toEqualWithDelta($one['fleiss_kappa']['estimate'],
                1e-12);
    });

it('puts predictive values where the fault is as common as stated', function () {
    $rate = static fn (float $v, float $low, float $high): Figure => Figure::estimated($v, 0.1, $low, $high, 'wilson');
    $f = (new FieldValues($rate(0.8, 0.7, 0.88), $rate(0.9, 0.82, 0.95), 0.1))->figures();
    expect($f['ppv_field']->estimate)->toEqualWithDelta(0.08 / (0.08 + 0.09), 1e-12)
        ->and($f['npv_field']->estimate)->toEqualWithDelta(0.81 / (0.81 + 0.02), 1e-12)
        ->and($f['ppv_field']->low)->toBeLessThan($f['ppv_field']->estimate)
        ->and($f['ppv_field']->high)->toBeGreaterThan($f['ppv_field']->estimate);
    // One who never over-calls, and one who never calls.
    $sure = (new FieldValues($rate(0.5, 0.3, 0.7), $rate(1.0, 0.9, 1.0), 0.2))->figures()['ppv_field'];
    $mute = (new FieldValues($rate(0.0, 0.0, 0.2), $rate(1.0, 0.9, 1.0), 0.2))->figures();
    $blind = (new FieldValues($rate(0.0, 0.0, 0.2), $rate(0.5, 0.3, 0.7), 0.2))->figures()['ppv_field'];
    expect($sure->estimate)->toBe(1.0)->and($sure->high)->toBe(1.0)->and($sure->low)->toBeGreaterThan(0.3)
        ->toBeLessThan(1.0)
        ->and($mute['ppv_field']->estimate)->toBeNull()
        ->and($mute['npv_field']->estimate)->toEqualWithDelta(0.8, 1e-12)
        ->and($blind->estimate)->toBe(0.0)->and($blind->low)->toBe(0.0)->and($blind->high)->toBeGreaterThan(0.0);
});

it('holds the truth of the field about as often as it says', function () {
    $c = new Chance('field');
    $truth = 0.8 * 0.15 / (0.8 * 0.15 + 0.2 * 0.85);
    $inside = 0;
    for ($i = 0; $i < 600; $i++) {
        $cells = [0, 0, 0, 0];
        for ($k = 0; $k < 60; $k++) {
            $cells[$k < 25 ? ($c->uniform() < 0.8 ? 0 : 1) : ($c->uniform() < 0.2 ? 2 : 3)]++;
        }
        $table = new KeyTable;
        $at = 0;
        foreach ($cells as $cell => $n) {
            for ($k = 0; $k < $n; $k++) {
                $table->add($at++, $cell === 0 || $cell === 2, $cell < 2);
            }
        }
        $f = $table->figures();
        $ppv = (new FieldValues($f['sensitivity'], $f['specificity'], 0.15))->figures()['ppv_field'];
        $inside += $ppv->low <= $truth && $truth <= $ppv->high ? 1 : 0;
    }
    expect($inside / 600)->toBeGreaterThan(0.92)->toBeLessThan(0.985);
});

it('refuses a prevalence that is none', function (float $v) {
    expect(fn () => new StudyOptions(fieldPrevalence: $v))->toThrow(CoreException::class);
})->with([0.0, 1.0, -0.1, NAN]);

it('tells nothing of abstentions on numbers', function () {
    $set = new RatingSet(Scale::Interval, '?');
    foreach (['a' => '1 2 ?', 'b' => '1 3 2'] as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $set->add("c$i", '', $rater, $v);
        }
    }
    expect((new Study($set, new StudyOptions(cannotTell: '?', bootstrap: 0)))->item([''])->abstention)->toBeNull();
});
