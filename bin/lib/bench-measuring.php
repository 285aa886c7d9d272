<?php

declare(strict_types=1);

// A take of five seconds, twelve channels, a thousand samples a second: parsed, checked, measured and judged. Processor
// time in one process, medians after a first run. With a folder named, the take is left there for the peer.

use Core\Codebook\Codebook;
use Core\Codebook\Shown;
use Core\Codebook\SwingReport;
use Core\Format\TraceCsv;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Meter;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\Trace;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** @return float ms of processor time */
function spent(callable $run, int $times = 15): float
{
    $now = static function (): float {
        $u = getrusage();

        return 1e3 * ($u['ru_utime.tv_sec'] + $u['ru_stime.tv_sec'])
            + ($u['ru_utime.tv_usec'] + $u['ru_stime.tv_usec']) / 1e3;
    };
    // The JIT takes a few runs to know what is hot.
    for ($i = 0; $i < 4; $i++) {
        $run();
    }
    $taken = [];
    for ($i = 0; $i < $times; $i++) {
        $from = $now();
        $run();
        $taken[] = $now() - $from;
    }
    sort($taken);

    return $taken[intdiv($times, 2)];
}

$swing = Swing::simulated(new GolferSpec('bench'));
$codebook = Codebook::standard();
$long = array_map(static function (array $v): array {
    while (count($v) < 5001) {
        array_push($v, ...array_slice($v, -500));
    }

    return array_slice($v, 0, 5001);
}, $swing->trace->channels);
$take = TraceCsv::write(new Trace($swing->trace->device, 1000.0, $long, $swing->stance, 78.0));
if (isset($argv[1])) {
    file_put_contents("$argv[1]/take.csv", $take);
    file_put_contents("$argv[1]/stations.json", json_encode(array_map(
        static fn ($t): float => $t->t,
        $swing->stations->all(),
    )));
}
$read = static function () use ($take, $swing): Evidence {
    $s = fopen('php://memory', 'r+b');
    fwrite($s, $take);
    rewind($s);

    $trace = TraceCsv::read($s, 'take.csv', null, $swing->stance, 78.0);

    return new Evidence($swing->stations, $trace, null, $swing->stance);
};
$plain = spent(static function () use ($read, $codebook): void {
    $evidence = $read();
    $findings = Assessment::findingsOf($evidence);
    $measured = Meter::read($evidence, false)->limitedBy($findings);
    $shown = Shown::fromEvidence($evidence, $findings);
    $scale = $codebook->scale($evidence->stations);
    foreach ($codebook->keys() as $key) {
        $codebook->judge($key, $measured, $shown, $scale);
    }
});
$replayed = spent(static function () use ($read, $codebook): void {
    (new SwingReport($read()))->faults($codebook);
});
printf("without replays %.1f\nwith replays %.1f\n", $plain, $replayed);
