<?php

use JsonSchema\Validator;
use Symfony\Component\Process\Process;

/** @return array{int, string, string} */
function plan(array $options, ?string $input = null): array
{
    $process = new Process(
        [PHP_BINARY, 'artisan', 'agreement:plan', ...$options],
        base_path(),
        ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'DB_DATABASE' => 'none'],
        $input,
    );
    $process->run();

    return [$process->getExitCode(), $process->getOutput(), trim($process->getErrorOutput())];
}

it('says how many cases are needed and how wide intervals will be, by its schema', function () {
    [$exit, $out, $error] = plan(['--format=json', '--simulations=60', '--cases=12,30', '--width=0.3', '--raters=5']);
    $validator = new Validator;
    $data = json_decode($out);
    $validator->validate($data, (object) ['$ref' => 'file://'.base_path('docs/schemas/plan.schema.json')]);
    expect($exit)
        ->toBe(0)
        ->and($error)
        ->toBe('')
        ->and($validator->getErrors())
        ->toBe([])
        ->and(array_map(static fn ($e) => $e->cases, $data->expected))
        ->toBe([12, 30])
        ->and($data->expected[0]->mean_width)
        ->toBeGreaterThan($data->expected[1]->mean_width)
        ->and($data->cases_needed->formula)
        ->toBeGreaterThan(20)
        ->and($data->assumptions->from)
        ->toBe('options');
});

it('takes what is to be expected from a pilot on standard input', function () {
    $csv = "case,rater,value\n";
    for ($i = 0; $i < 20; $i++) {
        foreach (['a', 'b', 'c'] as $r => $rater) {
            $csv .= "c$i,$rater,".(($i % 4 === 0) !== (($i + $r) % 11 === 0) ? 'present' : 'absent')."\n";
        }
    }
    [$exit, $out] = plan(['-', '--format=json', '--simulations=20', '--cases=20'], $csv);
    $a = json_decode($out)->assumptions;
    expect($exit)
        ->toBe(0)
        ->and($a->from)
        ->toBe('pilot and options')
        ->and($a->raters)
        ->toBe(3)
        ->and($a->agreement)
        ->toBeGreaterThan(0.7)
        ->toBeLessThan(0.95)
        ->and($a->prevalence)
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.4);
});

it('prints a table and CSV for people', function () {
    [, $table] = plan(['--simulations=20', '--cases=20']);
    [, $csv] = plan(['--simulations=20', '--cases=20', '--format=csv']);
    expect($table)
        ->toContain('cases by formula')
        ->toContain('gwet_ac1, expected 0.635')
        ->and($csv)
        ->toStartWith('cases,formula_width,mean_width');
});

it('answers bad input with exit code 1 and one line', function (
    array $options,
    string $message,
    ?string $input = null,
) {
    [$exit, $out, $error] = plan($options, $input);
    expect($exit)->toBe(1)->and($error)->toContain($message)->not->toContain("\n")->and($out)->toBe('');
})->with([
    [['--coefficient=luck'], "--coefficient is 'luck'"],
    [['--prevalence=2'], 'prevalence must lie between 0 and 1'],
    [['--width=0'], '--width must be above 0'],
    [['--cases=1'], "--cases has '1'"],
    [['--simulations=3'], '--simulations must be 10 to 100000'],
    [['/nowhere.csv'], 'nowhere.csv: the file cannot be read'],
    [['-'], 'standard input', "case,rater,value\na,x,1\na,y,2\na,z,3\n"],
]);

it('plans for golfers who bring several swings, and for a rise that should be found', function () {
    [$code, $out] = ran([
        'bin/vc', 'agreement:plan', '--swings=3', '--alike=0.5', '--difference=0.1', '--cases=30,60',
        '--simulations=40', '--format=json',
    ]);
    $data = json_decode($out);
    $validator = new JsonSchema\Validator;
    $validator->validate($data, (object) ['$ref' => 'file://'.base_path('docs/schemas/plan.schema.json')]);
    expect($code)->toBe(0)
        ->and(array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors()))
        ->toBe([])
        ->and($data->power[1]->golfers)->toBe(20)
        ->and($data->expected[0]->formula_reliable)->toBeBool()
        ->and($data->assumptions->swings)->toBe(3);
    $table = ran(['bin/vc', 'agreement:plan', '--difference=0.1', '--cases=30', '--simulations=20'])[1];
    expect($table)->toContain('a second round of the same 30 cases');
});
