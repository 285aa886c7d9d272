<?php

use Core\Agreement\AlikeUnits;
use Core\Agreement\CallSheet;
use Core\Agreement\Coefficient\CongerKappa;
use Core\Agreement\Coefficient\CountFigures;
use Core\Agreement\Coefficient\PairResult;
use Core\Agreement\Coefficient\PairTables;
use Core\Agreement\Confidence;
use Core\Agreement\Figure;
use Core\Agreement\ItemTable;
use Core\Agreement\RatingSet;
use Core\Agreement\Resampling\CountSums;
use Core\Agreement\Scale;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Agreement\Weights;
use Core\Chance\Chance;
use Core\CoreException;
use Core\Format\Json\StudyJson;

it('gives back what was said, in whatever order and of however many values', function (int $values, int $raters) {
    $chance = new Chance("sheet$values");
    $sheet = new CallSheet;
    $said = [];
    for ($n = 0; $n < 900; $n++) {
        [$case, $rater, $value] = [
            $chance->between(0, 40), $chance->between(0, $raters - 1), $chance->between(0, $values - 1),
        ];
        expect($sheet->add($case, $rater, $value))->toBe(! isset($said[$case][$rater]));
        $said[$case][$rater] ??= $value;
    }
    for ($case = 0; $case < 42; $case++) {
        expect($sheet->has($case))->toBe(isset($said[$case]));
        foreach ($sheet->row($case) as $rater => $value) {
            expect($value)->toBe($said[$case][$rater] ?? RatingSet::NONE);
        }
    }
    expect(array_sum($sheet->counted()))->toBe(count($said));
})->with([[2, 3], [255, 9], [256, 9], [70_000, 33]]);

it('keeps what was said first and fills what is left', function (int $first, int $second) {
    [$one, $two] = [new CallSheet, new CallSheet];
    $one->add(1, 0, 0);
    $one->add(1, 2, $first);
    $two->add(1, 0, 5);
    $two->add(1, 1, 7);
    $two->add(9, 12, $second);
    $before = clone $one;
    $one->fill($two);
    expect(array_slice($one->row(1), 0, 3))->toBe([0, 7, $first])
        ->and($one->row(9)[12])->toBe($second)
        ->and($one->row(9)[0])->toBe(RatingSet::NONE)
        ->and($before->has(9))->toBeFalse();
})->with([[1, 2], [300, 2], [1, 300], [300, 400]]);

/** @return array<string, mixed> what is published of the only item */
function publishedOf(RatingSet $set, StudyOptions $options): array
{
    return StudyJson::published(inWords())->item((new Study($set, $options))->item(['']));
}

/** Every figure of a table whose alike cases are counted, against that of a table that holds each. */
function expectSameOfBoth(RatingSet $set, ?string $apart = null): void
{
    $plain = ItemTable::fromRatings($set, [''], null, $apart);
    $counted = AlikeUnits::ofNames($set, '', null, $apart);
    foreach (['units', 'paired', 'cases', 'clusters', 'ratings', 'grouped', 'categories', 'raters'] as $of) {
        expect($counted->$of)->toBe($plain->$of);
    }
    expect(array_sum($counted->times))->toBe($counted->units)
        ->and($counted->isComplete())->toBe($plain->isComplete())
        ->and($counted->isPerfect())->toBe($plain->isPerfect());
    [$found, $expected] = array_map(static function (ItemTable $table): array {
        $weights = Weights::identity($table->q);
        $sums = new CountSums($table, $weights);
        [$figures, $specific] = (new CountFigures($table, $sums, $weights))->figures(null);
        $pairs = new PairTables($table, $weights, new Confidence());

        return [
            ...$figures, ...$specific, CongerKappa::figure($table, $weights, new Confidence()), $pairs->light(),
            ...array_values($pairs->ratersVersusRest()),
            ...array_map(static fn (PairResult $pair): Figure => $pair->kappa, $pairs->results(0)),
        ];
    }, [$counted, $plain]);
    foreach ($expected as $name => $f) {
        $of = $found[$name];
        expect($of->method)->toBe($f->method)->and($of->reason?->code)->toBe($f->reason?->code);
        foreach (['estimate', 'se', 'low', 'high'] as $part) {
            foreach ([[$of, $f], [$of->newReaders, $f->newReaders]] as [$mine, $other]) {
                if ($part === 'estimate' && ! $other instanceof Figure) {
                    continue;
                }
                expect($mine?->$part === null)->toBe($other?->$part === null);
                expect($mine?->$part ?? 0.0)->toEqualWithDelta($other?->$part ?? 0.0, 1e-11);
            }
        }
    }
}

it('computes the same of cases that are counted by what was said as of each by itself', function (
    int $raters,
    int $cases,
    int $q,
    float $missing,
    ?string $apart,
) {
    $set = new RatingSet(Scale::Nominal, $apart);
    $chance = new Chance("counted$raters");
    for ($c = 0; $c < $cases; $c++) {
        for ($r = 0; $r < $raters; $r++) {
            $value = 'k'.$chance->between(0, $q - 1);
            $set->add("c$c", '', "r$r", $chance->uniform() < $missing ? '' : $value);
        }
    }
    expectSameOfBoth($set, $apart);
})->with([
    [4, 120, 2, 0.0, null],
    [5, 90, 3, 0.2, null],
    [6, 60, 3, 0.1, 'k2'],
    [2, 40, 2, 0.0, null],
    [3, 30, 1, 0.0, null],
    [4, 12, 2, 0.75, null],
    [9, 30, 4, 0.0, null],
]);

it('bounds what nobody ever differs on by the cases, not by what was said', function (string ...$rows) {
    expectSameOfBoth(ratings($rows));
})->with([
    'all alike' => [str_repeat('k0 k1 k0 ', 9).'k0', str_repeat('k0 k1 k0 ', 9).'k0', str_repeat('k0 k1 k0 ', 9).'k1'],
    'nobody differs' => array_fill(0, 4, str_repeat('k0 k1 k0 ', 9).'k0'),
    'always apart' => [str_repeat('k0 ', 8).'k0', str_repeat('k1 ', 8).'k1'],
    'one case' => ['k0', 'k0', 'k1'],
    'rated once' => [str_repeat('k0 . ', 5).'.', str_repeat('. k1 ', 5).'k1'],
]);

it('says the same to the last digit in whatever order a file has it', function () {
    $rows = [];
    $chance = new Chance('order');
    for ($c = 0; $c < 80; $c++) {
        for ($r = 0; $r < 11; $r++) {
            $rows[] = ["c$c", "r$r", $chance->uniform() < 0.3 ? 'k2' : 'k'.$chance->between(0, 1)];
        }
    }
    $said = [];
    foreach ([$rows, array_reverse($rows), $chance->shuffled($rows)] as $order) {
        $set = new RatingSet;
        foreach ($order as [$case, $rater, $value]) {
            $set->add($case, '', $rater, $value);
        }
        $said[] = json_encode(publishedOf($set, new StudyOptions(bootstrap: 0)));
    }
    expect($said[1])->toBe($said[0])->and($said[2])->toBe($said[0]);
});

it('still names the case whose value is none of the categories', function () {
    $set = ratings(['a' => 'x y z', 'b' => 'x y y']);
    expect(fn () => publishedOf($set, new StudyOptions(['x', 'y'], bootstrap: 0)))
        ->toThrow(CoreException::class, 'c002');
});

it('takes more names than a byte tells apart, and numbers that are many', function (Scale $scale) {
    $set = new RatingSet($scale);
    for ($c = 0; $c < 300; $c++) {
        foreach (['a', 'b', 'c'] as $i => $rater) {
            $set->add("c$c", '', $rater, (string) ($i === 2 && $c % 3 === 0 ? ($c + 1) % 300 : $c));
        }
    }
    $found = publishedOf($set, new StudyOptions(pairs: false, bootstrap: 0));
    expect($found['coefficients']['krippendorff_alpha']['estimate'])->toBeGreaterThan(0.7)
        ->and(count($found['categories']))->toBe(300)
        ->and($found['ratings'])->toBe(900);
})->with([[Scale::Nominal], [Scale::Interval]]);
