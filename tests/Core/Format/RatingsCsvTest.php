<?php

use Core\Agreement\RatingSet;
use Core\Format\RatingsCsv;

/** What counts of an item, by case and rater. @return array<string, array<string, string>> */
function counted(RatingSet $set, string $item): array
{
    $out = [];
    [$values, $raters, $rows] = [$set->valueNames(), $set->raterNames(), $set->first($item)];
    foreach ($set->cases() as $case) {
        foreach ($rows->row($set->caseIndex($case)) as $r => $v) {
            if ($v > 0) {
                $out[$case][$raters[$r]] = $values[$v];
            }
        }
    }

    return $out;
}

function readRatings(string $csv, ?string $key = null): RatingSet
{
    $set = new RatingSet;
    RatingsCsv::readRatings(stream($csv), 'ratings.csv', $set);
    if ($key !== null) {
        RatingsCsv::readKey(stream($key), 'key.csv', $set);
    }

    return $set;
}

it('reads ratings with and without the optional columns, in any order of columns', function () {
    $set = readRatings(
        "rater,value,case,item,occasion,confidence\nx, present "
            .",c1,sway,1,0.8\ny,,c1,sway,1,\nx,absent,c1,sway,2,1\nx,present,c1,hang-back,,\n",
    );
    expect($set->items())
        ->toBe(['hang-back', 'sway'])
        ->and($set->cases())
        ->toBe(['c1'])
        ->and(counted($set, 'sway'))
        ->toBe(['c1' => ['x' => 'present']])
        ->and($set->confidence('sway'))
        ->toBe([[0.8]])
        ->and(
            array_map(
                static fn (array $pair): array => [$set->valueNames()[$pair[1]], $set->valueNames()[$pair[2]]],
                $set->repeats('sway')[0],
            ),
        )
        ->toBe([['present', 'absent']]);
    expect(counted(readRatings("case,rater,value\n1,2,3\n\n1,3,3\n"), ''))->toBe([1 => [2 => '3', 3 => '3']]);
});

it('reads a key that serves every item or each its own', function () {
    $csv = "case,rater,value,item\nc1,x,p,i1\nc1,x,p,i2\n";
    expect(readRatings($csv, "case,value\nc1,a\n")->keyFor('i2', 'c1'))->toBe('a')
        ->and(readRatings($csv, "case,value,item\nc1,a,i1\nc1,,i2\n")->keyFor('i2', 'c1'))->toBeNull()
        ->and(readRatings($csv)->hasKey())->toBeFalse();
});

it('takes quoted cells with commas and line ends in them', function () {
    expect(readRatings("case,rater,value\n\"a,\n1\",\"x \"\"y\"\"\",p\nb,z,q\n")->cases())->toBe(["a,\n1", 'b']);
});

it('refuses bad input naming file, line and column', function (string $csv, string $message) {
    expect(fn () => readRatings($csv))->toRefuse($message);
})->with([
    ['', 'ratings.csv: the file is empty'],
    ["case,value\n", 'ratings.csv, line 1, column rater: the column is missing'],
    ["case,rater,value\n", 'ratings.csv: line 2: there are no ratings'],
    [
        "case,rater,value\na,x,p\na,x,q\n",
        "ratings.csv, line 3, column rater: rater 'x' has already rated case 'a' on occasion '1'",
    ],
    ["case,rater,value\n,x,p\n", 'ratings.csv, line 2, column case: the cell is empty'],
    [
        "case,rater,value,confidence\na,x,p,80\n",
        "ratings.csv, line 2, column confidence: '80' is no number between 0 and 1",
    ],
    ["case,rater,value,confidence\na,x,p,high\n", "column confidence: 'high' is no number"],
    ["case,rater,value\n\"a\nb\",x,p\nc,x\n", 'ratings.csv, line 4, column value: 2 cells where the header has 3'],
]);

it('refuses a key with two values for a case', function () {
    expect(fn () => readRatings("case,rater,value\na,x,p\n", "case,value\na,p\na,q\n"))
        ->toRefuse("key.csv, line 3, column case: the key already has a value for case 'a'");
});

it('tells decimals from what only looks like them', function () {
    expect(RatingsCsv::decimal('1.5'))
        ->toBe(1.5)
        ->and(RatingsCsv::decimal('-.5e3'))
        ->toBe(-500.0)
        ->and(RatingsCsv::decimal('0x1A'))
        ->toBeNull()
        ->and(RatingsCsv::decimal('1,5'))
        ->toBeNull()
        ->and(RatingsCsv::decimal('NAN'))
        ->toBeNull()
        ->and(RatingsCsv::decimal(''))
        ->toBeNull()
        ->and(RatingsCsv::decimal('1e400'))
        ->toBeNull();
});
