<?php

use Symfony\Component\Process\Process;

it('computes from files with a light kernel what the whole application computes', function (array $environment) {
    $ratings = "case,item,rater,value\n";
    foreach (range(1, 12) as $c) {
        foreach (['a', 'b', 'c'] as $i => $rater) {
            $ratings .= "c$c,sway,$rater,".(($c * 7 + $i) % 3 === 0 ? 'present' : 'absent')."\n";
        }
    }
    foreach ([['agreement:compute', '--bootstrap=50'], ['agreement:plan', '--simulations=100']] as [$name, $option]) {
        $arguments = [$name, '-', $option, '--format=json'];
        $light = ran(['bin/vc', ...$arguments], $environment, $ratings);
        expect($light)->toBe(ran([PHP_BINARY, 'artisan', ...$arguments], [], $ratings))->and($light[0])->toBe(0);
    }
})->with(['as installed' => [['VC_JIT' => '0']], 'with machine code' => [[]]]);

it('says what is wrong with a file as the whole application does, from any directory', function () {
    $bad = "case,rater\nc1,a\n";
    $light = ran(['bin/vc', 'agreement:compute', '-'], [], $bad);
    expect($light)->toBe(ran([PHP_BINARY, 'artisan', 'agreement:compute', '-'], [], $bad))
        ->and($light[0])->toBe(1)
        ->and($light[1])->toBe('')
        ->and($light[2])->toContain('value');
    $measure = ran(['bin/vc', 'trace:measure', 'nothing.csv']);
    expect($measure[0])->toBe(1)->and($measure[2])->toBe(ran([PHP_BINARY, 'artisan', 'trace:measure',
        'nothing.csv'])[2]);
    $away = new Process([base_path('bin/vc'), 'list'], sys_get_temp_dir());
    expect($away->mustRun()->getOutput())->toContain('trace:measure')->toContain('agreement:plan');
});
