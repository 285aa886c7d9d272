<?php

use Core\Format\CsvTable;
use Core\Format\CsvWriter;

it('quotes what needs it and leaves numbers as they are', function (array $cells, string $line) {
    expect(CsvWriter::row($cells))->toBe($line."\n");
})->with([
    [['a', 1, -2.5, null, true], 'a,1,-2.5,,true'],
    [['a,b', 'say "x"', "two\nlines", ' edge '], '"a,b","say ""x""","two'."\n".'lines"," edge "'],
    [[0.1, 1e-12, 1.0, NAN, INF], '0.1,1.0e-12,1,,'],
    [['-0.5', '1e3', '+7'], '-0.5,1e3,+7'],
]);

it('begins with an apostrophe what a spreadsheet would take for a formula', function (string $text) {
    $cell = str_getcsv(trim(CsvWriter::row([$text]), "\n"), ',', '"', '')[0];
    expect($cell)->toBe("'".$text);
})->with(['=1+1', '+cmd', '-x', '@sum', "\t=1", '=HYPERLINK("http://x","y")', '|calc', '%0A', ' =1']);

it('writes what the reader reads back', function () {
    $rows = [
        ['case', 'text'],
        ['c1', 'plain'],
        ['c2', 'with, comma'],
        ['c3', "with \"quotes\" and\nlines"],
        ['c4', 'ümlaut – dash'],
    ];
    $table = new CsvTable(stream(implode('', array_map(CsvWriter::row(...), $rows))), 'x.csv');
    expect(array_values(iterator_to_array($table->rows())))->toBe(array_slice($rows, 1));
});

/** Cells by line of a text read as it is and with the plain way shut by one quoted line at its end. */
it('reads plain blocks as it reads others, line by line', function (string $body) {
    $plain = iterator_to_array((new CsvTable(stream("a,b\n".$body), 'x.csv'))->rows());
    $quoted = iterator_to_array((new CsvTable(stream("a,b\n".$body."\n\"q\",\"q\"\n"), 'x.csv'))->rows());
    array_pop($quoted);
    expect($plain)->toBe($quoted);
})->with([
    'unix' => "1,2\n3,4\n\n5,6\n",
    'windows' => "1,2\r\n3,4\r\n\r\n5,6\r\n",
    'no end' => "1,2\n3,4",
    'spaces inside' => "one two,three\nfour,five six\n",
    'spaces about' => " 1 ,2\n3,\t4\n",
    'empty cells' => ",\n1,\n,2\n",
    'letters beyond ASCII' => "é,ü\nß,–\n",
    'over many blocks' => str_repeat("abc,defg\n", 40_000),
    'over many blocks, windows' => str_repeat("abc,defg\r\n", 40_000),
]);

it('says the line of a fault wherever it stands', function (int $before, string $kind) {
    $body = str_repeat($kind, $before);
    $read = fn () => iterator_to_array((new CsvTable(stream("a,b\n".$body."1,2,3\n"), 'x.csv'))->rows());
    expect($read)->toRefuse('x.csv, line '.($before + 2).', column 3: 3 cells where the header has 2');
})->with([
    [0, "1,2\n"],
    [1, "1,2\n"],
    [30_000, "1,2\n"],
    [30_000, "1,2\r\n"],
    [12_345, "\"1\",2\n"],
    [20_000, "a b,c\n"],
]);

it('knows the checksum of what it read', function () {
    $text = "a,b\n".str_repeat("1,2\n", 50_000);
    $table = new CsvTable(stream($text), 'x.csv');
    foreach ($table->rows() as $_) {
    }
    expect($table->checksum())->toBe(hash('sha256', $text));
});
