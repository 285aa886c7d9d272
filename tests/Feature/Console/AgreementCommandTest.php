<?php

use Symfony\Component\Process\Process;

/** Runs the command as another program would, without a database. @return array{int, string, string} */
function compute(string $ratings, array $options = [], ?string $key = null): array
{
    $dir = sys_get_temp_dir().'/vc-'.bin2hex(random_bytes(4));
    mkdir($dir);
    file_put_contents("$dir/ratings.csv", $ratings);
    if ($key !== null) {
        file_put_contents("$dir/key.csv", $key);
        $options[] = "--key=$dir/key.csv";
    }
    $process = new Process(
        [PHP_BINARY, '-d', 'memory_limit=64M', 'artisan', 'agreement:compute', "$dir/ratings.csv", ...$options],
        base_path(),
        ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'DB_DATABASE' => 'none'],
    );
    $process->run();
    array_map(unlink(...), glob("$dir/*"));
    rmdir($dir);

    return [$process->getExitCode(), $process->getOutput(), trim($process->getErrorOutput())];
}

function tableTwo(): string
{
    $out = "case,rater,value\n";
    foreach (
        [
            'A' => '1 2 3 3 2 1 4 1 2 . . .',
            'B' => '1 2 3 3 2 2 4 1 2 5 . 3',
            'C' => '. 3 3 3 2 3 4 2 2 5 1 .',
            'D' => '1 2 3 3 2 4 4 1 2 5 1 .',
        ] as $rater => $row
    ) {
        foreach (explode(' ', $row) as $i => $v) {
            $out .= "u$i,$rater,".($v === '.' ? '' : $v)."\n";
        }
    }

    return $out;
}

it('publishes JSON of the contract, without a database', function () {
    [$exit, $out, $error] = compute(tableTwo(), ['--format=json', '--bootstrap=200', '--seed=5']);
    $json = json_decode($out, true, 64, JSON_THROW_ON_ERROR);
    expect($exit)
        ->toBe(0)
        ->and($error)
        ->toBe('')
        ->and(array_keys($json))
        ->toBe(['scale', 'confidence', 'bootstrap', 'seed', 'items', 'pooled', 'provenance'])
        ->and($json['bootstrap'])
        ->toBe(200)
        ->and($json['seed'])
        ->toBe(5)
        ->and(array_keys($json['items'][0]))
        ->toBe([
            'item',
            'cases',
            'raters',
            'ratings',
            'categories',
            'specific_agreement',
            'coefficients',
            'pairs',
            'undefined_pairs',
            'raters_vs_rest',
            'self',
            'against_key',
        ])
        ->and($json['items'][0]['cases'])
        ->toBe(12)
        ->and($json['items'][0]['ratings'])
        ->toBe(41)
        ->and($json['items'][0]['categories'])
        ->toBe(['1', '2', '3', '4', '5'])
        ->and($json['items'][0]['coefficients']['krippendorff_alpha']['estimate'])
        ->toEqualWithDelta(0.743421, 1e-6)
        ->and($json['pooled']['coefficients']['gwet_ac1']['estimate'])
        ->toEqualWithDelta(0.775444, 1e-6)
        ->and($json['items'][0]['pairs'])
        ->toHaveCount(6);
});

it('scores raters against a key and keeps contested cases out', function () {
    $csv = "case,rater,value,confidence\n";
    $key = "case,value\n";
    for ($i = 0; $i < 30; $i++) {
        $truth = $i % 3 === 0 ? 'present' : 'absent';
        $csv .= "c$i,good,$truth,0.9\nc$i,loud,present,0.9\n";
        $key .= "c$i,".($i < 27 ? $truth : '')."\n";
    }
    [, $out] = compute($csv, ['--format=json', '--bootstrap=0', '--pairs=none'], $key);
    [$good, $loud] = json_decode($out, true)['items'][0]['against_key'];
    expect($good['n'])
        ->toBe(27)
        ->and($good['sensitivity']['estimate'])
        ->toEqual(1)
        ->and($good['brier']['estimate'])
        ->toEqualWithDelta(0.01, 1e-9)
        ->and($loud['specificity']['estimate'])
        ->toEqual(0)
        ->and($loud['criterion']['high'])
        ->toBeLessThan(0)
        ->and(json_decode($out, true)['items'][0]['pairs'])
        ->toBe([]);
});

it('prints a table and CSV for people', function () {
    [, $table] = compute(tableTwo(), ['--bootstrap=0']);
    [, $csv] = compute(tableTwo(), ['--bootstrap=0', '--format=csv']);
    expect($table)
        ->toContain('0.743421')
        ->toContain('12 cases, 4 raters, 41 ratings')
        ->and($csv)
        ->toStartWith('item,kind,figure,a,b,n,estimate')
        ->toContain('coefficient,gwet_ac1,,,12,0.775444');
});

it('answers bad input with exit code 1 and one line', function (string $csv, array $options, string $message) {
    [$exit, $out, $error] = compute($csv, $options);
    expect($exit)->toBe(1)->and($error)->toContain($message)->not->toContain("\n")->and($out)->toBe('');
})->with([
    ["case,rater\na,b\n", [], 'ratings.csv, line 1, column value: the column is missing'],
    ["case,rater,value\na,x,p\na,x,q\n", [], 'ratings.csv, line 3, column rater'],
    ['', [], 'ratings.csv: the file is empty'],
    [tableTwo(), ['--scale=odd'], "--scale is 'odd'"],
    [tableTwo(), ['--weights=linear'], '--weights has no meaning on a nominal scale'],
    [tableTwo(), ['--format=xml'], "--format is 'xml'"],
    [tableTwo(), ['--confidence=2'], 'confidence must lie between 0 and 1'],
    [tableTwo(), ['--bootstrap=many'], "--bootstrap is 'many', not a whole number"],
    [tableTwo(), ['--categories=1,2'], 'is not among the categories'],
    [tableTwo(), ['--key=/nowhere/key.csv'], 'key.csv: the file cannot be read'],
]);

it('answers hostile files with one line, in little memory', function (Closure $csv, string $message) {
    [$exit, $out, $error] = compute($csv(), ['--bootstrap=0']);
    expect($exit)
        ->toBe(1)
        ->and($error)
        ->toContain($message)
        ->not->toContain("\n")
        ->and(strlen($error))
        ->toBeLessThan(400)
        ->and($out)
        ->toBe('');
})->with([
    'a line of ten megabytes' => [
        fn () => "case,rater,value\na,x,".str_repeat('p', 10_000_000)."\n",
        'ratings.csv, line 2, column 1: the line is longer than a megabyte',
    ],
    'a header of ten megabytes' => [fn () => str_repeat('c', 10_000_000), 'the line is longer than a megabyte'],
    'a million columns' => [
        fn () => "case,rater,value\na,x".str_repeat(',p', 500_000)."\n",
        'cells where the header has 3',
    ],
    'a header of a million columns' => [
        fn () => 'case,rater,value'.str_repeat(',', 1_000_000)."\na,x,p\n",
        'more columns than any file of this kind has',
    ],
    'UTF-16' => [fn () => mb_convert_encoding("case,rater,value\na,x,p\n", 'UTF-16', 'UTF-8'), 'ratings.csv, line 1'],
    'Latin-1' => [
        fn () => "case,rater,value\nd\xE9j\xE0,x,p\n",
        'ratings.csv, line 2, column 1: the text is not UTF-8',
    ],
    'a quote never closed' => [
        fn () => "case,rater,value\na,x,\"p\nb,x,p\n",
        'ratings.csv, line 2, column 1: a quotation mark is opened and never closed',
    ],
    'a quote never closed in a large file' => [
        fn () => "case,rater,value\na,x,\"p\n".str_repeat("b,x,p\n", 300_000),
        'a quoted cell of over a megabyte',
    ],
    'a column twice' => [fn () => "case,rater,value,value\na,x,p,p\n", 'the column stands in the header twice'],
    'nothing but a header' => [fn () => "case,rater,value\n", 'there are no ratings below the header'],
    'a directory of bytes' => [fn () => random_bytes(4096), 'ratings.csv, line 1'],
]);

it('reads a byte order mark, other line ends and spaces about the cells', function () {
    [$exit, $out] = compute(
        "\xEF\xBB\xBFcase, rater ,value\r\n c1 ,a, present\r\nc1,b,present\r\n\r\nc2,a,absent\r\nc2,b,\"absent\"\r\n",
        ['--format=json', '--bootstrap=0'],
    );
    $item = json_decode($out, true)['items'][0];
    expect($exit)
        ->toBe(0)
        ->and($item['cases'])
        ->toBe(2)
        ->and($item['categories'])
        ->toBe(['absent', 'present'])
        ->and($item['coefficients']['percent_agreement']['estimate'])
        ->toEqual(1);
});

it('writes CSV that a spreadsheet takes for text, not for formulas', function () {
    [, $out] = compute(
        "case,rater,value\nc1,=cmd|' /C calc'!A0,present\nc1,@b,present\nc2,=cmd|' /C calc'!A0,absent\nc2,@b,present\n",
        ['--format=csv', '--bootstrap=0'],
    );
    $cells = array_merge(
        ...array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\n", trim($out))),
    );
    foreach ($cells as $cell) {
        expect(is_numeric($cell) || preg_match('/^[=+@\t\r|%-]/', $cell) !== 1)->toBeTrue($cell);
    }
    expect($cells)->toContain("'=cmd|' /C calc'!A0")->toContain("'@b");
});

it('gives the same figures from standard input and by two processes', function () {
    $csv = "case,item,rater,value\n";
    for ($i = 0; $i < 200; $i++) {
        $csv .=
            'c'.
            intdiv($i, 10).
            ',i'.
            $i % 2 .
            ',r'.
            $i % 5 .
            ($i % 10 < 5 ? 'a' : 'b').
            ','.
            (($i * 7 + intdiv($i, 10)) % 3 === 0 ? 'present' : 'absent').
            "\n";
    }
    $run = static function (array $options, ?string $input) use ($csv): string {
        $process = new Process(
            [
                PHP_BINARY,
                'artisan',
                'agreement:compute',
                '-',
                '--format=json',
                '--bootstrap=150',
                '--seed=3',
                ...$options,
            ],
            base_path(),
            [],
            $input ?? $csv,
        );
        $process->mustRun();

        return $process->getOutput();
    };
    [, $file] = compute($csv, ['--format=json', '--bootstrap=150', '--seed=3']);
    expect($run([], null))
        ->toBe($file)
        ->and($run(['--processes=2'], null))
        ->toBe($file)
        ->and($run(['--processes=5'], null))
        ->toBe($file)
        ->and(json_decode($file, true)['provenance']['input']['ratings_sha256'])
        ->toBe(hash('sha256', $csv));
});

it('tells an error of a process as its own', function () {
    $csv = "case,item,rater,value\na,x,r,p\na,x,s,p\na,y,r,q\na,y,s,p\n";
    [$exit, $out, $error] = compute($csv, ['--categories=p,n', '--processes=2', '--format=json']);
    expect($exit)
        ->toBe(1)
        ->and($error)
        ->toContain("the value 'q' of case 'a' and item 'y' is not among the categories")
        ->and($out)
        ->toBe('');
});

it('computes ordinal, interval and ratio scales by its schema', function (string $scale, array $options) {
    $key = "case,value\n";
    $csv = "case,rater,value,occasion\n";
    for ($i = 0; $i < 24; $i++) {
        $key .= "c$i,".(1 + $i % 5)."\n";
        foreach (['a', 'b', 'c'] as $r => $rater) {
            $csv .= "c$i,$rater,".max(1, min(5, 1 + $i % 5 + (($i + $r) % 4 === 0 ? 1 : 0))).",1\n";
        }
        $csv .= "c$i,a,".(1 + $i % 5).",2\n";
    }
    [$exit, $out] = compute($csv, ["--scale=$scale", '--format=json', '--bootstrap=80', ...$options], $key);
    $validator = new JsonSchema\Validator;
    $data = json_decode($out);
    $validator->validate($data, (object) ['$ref' => 'file://'.base_path('docs/schemas/agreement.schema.json')]);
    $item = json_decode($out, true)['items'][0];
    expect($exit)
        ->toBe(0)
        ->and($validator->getErrors())
        ->toBe([])
        ->and($item['coefficients'])
        ->toHaveKey('gwet_ac2')
        ->and($item['coefficients']['krippendorff_alpha']['estimate'])
        ->toBeGreaterThan(0.7)
        ->and($item['coefficients']['krippendorff_alpha']['method'])
        ->toBe('bca')
        ->and($item['self'][0]['n'])
        ->toBe(24);
    if ($scale !== 'ordinal') {
        expect($item['coefficients']['icc_2_1']['estimate'])
            ->toBeGreaterThan(0.7)
            ->and($item['against_key'][0]['bias']['estimate'])
            ->toBeGreaterThan(0.0)
            ->and($item['against_key'][0]['within_tolerance']['estimate'])
            ->toBeGreaterThan(0.5)
            ->and($item['coefficients']['fleiss_kappa']['reason'])
            ->toContain('for categories')
            ->and($item['pairs'][0]['lin_concordance']['estimate'])
            ->toBeGreaterThan(0.7);
    } else {
        expect($item['coefficients']['gwet_ac2']['estimate'])
            ->toBeGreaterThan(0.7)
            ->and($item['against_key'][0])
            ->toHaveKey('sensitivity');
    }
})->with([
    ['ordinal', ['--positive=5']],
    ['ordinal', ['--weights=quadratic', '--positive=5.0']],
    ['interval', ['--tolerance=0.5']],
    ['ratio', ['--tolerance=0']],
]);

it('refuses values that do not fit the scale', function (string $value, string $scale, string $message) {
    [$exit, , $error] = compute("case,rater,value\na,x,1\na,y,$value\n", ["--scale=$scale"]);
    expect($exit)
        ->toBe(1)
        ->and($error)
        ->toContain("ratings.csv, line 3, column value: $message");
})->with([
    ['much', 'interval', "'much' is no decimal number"],
    ['-2', 'ratio', "'-2' is negative"],
    ['1e999', 'ordinal', "'1e999' is no decimal number"],
    ['0x1F', 'ordinal', "'0x1F' is no decimal number"],
]);

it('works figures out twice when asked, and gives the same result', function () {
    [$exit, $out, $said] = compute(tableTwo(), ['--format=json', '--bootstrap=50', '--check']);
    [, $plain] = compute(tableTwo(), ['--format=json', '--bootstrap=50']);
    expect($exit)->toBe(0)->and($said)->toContain('20 figures worked out twice')->and($out)->toBe($plain);
});
