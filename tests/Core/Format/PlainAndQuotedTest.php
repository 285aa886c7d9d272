<?php

use Core\Chance\Chance;
use Core\Format\CsvTable;
use Core\Format\ImportSettings;
use Core\Format\RatingsCsv;
use Core\Format\RecordingReader;
use Core\Format\SideCar;
use Core\Format\TraceCsv;
use Core\Motion\Handedness;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Stance;

/** @return list<list<string>> all rows of a text */
function rowsOf(string $text): array
{
    return array_values(iterator_to_array((new CsvTable(stream($text), 't.csv'))->rows()));
}

it('reads a plain line and the same line in quotes alike', function () {
    $c = new Chance('quotes');
    for ($i = 0; $i < 300; $i++) {
        $cells = [];
        for ($k = 0; $k < 4; $k++) {
            $cells[] = $c->uniform() < 0.15 ? '' : (string) round($c->normal(0.0, 100.0), $c->between(0, 4));
        }
        $quoted = array_map(static fn (string $v): string => $c->uniform() < 0.5 ? '"'.$v.'"' : $v, $cells);
        $ending = $i % 2 === 0 ? "\n" : "\r\n";
        expect(rowsOf("a,b,c,d$ending".implode(',', $cells).$ending))->toBe(
            rowsOf("a,b,c,d$ending".implode(',', $quoted).$ending),
        );
    }
});

it('loses the space around cells, keeps it within, and takes letters of any script', function () {
    expect(rowsOf("a,b\n 1 ,\t2\n"))->toBe([['1', '2']])
        ->and(rowsOf("a,b\n\"x, y\",\"say \"\"so\"\"\"\n"))->toBe([['x, y', 'say "so"']])
        ->and(rowsOf("a,b\nFußdruck,足\n"))->toBe([['Fußdruck', '足']])
        ->and(rowsOf("\xEF\xBB\xBFa,b\n1,2"))->toBe([['1', '2']])
        ->and(rowsOf("a,b\n\n1,2\n\n"))->toBe([['1', '2']]);
});

it('names line and column of what is wrong, in plain lines and others', function (string $text, string $why) {
    expect(fn () => rowsOf($text))->toRefuse($why);
})->with([
    ["a,b\n1\n", 't.csv, line 2, column b: 1 cells where the header has 2'],
    ["a,b\n1,2\n1,2,3\n", 't.csv, line 3, column 3: 3 cells where the header has 2'],
    ["a,b\n\"1,2\n", 't.csv, line 2'],
    ["a,b\n1,\xff\n", 't.csv, line 2, column 1: the text is not UTF-8'],
    ["a,a\n1,2\n", 't.csv, line 1, column a: the column stands in the header twice'],
    ['', 't.csv: the file is empty'],
]);

it('takes decimal numbers and nothing that only looks like one', function (string $text, ?float $value) {
    expect(RatingsCsv::decimal($text))->toBe($value);
})->with([
    ['1', 1.0],
    ['-2.5', -2.5],
    ['+3', 3.0],
    ['.5', 0.5],
    ['1e3', 1000.0],
    ['1.', 1.0],
    ['-0', -0.0],
    ['', null],
    ['1,5', null],
    ['0x1A', null],
    ['1e999', null],
    ['nan', null],
    ['inf', null],
    ['1 2', null],
    ['--1', null],
    ['1e', null],
    ['٣', null],
]);

it('refuses in a trace what is no number or no per cent', function (string $cell, string $why) {
    $s = Swing::simulated(new GolferSpec('cells', device: DeviceClass::Mat));
    $lines = explode("\n", TraceCsv::write($s->trace));
    $row = explode(',', $lines[40]);
    $row[1] = $cell;
    $lines[40] = implode(',', $row);
    expect(fn () => TraceCsv::read(stream(implode("\n", $lines)), 'swing.csv'))->toRefuse("swing.csv, line 41, column lead_pct: $why");
})->with([
    ['fifty', "'fifty' is no number"],
    ['1e999', "'1e999' is no number"],
    ['140', '140 is no per cent'],
    ['-20', '-20 is no per cent'],
    ['0x10', "'0x10' is no number"],
]);

it('puts what a person says before the side-car, and that before the file', function () {
    $s = Swing::simulated(new GolferSpec('before', device: DeviceClass::Mat));
    $csv = TraceCsv::write($s->trace);
    $car = new SideCar(
        70.0,
        Handedness::Left,
        'wedge',
        'part',
        Stance::ofWidth(400.0),
        $s->stations,
        DeviceClass::Mat,
        'studio',
    );
    $plain = RecordingReader::read(stream($csv), 's.csv', $car);
    expect($plain->trace->massKg)
        ->toBe(70.0)
        ->and($plain->trace->stance->widthMm())
        ->toBe(400.0)
        ->and($plain->facts->hand)
        ->toBe(Handedness::Left)
        ->and($plain->facts->club)
        ->toBe('wedge')
        ->and($plain->stations)
        ->not->toBeNull();
    $said = RecordingReader::read(
        stream($csv),
        's.csv',
        $car,
        new ImportSettings(massKg: 82.0, stance: Stance::ofWidth(500.0)),
    );
    expect($said->trace->massKg)
        ->toBe(82.0)
        ->and($said->trace->stance->widthMm())
        ->toBe(500.0);
    $bare = RecordingReader::read(stream($csv), 's.csv');
    expect($bare->trace->massKg)
        ->toBeNull()
        ->and($bare->trace->stance)
        ->toBeNull()
        ->and($bare->stations)
        ->toBeNull()
        ->and($bare->trace->device)
        ->toBe(DeviceClass::Mat);
});

it('says how unevenly a clock ticked', function (float $jitter) {
    $c = new Chance("jitter|$jitter");
    $text = "t_s,lead_pct,trail_pct,copx_mm,copy_mm\n";
    for ($i = 0; $i < 200; $i++) {
        $text .= sprintf("%.5f,50,50,0,0\n", $i / 100 + $jitter * ($c->uniform() - 0.5));
    }
    $trace = TraceCsv::read(stream($text), 'j.csv');
    if ($jitter === 0.0) {
        expect($trace->clockJitterS)->toBeNull();
    } else {
        expect($trace->clockJitterS)
            ->toBeGreaterThan(0.5 * $jitter)
            ->toBeLessThan(1.2 * $jitter)
            ->and($trace->rateHz)
            ->toEqualWithDelta(100.0, 4.0);
    }
})->with([0.0, 0.004, 0.009]);
