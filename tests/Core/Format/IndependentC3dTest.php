<?php

use Core\Format\C3d\C3dReader;
use Core\Format\C3d\Laboratory;
use Core\Motion\Handedness;
use Core\Motion\Station;
use Core\Motion\StationSource;

/** A file by tests/independent/write_c3d.py, and what that says is in it. */
function independent(string $name): array
{
    $path = __DIR__.'/../../fixtures/'.$name;

    return [file_get_contents("$path.c3d"), json_decode(file_get_contents("$path.json"), true)];
}

it('reads what an independent program wrote, at several analog rates, in floats and whole numbers', function (
    string $name,
    float $tolerance,
) {
    [$bytes, $truth] = independent($name);
    $c3d = C3dReader::read($bytes, "$name.c3d");
    expect($c3d->pointRateHz)->toEqualWithDelta($truth['points'], 1e-6)
        ->and($c3d->analogRateHz)->toEqualWithDelta($truth['rate'], 1e-3)
        ->and($c3d->points['LEAD_HEEL'][1][3])->toEqualWithDelta(95.0, 0.03);
    $in = Laboratory::import($bytes, "$name.c3d", Handedness::Right);
    $trace = $in->trace;
    expect($trace->rateHz)->toEqualWithDelta($truth['rate'], 1e-3)
        ->and($trace->bodyWeightN())->toEqualWithDelta($truth['newtons'], 0.02 * $truth['newtons']);
    $every = (int) round($truth['rate'] / $truth['points']);
    $middle = null;
    foreach (['lead', 'trail'] as $side) {
        foreach ($truth[$side] as $k => [$fx, $fy, $fz, $x, $y, $turn]) {
            $i = $k * $every;
            $of = fn (string $channel): float => $trace->channels["{$side}_$channel"][$i];
            // The stance's y runs to the toes, the laboratory's the other way for a right-handed golfer.
            expect($of('fx_n'))->toEqualWithDelta($fx, $tolerance)
                ->and($of('fy_n'))->toEqualWithDelta(-$fy, $tolerance)
                ->and($of('fz_n'))->toEqualWithDelta($fz, $tolerance)
                ->and($of('mz_nm'))->toEqualWithDelta($turn, 0.02 + 0.2 * $tolerance);
            $middle ??= [$of('copx_mm') - $x, $of('copy_mm') + $y];
            expect($of('copx_mm') - $x)->toEqualWithDelta($middle[0], 0.5)
                ->and($of('copy_mm') + $y)->toEqualWithDelta($middle[1], 0.5);
        }
    }
    foreach ($truth['events'] as $code => $t) {
        $time = $in->stations->get(Station::from($code));
        expect($time->t)->toEqualWithDelta($t, 1e-4)->and($time->source)->toBe(StationSource::File);
    }
})->with([['float-100x10', 0.01], ['ints-200x5', 0.6], ['float-250x4', 0.01]]);

it('is written by the independent program again, byte for byte', function (string $name, string $options) {
    $out = tempnam(sys_get_temp_dir(), 'c3d');
    $script = escapeshellarg(__DIR__.'/../../independent/write_c3d.py');
    exec("python3 $script ".escapeshellarg($out)." $options", $lines, $code);
    [$bytes, $truth] = independent($name);
    expect($code)->toBe(0)
        ->and(hash_file('sha256', $out))->toBe(hash('sha256', $bytes))
        ->and(json_decode(implode("\n", $lines), true))->toEqual($truth);
    unlink($out);
})->with([
    ['float-100x10', '--rate 100 --ratio 10'],
    ['ints-200x5', '--rate 200 --ratio 5 --type 4 --ints'],
    ['float-250x4', '--rate 250 --ratio 4 --type 4'],
])->skip(fn (): bool => trim((string) shell_exec('command -v python3')) === '', 'no Python here');
