<?php

use Core\Chance\Chance;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Trace\Check\Standing;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\Foot;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Stance;
use Core\Trace\Trace;

/*
 * A second source of traces, of closed pieces with nothing in common with the simulator: what stands there is known by
 * construction. A weight of 80 kg on feet 500 mm apart; the share goes by half cosines from address over the top to a
 * finish on the lead foot, each foot's place and push by pieces of its own.
 */

const PIECES = [[0.0, 50.0], [0.6, 50.0], [1.5, 30.0], [1.85, 85.0], [2.0, 88.0], [2.6, 92.0], [3.4, 92.0]];

function between(array $pieces, float $t): float
{
    for ($i = 1; $i < count($pieces); $i++) {
        if ($t <= $pieces[$i][0]) {
            [$a, $b] = [$pieces[$i - 1], $pieces[$i]];

            return $a[1] + ($b[1] - $a[1]) * (1.0 - cos(M_PI * ($t - $a[0]) / ($b[0] - $a[0]))) / 2.0;
        }
    }

    return $pieces[count($pieces) - 1][1];
}

/** @param  callable(string, float, float): float  $spoil  by channel, its value and the time */
function pieced(DeviceClass $device, ?callable $spoil = null, float $seed = 1.0, float $massKg = 80.0): Trace
{
    $rate = $device->typicalRateHz();
    $weight = 80.0 * 9.80665;
    $noise = 0;
    // A tremble that repeats after no time a swing lasts: no reading of a live device stands still.
    $tremble = static function (float $sd) use (&$noise, $seed): float {
        $noise++;

        return $sd * (sin($noise * 12.9898 * $seed) + sin($noise * 78.233 + $seed) + sin($noise * 37.719 * $seed));
    };
    $out = [];
    for ($i = 0, $n = (int) (3.4 * $rate); $i < $n; $i++) {
        $t = $i / $rate;
        $share = between(PIECES, $t) / 100.0;
        $total = $weight * between([[0.0, 1.0], [1.3, 1.0], [1.6, 0.85], [1.9, 1.5], [2.2, 1.0],
            // What pushes a body up lets it down again.
            [2.45, 0.65], [2.8, 1.0], [3.4, 1.0]], $t);
        $push = between([[0.0, 0.0], [1.4, 0.0], [1.75, 12.0], [2.05, 0.0], [3.4, 0.0]], $t) / 100.0 * $weight;
        $side = between([[0.0, 0.0], [1.3, 0.0], [1.6, 14.0], [1.95, -6.0], [2.3, 0.0], [3.4, 0.0]], $t) / 100.0
            * $weight;
        $twist = between([[0.0, 0.0], [1.3, 0.0], [1.75, 90.0], [2.2, 0.0], [3.4, 0.0]], $t);
        $foot = [
            'lead' => [250.0, between([[0.0, -10.0], [1.8, 30.0], [2.1, -50.0], [3.4, -50.0]], $t), $share, -1.4],
            'trail' => [-250.0, between([[0.0, -10.0], [1.5, -30.0], [2.1, 70.0], [3.4, 80.0]], $t), 1.0 - $share, 1.0],
        ];
        $row = [];
        if ($device === DeviceClass::DualPlate) {
            foreach ($foot as $name => [$x, $y, $part, $way]) {
                $row += ["{$name}_fx_n" => $side * $part + $tremble(0.6),
                    "{$name}_fy_n" => $push * $way + $tremble(0.6),
                    "{$name}_fz_n" => $total * $part + $tremble(1.0), "{$name}_mz_nm" => $twist * $part + $tremble(0.1),
                    "{$name}_copx_mm" => $x + $tremble(0.6), "{$name}_copy_mm" => $y + $tremble(0.6)];
            }
        } else {
            [$x, $y] = [500.0 * ($share - 0.5), $foot['lead'][1] * $share + $foot['trail'][1] * (1.0 - $share)];
            $row = $device === DeviceClass::Plate
                ? ['fx_n' => $side + $tremble(0.8), 'fy_n' => -0.4 * $push + $tremble(0.8),
                    'fz_n' => $total + $tremble(1.5),
                    'mz_nm' => $twist + $tremble(0.2)]
                : ['lead_pct' => 100.0 * $share + $tremble(0.3), 'trail_pct' => 100.0 - 100.0 * $share + $tremble(0.3)];
            $row += ['copx_mm' => $x + $tremble(0.8), 'copy_mm' => $y + $tremble(0.8)];
        }
        foreach ($row as $name => $value) {
            $out[$name][] = $spoil === null ? $value : $spoil($name, $value, $t);
        }
    }

    return new Trace($device, $rate, $out, new Stance(new Foot(250.0, 0.0), new Foot(-250.0, 0.0)), $massKg);
}

/** @return array<string, string> effect by kind */
function foundIn(Trace $trace): array
{
    return array_column(array_map(
        static fn (QualityFinding $f): array => [$f->kind, $f->effect],
        Quality::findings($trace),
    ), 1, 0);
}

/** @return array<string, float|null> */
function measuredOf(Trace $trace, string ...$keys): array
{
    $at = static fn (float $t): StationTime => new StationTime($t, 0.004, StationSource::Hand);
    $stations = StationTimes::fromTimes(['AD' => $at(0.55), 'TB' => $at(0.9), 'LB' => $at(1.15), 'TP' => $at(1.5),
        'LD' => $at(1.72), 'SD' => $at(1.82), 'IM' => $at(1.9), 'ST' => $at(2.0), 'FI' => $at(2.8)]);
    $of = Assessment::ofEvidence(new Evidence($stations, $trace, null, $trace->stance))->measurements;
    $out = [];
    foreach ($keys as $key) {
        $value = $of->get(Measure::from($key))->value;
        $out[$key] = is_float($value) ? $value : null;
    }

    return $out;
}

it('has nothing against what a golfer can do, of whatever device, mass and tremble', function (DeviceClass $device) {
    foreach ([1.0, 1.7, 2.3, 3.1] as $seed) {
        expect(foundIn(pieced($device, null, $seed)))->toBe([]);
    }
    // A push of one and a quarter, feet that oppose each other at rest, and a mass within a per cent are no faults.
    $bw = 80.0 * 9.80665 / 100.0;
    expect(foundIn(pieced($device, fn (string $n, float $v): float => match ($n) {
        'fx_n' => $v + 1.25 * $bw,
        'lead_fx_n' => $v + 1.2 * $bw,
        'trail_fx_n' => $v - 1.2 * $bw,
        default => $v,
    }, 1.0, 80.6)))->toBe([]);
})->with(DeviceClass::cases());

it('lets no offset pass for a push or a twist', function (
    DeviceClass $device,
    callable $spoil,
    array $gone,
    array $stays,
) {
    $sound = measuredOf(pieced($device), ...$gone, ...$stays);
    $trace = pieced($device, $spoil);
    expect(foundIn($trace))->toBe(['zero' => 'nulled']);
    $of = measuredOf($trace, ...$gone, ...$stays);
    foreach ($gone as $key) {
        expect($sound[$key])->not->toBeNull($key)->and($of[$key])->toBeNull($key);
    }
    foreach ($stays as $key) {
        expect($of[$key])->toBe($sound[$key], $key);
    }
})->with([
    'six per cent on both y' => [DeviceClass::DualPlate, fn (string $n, float $v): float => str_ends_with($n, 'fy_n')
        ? $v - 47.0 : $v, ['heel_toe_trail', 'heel_toe_lead', 'twist', 'side_push'], ['impact_share', 'rise']],
    'four per cent on x' => [DeviceClass::Plate, fn (string $n, float $v): float => $n === 'fx_n' ? $v + 31.0 : $v,
        ['side_push'], ['rise', 'twist', 'impact_share']],
    'two per cent on x' => [DeviceClass::Plate, fn (string $n, float $v): float => $n === 'fx_n' ? $v - 15.7 : $v,
        ['side_push'], ['rise', 'twist']],
    'three tenths of twist' => [DeviceClass::Plate, fn (string $n, float $v): float => $n === 'mz_nm' ? $v + 24.0 : $v,
        ['twist'], ['side_push', 'rise']],
]);

it('knows a foot’s own zero only while the foot is off its plate', function () {
    $lifted = fn (float $zero) => fn (string $n, float $v, float $t): float => match (true) {
        $n === 'trail_fz_n' && $t > 2.9 => 0.3 * sin(900.0 * $t),
        $n === 'trail_fx_n' => ($t > 2.9 ? 0.4 * sin(700.0 * $t) : $v) + $zero,
        $n === 'lead_fx_n' => $v - $zero,
        default => $v,
    };
    $own = fn (Trace $trace): bool => array_filter(
        Quality::findings($trace),
        static fn (QualityFinding $f): bool => $f->remark->is(Flaw::PushWithoutFoot),
    ) !== [];
    expect($own(pieced(DeviceClass::DualPlate, $lifted(0.0))))->toBeFalse()
        ->and($own(pieced(DeviceClass::DualPlate, $lifted(13.0))))->toBeTrue()
        ->and($own(pieced(DeviceClass::DualPlate, fn (string $n, float $v): float => match ($n) {
            'trail_fx_n' => $v + 13.0,
            'lead_fx_n' => $v - 13.0,
            default => $v,
        })))->toBeFalse();
});

it('takes no place that no foot can have', function (DeviceClass $device, string $kind, callable $spoil) {
    expect(foundIn(pieced($device, $spoil)))->toHaveKey($kind, 'nulled');
})->with(DeviceClass::cases())->with([
    'centimetres' => ['units', fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 10.0 : $v],
    'metres' => ['units', fn (string $n, float $v): float => str_contains($n, 'cop') ? $v / 1000.0 : $v],
    'the corner of the plate' => ['origin', fn (string $n, float $v): float => match (true) {
        str_ends_with($n, 'copx_mm') => $v + 600.0,
        str_ends_with($n, 'copy_mm') => $v + 300.0,
        default => $v,
    }],
    'the plate’s far edge' => ['origin', fn (string $n, float $v): float => str_ends_with($n, 'copy_mm')
        ? $v - 200.0 : $v],
]);

it('takes no pressure beyond a foot’s own sole', function () {
    $trace = pieced(DeviceClass::DualPlate, fn (string $n, float $v): float => $n === 'lead_copx_mm' ? $v + 105.0 : $v);
    expect(foundIn($trace))->toBe(['outside' => 'nulled'])
        ->and(measuredOf($trace, 'toe_drift', 'impact_share'))->toMatchArray(['toe_drift' => null])
        ->and(measuredOf($trace, 'impact_share')['impact_share'])->not->toBeNull();
});

it('asks by one sign that heel and toe are exchanged, and leaves out by two', function () {
    $turn = fn (string $n, float $v): float => str_contains($n, 'copy') || str_ends_with($n, 'fy_n') ? -$v : $v;
    expect(foundIn(pieced(DeviceClass::DualPlate, $turn)))->toBe(['reversed' => 'nulled'])
        ->and(foundIn(pieced(DeviceClass::DualPlate, fn (string $n, float $v): float => str_ends_with($n, 'fy_n')
            ? -$v : $v)))->toBe(['reversed' => 'unaffected'])
        ->and(foundIn(pieced(DeviceClass::DualPlate, fn (string $n, float $v): float => str_ends_with($n, 'copy_mm')
            ? -$v : $v)))->toBe(['reversed' => 'unaffected']);
});

it('wants shares that are per cent and add up', function (callable $spoil, string $kind) {
    $trace = pieced(DeviceClass::Mat, $spoil);
    expect(foundIn($trace))->toBe([$kind => 'nulled'])
        ->and(measuredOf($trace, 'impact_share', 'shift_rate'))->toBe(['impact_share' => null, 'shift_rate' => null]);
})->with([
    'parts of one' => [fn (string $n, float $v): float => str_ends_with($n, '_pct') ? $v / 100.0 : $v, 'units'],
    'one that reads a tenth too little' => [fn (string $n, float $v): float => $n === 'lead_pct' ? 0.9 * $v : $v,
        'shares'],
    'both of body weight, with a dip' => [fn (string $n, float $v): float => str_ends_with($n, '_pct') ? 1.06 * $v : $v,
        'shares'],
]);

it('hears the mains, says by how much, and widens what they reach', function (float $hz, float $newtons, bool $found) {
    $trace = pieced(DeviceClass::DualPlate, fn (string $n, float $v, float $t): float => $n === 'lead_fz_n'
        ? $v + $newtons * sin(2.0 * M_PI * $hz * $t + 0.4) : $v);
    expect(foundIn($trace))->toBe($found ? ['hum' => 'widened'] : []);
})->with([[50.0, 12.0, true], [60.0, 12.0, true], [50.0, 1.0, false], [36.0, 12.0, false], [100.0, 12.0, false]]);

it('leaves out what lies across a step that stays, and behind it, and keeps what lies before', function (
    DeviceClass $device,
    string $channel,
) {
    $trace = pieced($device, fn (string $n, float $v, float $t): float => $n === $channel && $t >= 1.72
        ? $v + 70.0 : $v);
    $finding = current(Quality::findings($trace));
    expect($finding->kind)->toBe('slipped')
        ->and($finding->remark->is(Flaw::CopStays))->toBeTrue()
        ->and($finding->span[0])->toEqualWithDelta(1.70, 0.06)
        ->and($finding->span[1])->toEqualWithDelta(3.4, 0.05)
        ->and($finding->covers(1.8, 1.9))->toBeTrue()
        ->and($finding->covers(0.5, 1.5))->toBeFalse();
    // One that comes back is gone when it has.
    $back = pieced($device, fn (string $n, float $v, float $t): float => $n === $channel && $t >= 1.72 && $t < 1.76
        ? $v + 70.0 : $v);
    expect(current(Quality::findings($back))->span[1])->toBeLessThan(1.9);
})->with([
    [DeviceClass::Mat, 'copx_mm'],
    [DeviceClass::Mat, 'copy_mm'],
    [DeviceClass::Plate, 'copx_mm'],
    [DeviceClass::Plate, 'copy_mm'],
    [DeviceClass::DualPlate, 'trail_copy_mm'],
]);

it('says by how much a mass or a gain is off, so that the ± of forces and shares holds', function (float $gain) {
    $keys = ['rise', 'impact_share', 'top_share', 'heel_toe_trail'];
    $sound = measuredOf(pieced(DeviceClass::DualPlate), ...$keys);
    foreach ([
        fn (string $n, float $v): float => $n === 'lead_fz_n' ? $v + $gain * 80.0 * 9.80665 : $v,
        fn (string $n, float $v): float => $n === 'trail_fz_n' ? $v + $gain * 80.0 * 9.80665 : $v,
        fn (string $n, float $v): float => str_ends_with($n, '_n') ? (1.0 + $gain) * $v : $v,
    ] as $spoil) {
        $trace = pieced(DeviceClass::DualPlate, $spoil);
        expect(foundIn($trace))->toBe(['mass' => 'widened']);
        $at = static fn (float $t): StationTime => new StationTime($t, 0.004, StationSource::Hand);
        $of = Assessment::ofEvidence(new Evidence(StationTimes::fromTimes(['AD' => $at(0.55), 'TB' => $at(0.9),
            'LB' => $at(1.15), 'TP' => $at(1.5), 'LD' => $at(1.72), 'SD' => $at(1.82), 'IM' => $at(1.9),
            'ST' => $at(2.0), 'FI' => $at(2.8)]), $trace, null, $trace->stance))->measurements;
        foreach ($keys as $key) {
            $m = $of->get(Measure::from($key));
            expect(abs($m->value - $sound[$key]))->toBeLessThan($m->uncertainty, "$key at $gain");
        }
    }
})->with([0.012, 0.03, 0.06, 0.12, 0.2]);

it('bears any trace: what is found is said in a sentence, with numbers that are some', function (DeviceClass $device) {
    $chance = new Chance("any|$device->value");
    $sound = pieced($device);
    $names = array_keys($sound->channels);
    $n = $sound->samples();
    for ($round = 0; $round < 60; $round++) {
        $channels = $sound->channels;
        for ($k = 0; $k < 3; $k++) {
            $name = $names[(int) floor($chance->uniform() * count($names))];
            $from = (int) floor($chance->uniform() * $n);
            $to = min($n, $from + (int) floor($chance->uniform() * $n));
            $kind = (int) floor($chance->uniform() * 7);
            for ($i = $from; $i < $to; $i++) {
                $channels[$name][$i] = match ($kind) {
                    0 => NAN,
                    1 => 0.0,
                    2 => -$channels[$name][$i],
                    3 => max(-990.0, min(990.0, 20.0 * $channels[$name][$i])),
                    4 => $channels[$name][$from],
                    5 => max(-990.0, min(990.0, $channels[$name][$i] + 500.0)),
                    default => $chance->normal(0.0, 100.0),
                };
            }
        }
        $cut = $round % 5 === 0 ? max(30, (int) floor($chance->uniform() * $n)) : $n;
        $trace = new Trace(
            $device,
            $sound->rateHz,
            array_map(static fn (array $v): array => array_slice($v, 0, $cut), $channels),
            $round % 4 === 0 ? null : $sound->stance,
            $round % 3 === 0 ? null : 80.0,
        );
        foreach (Quality::findings($trace) as $finding) {
            $said = inWords()->say($finding->remark);
            expect($said)->toMatch('/^[^{}]{10,}\.$/u')->not->toContain('NAN')->not->toContain('INF')
                ->and($finding->widening)->toBeGreaterThanOrEqual(1.0)
                ->and(is_finite($finding->widens($finding->signals)))->toBeTrue();
        }
        // What is left is a number or a reason, whatever was laid in.
        foreach (measuredOf($trace, 'impact_share', 'rise', 'twist', 'heel_toe_trail', 'toe_drift') as $value) {
            expect($value === null || is_finite($value))->toBeTrue();
        }
    }
})->with(DeviceClass::cases());

it('finds the stillest moment wherever it lies, and none where a recording is too short for one', function () {
    $at = static fn (array $channels, float $rate = 100.0): ?array => Standing::of(new Trace(
        DeviceClass::Mat,
        $rate,
        $channels,
    ))?->mean($channels['lead_pct']);
    foreach ([0.2, 1.0, 2.4] as $still) {
        $lead = $rest = [];
        for ($i = 0; $i < 300; $i++) {
            $t = $i / 100.0;
            $lead[] = 50.0 + ($t >= $still && $t < $still + 0.5 ? 7.0 : 30.0 * sin(9.0 * $t));
            $rest[] = 100.0 - $lead[$i];
        }
        [$mean, $wander] = $at(['lead_pct' => $lead, 'trail_pct' => $rest, 'copx_mm' => $lead, 'copy_mm' => $lead]);
        expect($mean)->toEqualWithDelta(57.0, 0.01)->and($wander)->toBeLessThan(0.01);
    }
    $few = array_fill(0, 20, 50.0);
    expect($at(['lead_pct' => $few, 'trail_pct' => $few, 'copx_mm' => $few, 'copy_mm' => $few]))->toBeNull();
});

it('knows times in milliseconds from a slow device', function () {
    $device = DeviceClass::DualPlate;
    $sound = pieced($device);
    $told = fn (float $rate, int $of): Trace => new Trace($device, $rate, array_map(
        static fn (array $v): array => array_values(array_filter(
            $v,
            static fn (int $i): bool => $i % $of === 0,
            ARRAY_FILTER_USE_KEY,
        )),
        $sound->channels,
    ), $sound->stance, 80.0);
    $ms = $told($sound->rateHz / 1000.0, 1);
    expect(foundIn($ms)['units'] ?? null)->toBe('nulled')
        ->and(array_filter(measuredOf($ms, 'impact_share', 'rise', 'setup_share')))->toBe([])
        ->and(foundIn($told(20.0, (int) ($sound->rateHz / 20.0))))->not->toHaveKey('units')
        // Slower than what any device tells in milliseconds is no rate at all.
        ->and(fn () => $told(0.01, 1))->toRefuse('sampling rate');
});
