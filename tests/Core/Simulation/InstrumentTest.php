<?php

use Core\Chance\Chance;
use Core\Simulation\Body;
use Core\Simulation\GolferSpec;
use Core\Simulation\Ground;
use Core\Simulation\Instrument;
use Core\Simulation\Score;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** @return array{array<string, list<float>>, Body, GolferSpec} the forces before any instrument */
function underfoot(string $seed = 'forces'): array
{
    $spec = new GolferSpec($seed);
    $score = new Score($spec);
    $body = new Body($spec, $score);

    return [Ground::forces($spec, $score, $body), $body, $spec];
}

function recorded(DeviceClass $device): array
{
    [$forces, $body, $spec] = underfoot();

    return [Instrument::record($device, $forces, $body->stance, $spec->massKg, 'x'), $forces, $body];
}

function rms(array $a, array $b): float
{
    $sum = $n = 0;
    foreach ($a as $i => $v) {
        if (! is_nan($v)) {
            $sum += ($v - $b[$i]) ** 2;
            $n++;
        }
    }

    return sqrt($sum / $n);
}

it('records each class at its own rate, in its own channels', function (
    DeviceClass $device,
    float $rate,
    int $channels,
) {
    [$trace] = recorded($device);
    expect($trace)
        ->toBeInstanceOf(Trace::class)
        ->and($trace->rateHz)
        ->toBe($rate)
        ->and($trace->channels)
        ->toHaveCount($channels)
        ->and(array_slice(array_keys($trace->channels), 0, count($device->channels())))
        ->toBe($device->channels())
        ->and($trace->duration())
        ->toBeGreaterThan(2.5);
})->with([[DeviceClass::Mat, 100.0, 10], [DeviceClass::Plate, 500.0, 6], [DeviceClass::DualPlate, 1000.0, 12]]);

it('adds the noise of two plates and nothing else', function () {
    [$trace, $forces] = recorded(DeviceClass::DualPlate);
    expect(rms($trace->channels['lead_fz_n'], $forces['lead_fz_n']))->toEqualWithDelta(2.0, 0.1)
        ->and(rms($trace->channels['trail_fx_n'], $forces['trail_fx_n']))->toEqualWithDelta(1.0, 0.1)
        ->and(rms($trace->channels['lead_mz_nm'], $forces['lead_mz_nm']))->toEqualWithDelta(0.3, 0.05);
});

it('lets a plate see the sum of both feet only, and the net twist about the net COP', function () {
    [$trace, $f, $body] = recorded(DeviceClass::Plate);
    foreach ([100, 500, 900] as $k) {
        $i = 2 * $k;
        $fz = $f['lead_fz_n'][$i] + $f['trail_fz_n'][$i];
        $x = ($f['lead_fz_n'][$i] * $f['lead_copx_mm'][$i] + $f['trail_fz_n'][$i] * $f['trail_copx_mm'][$i]) / $fz;
        $y = ($f['lead_fz_n'][$i] * $f['lead_copy_mm'][$i] + $f['trail_fz_n'][$i] * $f['trail_copy_mm'][$i]) / $fz;
        $mz = $f['lead_mz_nm'][$i] + $f['trail_mz_nm'][$i];
        foreach (['lead', 'trail'] as $s) {
            $mz -=
                (($f[$s.'_copx_mm'][$i] - $x) / 1000) * $f[$s.'_fy_n'][$i] -
                (($f[$s.'_copy_mm'][$i] - $y) / 1000) * $f[$s.'_fx_n'][$i];
        }
        expect($trace->channels['fz_n'][$k])
            ->toEqualWithDelta($fz, 15.0)
            ->and($trace->channels['copx_mm'][$k])
            ->toEqualWithDelta($x, 8.0)
            ->and($trace->channels['mz_nm'][$k])
            ->toEqualWithDelta($mz, 2.5);
    }
    expect($body->stance->widthMm())->toEqualWithDelta(470.0, 1e-9);
});

it('averages over a mat\'s own scan time and keeps shares between 0 and 100', function () {
    [$trace, $f] = recorded(DeviceClass::Mat);
    $errors = [];
    foreach ($trace->channels['lead_pct'] as $k => $share) {
        expect($share)
            ->toBeGreaterThanOrEqual(0.0)
            ->toBeLessThanOrEqual(100.0)
            ->and($share + $trace->channels['trail_pct'][$k])
            ->toEqualWithDelta(100.0, 0.11);
        // The middle of the scan is the sample's time.
        $over = static fn (string $name): float => array_sum(array_slice($f[$name], max(0, 10 * $k - 4), 9));
        $errors[] = $share - 100 * $over('lead_fz_n') / ($over('lead_fz_n') + $over('trail_fz_n'));
    }
    expect(sqrt(array_sum(array_map(static fn ($e) => $e * $e, $errors)) / count($errors)))
        ->toEqualWithDelta(0.8, 0.12);
});

it('opposes the feet coming down: the trail foot pushes back, the lead foot forward', function () {
    [$f, , $spec] = underfoot();
    $score = new Score($spec);
    $i = (int) (1000 * ($score->stations['LD'] + 0.02));
    expect($f['trail_fy_n'][$i])->toBeGreaterThan(25.0)->and($f['lead_fy_n'][$i])->toBeLessThan(-40.0);
});

it('draws the same numbers for the same words', function () {
    $draw = static fn (string $seed): array => (static fn (Chance $c): array => [
        $c->uniform(),
        $c->normal(),
        $c->between(1, 100),
        $c->shuffled(range(1, 9)),
    ])(new Chance($seed));
    expect($draw('a'))->toBe($draw('a'))->and($draw('b'))->not->toBe($draw('a'));
    $c = new Chance('moments');
    $values = array_map(static fn () => $c->normal(10.0, 2.0), range(1, 20000));
    $mean = array_sum($values) / 20000;
    expect($mean)
        ->toEqualWithDelta(10.0, 0.06)
        ->and(sqrt(array_sum(array_map(static fn ($v) => ($v - $mean) ** 2, $values)) / 20000))
        ->toEqualWithDelta(2.0, 0.05);
});
