<?php

use Core\Chance\Chance;

/** A round's CSV: golfers' swings and readers who are right so often. */
function roundCsv(string $seed, float $skill, string $of = 'g', int $golfers = 8): string
{
    $c = new Chance($seed);
    $csv = "case,item,rater,value,cluster\n";
    for ($g = 0; $g < $golfers; $g++) {
        for ($s = 0; $s < 3; $s++) {
            $true = ($g + $s) % 3 === 0;
            foreach (['r1', 'r2', 'r3', 'r4', 'r5'] as $rater) {
                $called = $c->uniform() < 0.1 ? 'cannot_tell' : ($c->uniform() < $skill === $true ? 'present'
                    : 'absent');
                $csv .= "$of$g-$s,sway,$rater,$called,$of$g\n";
            }
        }
    }

    return $csv;
}

function keyCsv(int $golfers = 8): string
{
    $csv = "case,value\n";
    for ($g = 0; $g < $golfers; $g++) {
        for ($s = 0; $s < 3; $s++) {
            $csv .= "g$g-$s,".(($g + $s) % 3 === 0 ? 'present' : 'absent')."\n";
        }
    }

    return $csv;
}

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/compare-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
    $this->file = function (string $name, string $text): string {
        file_put_contents("$this->folder/$name", $text);

        return "$this->folder/$name";
    };
});

afterEach(function () {
    array_map(unlink(...), glob("$this->folder/*") ?: []);
    rmdir($this->folder);
});

it('compares two rounds from files, by its schema', function () {
    $before = ($this->file)('before.csv', roundCsv('before', 0.65));
    $after = ($this->file)('after.csv', roundCsv('after', 0.95));
    $key = ($this->file)('key.csv', keyCsv());
    [$code, $out] = ran([
        'bin/vc', 'agreement:compare', $before, $after, "--key=$key", '--cannot-tell=cannot_tell', '--bootstrap=100',
        '--format=json',
    ]);
    $data = json_decode($out);
    $validator = new JsonSchema\Validator;
    $validator->validate($data, (object) ['$ref' => 'file://'.base_path('docs/schemas/compare.schema.json')]);
    expect($code)->toBe(0)
        ->and(array_map(static fn (array $e): string => $e['property'].': '.$e['message'], $validator->getErrors()))
        ->toBe([])
        ->and($data->anchors)->toBe(24)
        ->and($data->clusters)->toBe(8)
        ->and($data->coefficients->gwet_ac1->difference->estimate)->toBeGreaterThan(0.2)
        ->and($data->coefficients->gwet_ac1->difference->new_raters->p)->toBeLessThan(0.2)
        ->and($data->coefficients->gwet_ac1->p)->toBeLessThan(0.05)
        ->and($data->right)->toHaveCount(5)
        ->and($data->caution)->toContain('practice and memory cannot be told apart');
    // The same bytes from the whole application.
    [, $whole] = ran([
        PHP_BINARY, 'artisan', 'agreement:compare', $before, $after, "--key=$key", '--cannot-tell=cannot_tell',
        '--bootstrap=100', '--format=json',
    ]);
    expect($whole)->toBe($out);
});

it('tells it in a table too', function () {
    $before = ($this->file)('before.csv', roundCsv('before', 0.65));
    $after = ($this->file)('after.csv', roundCsv('after', 0.95));
    [$code, $out] = ran(['bin/vc', 'agreement:compare', $before, $after, '--bootstrap=50']);
    expect($code)->toBe(0)->and($out)->toContain('24 cases of 8 golfers or clusters, 5 readers, judged in both')
        ->toContain('gwet_ac1')->toContain('on present')->toContain('readers like these');
});

it('says that different cases tell nothing of change', function () {
    $before = ($this->file)('before.csv', roundCsv('before', 0.65));
    $after = ($this->file)('after.csv', roundCsv('after', 0.95, 'other'));
    foreach ([[], ['--format=json']] as $format) {
        [$code, $out] = ran(['bin/vc', 'agreement:compare', $before, $after, ...$format]);
        expect($code)->toBe(0)->and($out)->toContain('different cases: difficulty and change cannot be told apart')
            ->not->toContain('coefficients');
    }
});

it('says in one line what is wrong with a file', function (string $before, string $says) {
    $one = ($this->file)('before.csv', $before);
    $two = ($this->file)('after.csv', roundCsv('after', 0.9));
    [$code, $out, $error] = ran(['bin/vc', 'agreement:compare', $one, $two]);
    expect($code)->toBe(1)->and($out)->toBe('')->and($error)->toContain($says)->not->toContain("\n");
})->with([
    'no value' => ["case,rater\nc,a\n", 'before.csv'],
    'a case of two golfers' => ["case,rater,value,cluster\nc,a,p,x\nc,b,p,y\n", "cannot be in 'y' too"],
]);

it('reads golfers, votes and probabilities of both files, and says what is wrong with them', function (string $key,
    string $says) {
    $ratings = ($this->file)('ratings.csv', roundCsv('key', 0.8));
    $file = ($this->file)('key.csv', $key);
    [$code, , $error] = ran(['bin/vc', 'agreement:compute', $ratings, "--key=$file", '--bootstrap=0']);
    expect($code)->toBe($says === '' ? 0 : 1)->and($error)->toContain($says);
})->with([
    'votes' => ["case,value,present,absent,cannot_tell\ng0-0,present,5,0,0\ng0-1,,3,2,0\ng0-2,absent,,,\n", ''],
    'probabilities' => ["case,value,weight\ng0-0,present,0.9\ng0-1,,0.5\n", ''],
    'half a vote' => ["case,value,present,absent\ng0-0,present,2.5,0\n", 'line 2'],
    'above one' => ["case,value,weight\ng0-0,present,1.5\n", 'no number between 0 and 1'],
    'another golfer' => ["case,value,cluster\ng0-0,present,someone\n", "in cluster 'g0' already"],
]);

it('tells predictive values elsewhere, and refuses a prevalence that is none', function () {
    $ratings = ($this->file)('ratings.csv', roundCsv('field', 0.8));
    $key = ($this->file)('key.csv', keyCsv());
    [$code, $out] = ran(['bin/vc', 'agreement:compute', $ratings, "--key=$key", '--field-prevalence=0.1',
        '--bootstrap=0', '--format=json']);
    $row = json_decode($out)->pooled->against_key[0];
    $s = $row->sensitivity->estimate;
    $c = $row->specificity->estimate;
    expect($code)->toBe(0)->and($row->ppv_field->estimate)->toEqualWithDelta(0.1 * $s / (0.1 * $s + 0.9 * (1 - $c)),
        1e-12)
        ->and(ran(['bin/vc', 'agreement:compute', $ratings, '--field-prevalence=0'])[0])->toBe(1)
        ->and(ran(['bin/vc', 'agreement:compute', $ratings, '--field-prevalence=x'])[2])
        ->toContain('--field-prevalence');
});
