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
    $process = new Process([PHP_BINARY, 'artisan', 'agreement:compute', "$dir/ratings.csv", ...$options], base_path(), ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'DB_DATABASE' => 'none']);
    $process->run();
    array_map(unlink(...), glob("$dir/*"));
    rmdir($dir);

    return [$process->getExitCode(), $process->getOutput(), trim($process->getErrorOutput())];
}

function tableTwo(): string
{
    $out = "case,rater,value\n";
    foreach (['A' => '1 2 3 3 2 1 4 1 2 . . .', 'B' => '1 2 3 3 2 2 4 1 2 5 . 3', 'C' => '. 3 3 3 2 3 4 2 2 5 1 .', 'D' => '1 2 3 3 2 4 4 1 2 5 1 .'] as $rater => $row) {
        foreach (explode(' ', $row) as $i => $v) {
            $out .= "u$i,$rater,".($v === '.' ? '' : $v)."\n";
        }
    }

    return $out;
}

it('publishes JSON of the contract, without a database', function () {
    [$exit, $out, $error] = compute(tableTwo(), ['--format=json', '--bootstrap=200', '--seed=5']);
    $json = json_decode($out, true, 64, JSON_THROW_ON_ERROR);
    expect($exit)->toBe(0)->and($error)->toBe('')->and(array_keys($json))->toBe(['scale', 'confidence', 'bootstrap', 'seed', 'items', 'pooled'])
        ->and($json['bootstrap'])->toBe(200)->and($json['seed'])->toBe(5)
        ->and(array_keys($json['items'][0]))->toBe(['item', 'cases', 'raters', 'ratings', 'categories', 'specific_agreement', 'coefficients', 'pairs', 'raters_vs_rest', 'self', 'against_key'])
        ->and($json['items'][0]['cases'])->toBe(12)->and($json['items'][0]['ratings'])->toBe(41)->and($json['items'][0]['categories'])->toBe(['1', '2', '3', '4', '5'])
        ->and($json['items'][0]['coefficients']['krippendorff_alpha']['estimate'])->toEqualWithDelta(0.743421, 1e-6)
        ->and($json['items'][0]['coefficients']['light_kappa'])->toBe(['estimate' => null, 'reason' => 'not yet'])
        ->and($json['pooled']['coefficients']['gwet_ac1']['estimate'])->toEqualWithDelta(0.775444, 1e-6)
        ->and($json['items'][0]['pairs'])->toHaveCount(6);
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
    expect($good['n'])->toBe(27)->and($good['sensitivity']['estimate'])->toEqual(1)->and($good['brier']['estimate'])->toEqualWithDelta(0.01, 1e-9)
        ->and($loud['specificity']['estimate'])->toEqual(0)->and($loud['criterion']['high'])->toBeLessThan(0)->and(json_decode($out, true)['items'][0]['pairs'])->toBe([]);
});

it('prints a table and CSV for people', function () {
    [, $table] = compute(tableTwo(), ['--bootstrap=0']);
    [, $csv] = compute(tableTwo(), ['--bootstrap=0', '--format=csv']);
    expect($table)->toContain('0.743421')->toContain('12 cases, 4 raters, 41 ratings')->and($csv)->toStartWith('item,coefficient,estimate')->toContain('gwet_ac1,0.775444');
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
    [tableTwo(), ['--categories=1,2'], 'is not among --categories'],
    [tableTwo(), ['--key=/nowhere/key.csv'], 'key.csv: the file cannot be read'],
]);
