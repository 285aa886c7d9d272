<?php

declare(strict_types=1);

// How long the agreement of a round takes, how it grows, and a million ratings through the command. Included by
// bench.php.

use App\Console\Workers;
use Core\Agreement\RatingSet;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\Format\Json\StudyJson;

function ratedRound(int $raters, int $cases, int $items, float $missing): RatingSet
{
    $chance = new Chance('bench');
    $set = new RatingSet;
    for ($c = 0; $c < $cases; $c++) {
        for ($i = 0; $i < $items; $i++) {
            $truth = $chance->uniform() < 0.3;
            $set->addKey("c$c", "i$i", $truth ? 'present' : 'absent');
            for ($r = 0; $r < $raters; $r++) {
                if ($chance->uniform() >= $missing) {
                    $set->add("c$c", "i$i", "r$r", ($chance->uniform() < 0.8) === $truth ? 'present' : 'absent');
                }
            }
        }
    }

    return $set;
}

/** @return array{float, float} median milliseconds, and most megabytes held beyond what was held before */
function timed(int $times, callable $run): array
{
    memory_reset_peak_usage();
    $before = memory_get_usage();

    return [median($times, $run), (memory_get_peak_usage() - $before) / 1048576];
}

/** Slope of log time on log size. */
function exponent(array $times): float
{
    $x = array_map(log(...), array_keys($times));
    $y = array_map(log(...), array_values($times));
    $mx = array_sum($x) / count($x);
    $my = array_sum($y) / count($y);
    $xy = $xx = 0.0;
    foreach ($x as $i => $v) {
        $xy += ($v - $mx) * ($y[$i] - $my);
        $xx += ($v - $mx) ** 2;
    }

    return $xy / $xx;
}

$line = static fn (string $what, float $ms, string $more = ''): int => printf("%-74s %9.1f ms%s\n", $what, $ms, $more);
$memory = static fn (float $mb): string => sprintf('  %5.0f MB', $mb);

echo "\nagreement: 40 raters × 200 cases × 23 faults, pairs, Light, key; 2,000 resamples\n";
foreach (['10 % missing' => 0.1, 'none missing, with Conger' => 0.0] as $name => $missing) {
    $set = ratedRound(40, 200, 23, $missing);
    foreach (['against the key by jackknife' => false, 'against the key resampled too' => true] as $key => $bootstrap) {
        $options = new StudyOptions(bootstrapKey: $bootstrap);
        [$ms, $mb] = timed(5, static fn () => (new Study($set, $options))->result());
        $line("  $name, $key", $ms, $memory($mb));
        $items = $set->items();
        [$two] = timed(5, static function () use ($set, $options, $items): void {
            $study = new Study($set, $options);
            iterator_count(
                Workers::map(
                    2,
                    [...array_fill(0, 23, 1.0), 8.0],
                    static fn (int $i): string => json_encode(
                        StudyJson::kept()->item($study->item($i === 23 ? $items : [$items[$i]])),
                        JSON_THROW_ON_ERROR,
                    ),
                ),
            );
        });
        $line('    the same by two processes', $two);
    }
}

echo "\ngrowth, 5 faults, 10 % missing, 1,000 resamples, key by jackknife (ms)\n";
$options = new StudyOptions(bootstrap: 1000, bootstrapKey: false);
$grid = [];
foreach ([10, 20, 40] as $raters) {
    foreach ([50, 100, 200, 400] as $cases) {
        $set = ratedRound($raters, $cases, 5, 0.1);
        $grid[$raters][$cases] = median(3, static fn () => (new Study($set, $options))->result());
    }
    printf(
        "  %2d raters  %s  exponent in cases %.2f\n",
        $raters,
        implode(
            '  ',
            array_map(
                static fn (int $c): string => sprintf('%d cases %6.1f', $c, $grid[$raters][$c]),
                array_keys($grid[$raters]),
            ),
        ),
        exponent($grid[$raters]),
    );
}
printf(
    "  exponent in raters at 400 cases %.2f\n",
    exponent(array_combine([10, 20, 40], array_map(static fn (int $r): float => $grid[$r][400], [10, 20, 40]))),
);

echo "\na million ratings, 40 raters × 1,250 cases × 20 items, through agreement:compute without resampling\n";
$file = dirname(__DIR__, 2).'/storage/run/bench-million.csv';
$out = fopen($file, 'wb');
$chance = new Chance('million');
fwrite($out, "case,item,rater,value\n");
for ($c = 0; $c < 1250; $c++) {
    $text = '';
    for ($i = 0; $i < 20; $i++) {
        $truth = $chance->uniform() < 0.3;
        for ($r = 0; $r < 40; $r++) {
            $text .= "case$c,fault$i,rater$r,".(($chance->uniform() < 0.8) === $truth ? 'present' : 'absent')."\n";
        }
    }
    fwrite($out, $text);
}
fclose($out);
foreach ([1, 2] as $processes) {
    // With a limit on PHP's memory: that it ends well is the measurement.
    $ms = median(3, static function () use ($file, $processes): void {
        exec(
            sprintf(
                '%s -d memory_limit=128M artisan agreement:compute %s --bootstrap=0 --format=json --processes=%d > '
                    .'/dev/null',
                escapeshellarg(PHP_BINARY),
                escapeshellarg($file),
                $processes,
            ),
            result_code: $code,
        );
        $code === 0 || exit("it failed\n");
    });
    $line(sprintf('  %d process%s, memory_limit=128M, from start to end', $processes, $processes > 1 ? 'es' : ''), $ms);
}
unlink($file);
