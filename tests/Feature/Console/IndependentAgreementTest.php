<?php

use Core\Chance\Chance;
use Symfony\Component\Process\Process;

/**
 * Rounds of every shape: golfers few or many, one fault or four, rare or common, calls missing, said twice, not told.
 *
 * @return array{string, string} ratings.csv and key.csv
 */
function anyRound(string $seed, bool $votes): array
{
    $c = new Chance($seed);
    $of = static fn (array $list): mixed => $list[$c->between(0, count($list) - 1)];
    [$golfers, $items, $readers] = $votes ? [40, 3, 4] : [$of([2, 3, 5, 8, 14, 30]), $of([1, 1, 2, 4]), $of([2, 3, 4,
        5, 9])];
    [$rate, $missing, $unsure] = [$of([0.03, 0.1, 0.4, 0.9]), $of([0.0, 0.1, 0.5]), $of([0.0, 0.15])];
    $clusters = $votes || $c->uniform() < 0.7;
    $ratings = "case,item,rater,value,occasion,confidence,cluster\n";
    $key = $votes ? "case,item,value,present,absent,cannot_tell,cluster\n" : "case,item,value\n";
    for ($g = 0; $g < $golfers; $g++) {
        for ($s = 0, $n = $c->between(1, $votes ? 5 : 4); $s < $n; $s++) {
            for ($i = 0; $i < $items; $i++) {
                $true = $c->uniform() < $rate;
                if ($votes) {
                    $p = 0;
                    for ($r = 0; $r < 5; $r++) {
                        $p += $c->uniform() < ($true ? 0.85 : 0.1) ? 1 : 0;
                    }
                    $label = $p >= 4 ? 'present' : ($p <= 1 ? 'absent' : '');
                    $key .= "g$g-$s,i$i,".($c->uniform() < 0.1
                        ? ($true ? 'present' : 'absent').',,,,'
                        : "$label,$p,".(5 - $p).',0,')."g$g\n";
                } else {
                    $key .= "g$g-$s,i$i,".($true ? 'present' : 'absent')."\n";
                }
                for ($r = 0; $r < $readers; $r++) {
                    foreach ($s === 0 && $r < 2 ? [1, 2] : [1] as $occasion) {
                        $called = $c->uniform() < 0.9 ? $true : $c->uniform() < 0.5;
                        $said = $c->uniform() < $unsure ? 'cannot_tell' : ($called ? 'present' : 'absent');
                        $sure = sprintf('%.2F', 0.5 + 0.5 * $c->uniform());
                        if ($c->uniform() >= $missing) {
                            $ratings .= "g$g-$s,i$i,r$r,$said,$occasion,$sure,".($clusters ? "g$g" : '')."\n";
                        }
                    }
                }
            }
        }
    }

    return [$ratings, $key];
}

it('agrees to 1e-9 with what numpy makes of the same files from the formulas alone', function (bool $votes) {
    $folder = sys_get_temp_dir().'/independent-'.bin2hex(random_bytes(6));
    mkdir($folder);
    $same = 0;
    for ($i = 0; $i < many($votes ? 1 : 8, $votes ? 6 : 120); $i++) {
        [$ratings, $key] = anyRound(($votes ? 'votes' : 'plain').$i, $votes);
        file_put_contents("$folder/ratings.csv", $ratings);
        file_put_contents("$folder/key.csv", $key);
        [$code, $out, $error] = ran([
            'bin/vc', 'agreement:compute', "$folder/ratings.csv", "--key=$folder/key.csv",
            '--categories=absent,present',
            '--cannot-tell=cannot_tell', '--field-prevalence=0.1', '--bootstrap='.($votes ? 40 : 0), "--seed=$i",
            '--format=json',
        ]);
        expect($code)->toBe(0, $error);
        file_put_contents("$folder/result.json", $out);
        // Debian's own, which has Debian's numpy.
        $python = new Process([
            '/usr/bin/python3', base_path('tests/independent/agreement.py'), "$folder/ratings.csv", "$folder/key.csv",
            "$folder/result.json",
        ], timeout: 300);
        $python->run();
        expect("round $i: ".$python->getOutput().$python->getErrorOutput())->toEndWith(", 0 not\n");
        preg_match('/(\d+) figures the same/', $python->getOutput(), $found);
        $same += (int) ($found[1] ?? 0);
    }
    array_map(unlink(...), glob("$folder/*") ?: []);
    rmdir($folder);
    expect($same)->toBeGreaterThan(many($votes ? 500 : 1500, $votes ? 3000 : 20_000));
})->with(['rounds of every shape' => [false], 'a panel\'s votes' => [true]])->group('study');
