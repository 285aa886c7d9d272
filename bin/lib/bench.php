<?php

declare(strict_types=1);

// Medians over repeated runs in one process, after one run to warm the JIT.

use Core\Codebook\Codebook;
use Core\Format\TraceCsv;
use Core\Measurement\Evidence;
use Core\Measurement\Meter;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;

require dirname(__DIR__, 2).'/vendor/autoload.php';

function median(int $times, callable $run): float
{
    $run();
    $taken = [];
    for ($i = 0; $i < $times; $i++) {
        $from = hrtime(true);
        $run();
        $taken[] = (hrtime(true) - $from) / 1e6;
    }
    sort($taken);

    return $taken[intdiv($times, 2)];
}

preg_match('/^model name\s*:\s*(.+)$/m', (string) @file_get_contents('/proc/cpuinfo'), $cpu);
$jit = function_exists('opcache_get_status') ? (opcache_get_status(false)['jit']['on'] ?? false) : false;
printf("PHP %s, JIT %s, %s\n\n", PHP_VERSION, $jit ? 'on' : 'off', trim($cpu[1] ?? 'unknown processor'));

if (($argv[1] ?? '') !== 'agreement') {
    $swing = Swing::simulated(new GolferSpec('bench'));
    $csv = TraceCsv::write($swing->trace);
    $motion = $swing->motion();
    $codebook = Codebook::standard();
    $stream = static function () use ($csv) {
        $s = fopen('php://temp', 'r+b');
        fwrite($s, $csv);
        rewind($s);

        return $s;
    };
    printf(
        "%-74s %9.1f ms\n",
        'simulate one swing, 1000 Hz, 12 channels',
        median(15, static fn () => Swing::simulated(new GolferSpec('bench'))),
    );
    printf(
        "%-74s %9.1f ms\n",
        sprintf('read its CSV (%d samples)', $swing->trace->samples()),
        median(15, static fn () => TraceCsv::read($stream(), 'bench.csv')),
    );
    printf(
        "%-74s %9.1f ms\n",
        'measure it and judge every fault, body points included',
        median(15, static function () use ($swing, $motion, $codebook): void {
            $m = Meter::read(new Evidence($swing->stations, $swing->trace, $motion, $swing->stance));
            foreach ($codebook->faults as $fault) {
                $fault->judge($m);
            }
        }),
    );

    // A long take: five seconds of twelve channels, from file to verdicts.
    $long = array_map(static function (array $v): array {
        while (count($v) < 5001) {
            array_push($v, ...array_slice($v, -500));
        }

        return array_slice($v, 0, 5001);
    }, $swing->trace->channels);
    $take = TraceCsv::write(new Core\Trace\Trace($swing->trace->device, 1000.0, $long, $swing->stance, 78.0));
    $whole = static function () use ($take, $swing, $codebook): void {
        $s = fopen('php://memory', 'r+b');
        fwrite($s, $take);
        rewind($s);
        $trace = TraceCsv::read($s, 'take.csv', null, $swing->stance, 78.0);
        (new Core\Codebook\SwingReport(new Evidence($swing->stations, $trace, null, $swing->stance)))->faults(
            $codebook,
        );
    };
    printf(
        "%-74s %9.1f ms\n",
        'a 5 s, 12-channel, 1000 Hz take: parsed, checked, measured and judged',
        median(15, $whole),
    );
}

require __DIR__.'/bench-agreement.php';
printf("\npeak memory %.0f MB\n", memory_get_peak_usage(true) / 1048576);
