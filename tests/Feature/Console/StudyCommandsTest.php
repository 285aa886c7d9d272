<?php

use App\Console\ConsoleException;
use App\Console\Workers;
use Core\Simulation\CoverageStudy;
use Core\Simulation\ScaleCoverage;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;

it('keeps the methods page in step with the arithmetic', function () {
    expect(Artisan::call('docs:methods', ['--check' => true]))->toBe(0, trim(Artisan::output()));
});

it('names in the methods page only classes that are there', function () {
    preg_match_all('/`([A-Z][A-Za-z]+)`/', file_get_contents(base_path('docs/methods.md')), $m);
    foreach (array_unique($m[1]) as $class) {
        $there = array_filter(
            ['', 'Resampling\\', 'Coefficient\\', 'Profile\\', 'Study\\', '..\\Planning\\', '..\\Number\\'],
            static fn (string $room): bool => glob(
                base_path('core/Agreement/'.str_replace('\\', '/', $room)."$class.php"),
            ) !== [],
        );
        expect($there)->not->toBeEmpty($class);
    }
});

it('counts how often a ± holds and what a bench may see, into a file or onto the page', function () {
    $out = tempnam(sys_get_temp_dir(), 'unc');
    expect(Artisan::call('study:uncertainty', ['--golfers' => 1, '--times' => 1, '--processes' => 1, '--out' => $out]))
        ->toBe(0);
    $text = file_get_contents($out);
    expect($text)->toContain('core version '.Core\Version::CURRENT)->toContain('## Two plates')->toContain('*mean*');
    unlink($out);
    expect(Artisan::call('study:uncertainty', [
        '--golfers' => 1, '--times' => 1, '--processes' => 1, '--out' => '/nowhere/at/all.md',
    ]))->toBe(1);
});

it('says how far off stations are by pace and size of the swing, and what the rules make of true values', function () {
    $out = tempnam(sys_get_temp_dir(), 'sta');
    expect(Artisan::call('study:stations', ['--golfers' => 1, '--processes' => 1, '--out' => $out]))->toBe(0);
    expect(file_get_contents($out))->toContain('core version '.Core\Version::CURRENT)
        ->toContain('| club lost at the top |')->toContain('## The traces of two plates alone');
    expect(Artisan::call('study:detection', ['--golfers' => 2, '--processes' => 1, '--out' => $out]))->toBe(0);
    expect(file_get_contents($out))->toContain('core version '.Core\Version::CURRENT)
        ->toContain('## Found, by the lens “quiet centre”')->toContain('## Denied wrongly')
        ->toContain('do **not** show whether a rule agrees with coaches');
    unlink($out);
});

it('keeps the published quality in step: every mishap is found, and none makes a verdict its opposite', function () {
    $out = tempnam(sys_get_temp_dir(), 'qua');
    expect(Artisan::call('study:quality', ['--golfers' => 1, '--processes' => 1, '--out' => $out]))->toBe(0);
    $published = file_get_contents(base_path('docs/quality.md'));
    foreach ([file_get_contents($out), $published] as $text) {
        expect($text)->toContain('core version '.Core\Version::CURRENT);
        $row = '/^\| ([^|]+) \| [a-z-]+ \| (\d+) \| [0-9.]+ \| [0-9.]+ \| ([0-9.]+) \|$/m';
        preg_match_all($row, $text, $rows, PREG_SET_ORDER);
        expect(count($rows))->toBeGreaterThan(40);
    }
    foreach ($rows as [, $what, $found, $opposite]) {
        $isSound = str_starts_with($what, 'nothing');
        // One sign that heel and toe are exchanged only asks; a mat shows a lost stretch only where it moves fast.
        $least = match (true) {
            $isSound => 0,
            str_contains($what, ' s lost ') => 70,
            default => 80,
        };
        expect((int) $found)->toBeGreaterThanOrEqual($least, $what)
            ->toBeLessThanOrEqual($isSound ? 3 : 100, $what)
            ->and((float) $opposite)->toBeLessThan(str_starts_with($what, 'heel and toe') ? 25.0 : 5.0, $what);
    }
    unlink($out);
});

it('keeps the published stations in step: within their ± or flagged, whatever the pace', function () {
    $text = file_get_contents(base_path('docs/stations.md'));
    expect($text)->toContain('core version '.Core\Version::CURRENT);
    // What is told of points without a flag holds at every pace, but for one that is named.
    $from = strpos($text, '## 3-D points');
    $points = substr($text, $from, strpos($text, '## Film, face on') - $from);
    foreach (array_filter(explode("\n", $points), static fn (string $l): bool => str_starts_with($l, '| ')) as $line) {
        // The top of a chip, told to 5 ms, is off by 7.
        expect(preg_match('/\| \*\*/', $line))->toBe(str_starts_with($line, '| chip ') ? 1 : 0, $line);
    }
});

it('keeps the published detection in step: nothing observable is denied, and what is false is rare', function () {
    $text = file_get_contents(base_path('docs/detection.md'));
    expect($text)->toContain('core version '.Core\Version::CURRENT);
    $denied = substr($text, strpos($text, '## Denied wrongly'), 1_000_000);
    $denied = substr($denied, 0, strpos($denied, '## How often a verdict'));
    preg_match_all('/\| observable \| (\d+) of (\d+) \|/', $denied, $m, PREG_SET_ORDER);
    foreach ($m as [$line, $n, $of]) {
        expect((int) $n / (int) $of)->toBeLessThan(0.05, $line);
    }
    // One in a hundred of what stands clear of its threshold by its ± is on the other side at most.
    preg_match_all('/^\| observable \| \w+ \| (1|2|3)\.\d\d \| \d+ \| ([0-9.]+) \|/m', $text, $bins, PREG_SET_ORDER);
    expect(count($bins))->toBeGreaterThanOrEqual(8);
});

it('keeps the published study of uncertainty in step, and its exceptions in bold', function () {
    $text = file_get_contents(base_path('docs/uncertainty.md'));
    expect($text)->toContain('core version '.Core\Version::CURRENT)
        ->toContain('--golfers=51 --times=40')
        ->toContain('| impact_share |');
    // On average of all measures the ± holds as often as is wanted in ordinary recordings, by every instrument.
    preg_match_all('/^\| \*mean\* \| \*([0-9.]+)\* \|\s+\| \*([0-9.]+)\*/m', $text, $means, PREG_SET_ORDER);
    expect($means)->toHaveCount(5);
    foreach ($means as [, $ordinary, $harsh]) {
        expect((float) $ordinary)->toBeBetween(93.0, 97.5)->and((float) $harsh)->toBeGreaterThan(88.0);
    }
});

it('keeps the published coverage in step with the core it speaks of, and its exceptions named', function () {
    $text = file_get_contents(base_path('docs/coverage.md'));
    expect($text)
        ->toContain('core '.Core\Version::AGREEMENT)
        ->toContain('rate 2,000 simulated studies')
        ->toContain('## Outside 93–97 %');
    // Every count-based coefficient, analytic or resampled, holds everywhere.
    $outside = substr($text, strpos($text, '## Outside'));
    foreach (
        [
            'percent_agreement',
            'fleiss_kappa',
            'gwet_ac',
            'brennan_prediger',
            'krippendorff_alpha',
            'conger_kappa',
            'light_kappa',
            'fleiss_kappa, weighted',
            'gwet_ac, weighted',
            'krippendorff_alpha, ordinal',
            'krippendorff_alpha, interval',
            'icc_1_1',
            'icc_3_1',
            'lin_concordance',
            'spearman',
            'kendall_w',
        ] as $name
    ) {
        expect($text)
            ->toContain("| $name |")
            ->and($outside)
            ->not->toContain("**$name**");
    }
});

it('measures how often intervals hold', function () {
    $study = new CoverageStudy(0.4);
    $truth = $study->truth(100_000);
    $run = $study->run($truth, 60, 150);
    foreach (['percent_agreement', 'gwet_ac', 'fleiss_kappa', 'conger_kappa', 'light_kappa', 'sensitivity'] as $name) {
        expect($run[$name]['covered'])
            ->toBeGreaterThan(0.88)
            ->and($run[$name]['below'] + $run[$name]['above'] + $run[$name]['covered'])
            ->toEqualWithDelta(1.0, 1e-9);
    }
    expect($truth['gwet_ac'])
        ->toEqualWithDelta($study->truth(50_000)['gwet_ac'], 0.02)
        ->and($run['d_prime']['truth'])
        ->toBeGreaterThan(1.0);
});

it('writes the coverage study to a file', function () {
    $file = tempnam(sys_get_temp_dir(), 'vc');
    Artisan::call('study:coverage', [
        '--studies' => 10,
        '--cases' => '12',
        '--prevalence' => '0.5',
        '--bootstrap' => 20,
        '--rounds' => 'none',
        '--truth' => many(20_000, 1_000_000),
        '--out' => $file,
    ]);
    expect(file_get_contents($file))
        ->toContain('## 0.5 of cases with the fault, 12 cases')
        ->toContain('| gwet_ac |')
        ->toContain('±13.5 %');
    expect(file_get_contents($file))
        ->toContain('## Four ranks, even, 12 cases')
        ->toContain('| krippendorff_alpha, ordinal |')
        ->toContain('| icc_2_1 |')
        ->toContain('| variance of raters | ');
    unlink($file);
})->group('study');

it('measures how often intervals on ranks and numbers hold', function (?array $steps, array $names) {
    $study = new ScaleCoverage($steps);
    $truth = $study->truth(50_000);
    $run = $study->run($truth, 60, 150, 100);
    expect(array_keys($run))->toContain(...$names);
    foreach ($names as $name) {
        expect($run[$name]['without'])
            ->toBe(0)
            ->and($run[$name]['covered'])
            ->toBeGreaterThan(0.86, $name)
            ->and($run[$name]['width'])
            ->toBeGreaterThan(0.0);
    }
    // Twice the cases, a narrower interval.
    $more = $study->run($truth, 120, 40);
    expect($more[$names[0]]['width'])->toBeLessThan($run[$names[0]]['width']);
})->with([
    'ranks' => [
        ScaleCoverage::STEPS['even'],
        [
            'krippendorff_alpha, ordinal',
            'gwet_ac, weighted',
            'conger_kappa, weighted',
            'light_kappa, weighted',
            'cohen_kappa of a pair, weighted',
        ],
    ],
    'numbers' => [
        null,
        [
            'krippendorff_alpha, interval',
            'icc_1_1',
            'icc_3_k',
            'lin_concordance',
            'kendall_w',
            'spearman',
            'variance of cases',
        ],
    ],
]);

it('shares work among processes and gives the results in order', function (int $processes) {
    $results = iterator_to_array(
        Workers::map($processes, array_fill(0, 9, 1.0), static fn (int $i): string => str_repeat((string) $i, 100_000)),
    );
    expect(array_keys($results))
        ->toBe(range(0, 8))
        ->and(array_map(static fn (string $t): string => $t[0], $results))
        ->toBe(array_map(strval(...), range(0, 8)))
        ->and(strlen($results[8]))
        ->toBe(100_000);
})->with([1, 2, 4, 20]);

it('waits for a process that thinks for longer than sockets are used to wait', function () {
    $kept = ini_set('default_socket_timeout', '1');
    $slow = static function (int $i): string {
        usleep(1_300_000);

        return "done $i";
    };
    expect(iterator_to_array(Workers::map(2, [1.0, 1.0], $slow)))->toBe(['done 0', 'done 1']);
    ini_set('default_socket_timeout', (string) $kept);
});

it('hands on what a process threw, and its end', function () {
    $task = static fn (int $i): string => $i === 2 ? throw ConsoleException::because('width') : 'done';
    expect(fn () => iterator_to_array(Workers::map(3, array_fill(0, 5, 1.0), $task)))
        ->toRefuse('--width must be above 0');
    $dies = static function (int $i): string {
        if ($i === 1) {
            posix_kill((int) getmypid(), SIGKILL);
        }

        return 'done';
    };
    expect(fn () => iterator_to_array(Workers::map(2, array_fill(0, 3, 1.0), $dies)))
        ->toRefuse('a process ended before its work was done');
});

it('turns the JIT on for itself where the installation has it off', function () {
    $script = 'echo json_encode((bool) (opcache_get_status(false)["jit"]["on"] ?? false));';
    $file = tempnam(sys_get_temp_dir(), 'vc');
    file_put_contents($file, "<?php require '".base_path('bootstrap/jit.php')."'; $script");
    $run = static fn (array $env): string => (new Process(
        [PHP_BINARY, '-d', 'opcache.enable_cli=0', '-d', 'opcache.jit_buffer_size=0', $file],
        null,
        ['VC_JIT' => false, ...$env],
    ))
        ->mustRun()
        ->getOutput();
    expect($run([]))->toBe('true')->and($run(['VC_JIT' => '0']))->toBe('false');
    unlink($file);
})->skip(! extension_loaded('Zend OPcache') || ! function_exists('pcntl_exec'), 'needs opcache and pcntl');
