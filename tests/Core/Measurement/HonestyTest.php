<?php

use Core\Chance\Chance;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Measurement\Meter;
use Core\Motion\Handedness;
use Core\Motion\Motion;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/** @return array<string, Measured> every single value by key or key@STATION */
function flat(Measurements $m): array
{
    $out = [];
    foreach ($m->all() as $key => $found) {
        foreach ($found instanceof Measured ? ['' => $found] : $found as $at => $one) {
            $out[$key.($at === '' ? '' : "@$at")] = $one;
        }
    }

    return $out;
}

/** The same recording with every clock moved on by some seconds. */
function later(Swing $s, float $by): Evidence
{
    $t = $s->trace;
    $m = $s->motion();

    return new Evidence(
        StationTimes::fromTimes(
            array_map(
                static fn (StationTime $x): StationTime => new StationTime($x->t + $by, $x->uncertainty, $x->source),
                $s->stations->all(),
            ),
        ),
        new Trace($t->device, $t->rateHz, $t->channels, $t->stance, $t->massKg, $t->t0 + $by),
        new Motion($m->rateHz, $m->points, $m->t0 + $by),
        $s->stance,
    );
}

it('gives every measure or a reason, for every device, with and without body points', function (
    ?DeviceClass $device,
    bool $points,
) {
    $s = Swing::simulated(new GolferSpec('whole', device: $device ?? DeviceClass::Mat));
    $m = Meter::read(
        new Evidence($s->stations, $device === null ? null : $s->trace, $points ? $s->motion() : null, $s->stance),
    );
    $seen = [];
    foreach (flat($m) as $key => $one) {
        $seen[explode('@', $key)[0]] = true;
        if ($one->value === null) {
            expect(mb_strlen(inWords()->phrase($one->reason)))->toBeGreaterThan(8);
        } else {
            expect($one->unit)->not->toBe('');
            if (is_float($one->value)) {
                expect(is_finite($one->value))
                    ->toBeTrue($key)
                    ->and($one->uncertainty)
                    ->toBeGreaterThan(str_ends_with($key, '_sway@AD') ? -1.0 : 0.0, $key)
                    ->and(is_finite($one->uncertainty))
                    ->toBeTrue($key)
                    ->and($one->window !== null || in_array($key, ['lead_flare', 'trail_flare'], true))
                    ->toBeTrue($key);
            }
        }
    }
    expect(array_keys($seen))->toEqualCanonicalizing(array_column(Measure::cases(), 'value'));
})->with([
    [DeviceClass::Mat, true], [DeviceClass::Mat, false],
    [DeviceClass::Plate, true], [DeviceClass::Plate, false],
    [DeviceClass::DualPlate, true], [DeviceClass::DualPlate, false],
    [null, true], [null, false],
]);

it('measures the same whenever the recording was started', function (DeviceClass $device) {
    $s = Swing::simulated(new GolferSpec('shift', new Plant(['late-recentre' => 2]), device: $device));
    $then = flat(Meter::read(later($s, 0.0)));
    $now = flat(Meter::read(later($s, 37.25)));
    foreach ($then as $key => $m) {
        if (is_float($m->value)) {
            expect(abs($now[$key]->value - $m->value))->toBeLessThan(max(1e-6, 0.05 * $m->uncertainty), $key);
        } else {
            expect($now[$key]->value)->toBe($m->value);
        }
    }
})->with(DeviceClass::cases());

it('measures a left-handed golfer as the mirrored right-handed one, measure by measure', function (
    DeviceClass $device,
) {
    $right = Swing::simulated(new GolferSpec('mirror', new Plant(['sway' => 2]), Handedness::Right, $device));
    $left = Swing::simulated(new GolferSpec('mirror', new Plant(['sway' => 2]), Handedness::Left, $device));
    $a = flat(Meter::read(new Evidence($right->stations, $right->trace, $right->motion(), $right->stance)));
    $b = flat(Meter::read(new Evidence($left->stations, $left->trace, $left->motion(), $left->stance)));
    foreach ($a as $key => $m) {
        expect($b[$key]->value)->toEqual($m->value, $key);
    }
})->with(DeviceClass::cases());

it('gives per-weight measures that do not know how heavy the golfer is', function () {
    $s = Swing::simulated(new GolferSpec('heavy'));
    $heavier = array_map(
        static fn (string $name, array $v): array => str_ends_with($name, '_n') || str_ends_with($name, '_nm')
            ? array_map(static fn (float $x): float => 1.3 * $x, $v)
            : $v,
        array_keys($s->trace->channels),
        $s->trace->channels,
    );
    $other = new Trace(
        $s->trace->device,
        1000.0,
        array_combine(array_keys($s->trace->channels), $heavier),
        $s->stance,
        1.3 * 78.0,
    );
    $a = flat(Meter::read(new Evidence($s->stations, $s->trace, null, $s->stance)));
    $b = flat(Meter::read(new Evidence($s->stations, $other, null, $s->stance)));
    foreach (
        ['rise', 'dip', 'rise_lead', 'heel_toe_trail', 'side_push', 'twist', 'impact_share', 'trail_jump'] as $key
    ) {
        expect($b[$key]->value)->toEqualWithDelta($a[$key]->value, 0.002 * abs($a[$key]->value));
    }
});

it('states uncertainties that hold: the noise-free value lies within them about as often as they say', function (
    DeviceClass $device,
) {
    $keys = [
        'setup_share',
        'trail_peak',
        'top_share',
        'level_share',
        'impact_share',
        'fallback',
        'recentre_lead',
        'shift_rate',
        'finish_share',
    ];
    if ($device->measuresForce()) {
        array_push($keys, 'rise', 'dip', 'side_push', 'twist');
    }
    $inside = $all = 0;
    for ($g = 0; $g < 4; $g++) {
        // The truth: the very same forces read by an instrument without noise, and stations without error.
        $s = Swing::simulated(new GolferSpec("truth$g", device: $device));
        $true = flat(Meter::read(new Evidence($s->stations, $s->trace, null, $s->stance)));
        for ($k = 0; $k < 9; $k++) {
            $c = new Chance("noise|$g|$k|{$device->value}");
            $channels = [];
            $sd = [
                'lead_pct' => $device->shareNoise(),
                'fz' => $device->forceNoise(),
                'fx' => $device->shearNoise(),
                'fy' => $device->shearNoise(),
                'mz' => $device->momentNoise(),
            ];
            foreach ($s->trace->channels as $name => $values) {
                $kind = str_contains($name, 'fz')
                    ? 'fz'
                    : (str_contains($name, 'fx')
                        ? 'fx'
                        : (str_contains($name, 'fy')
                            ? 'fy'
                            : (str_contains($name, 'mz')
                                ? 'mz'
                                : $name)));
                $channels[$name] = isset($sd[$kind])
                    ? array_map(static fn (float $v): float => $v + $c->normal(0.0, $sd[$kind]), $values)
                    : $values;
            }
            if ($device === DeviceClass::Mat) {
                $channels['trail_pct'] = array_map(static fn (float $v): float => 100.0 - $v, $channels['lead_pct']);
            }
            $stations = StationTimes::fromTimes(
                array_map(
                    static fn (StationTime $t): StationTime => new StationTime(
                        $t->t + $c->normal(0.0, 0.003),
                        0.006,
                        StationSource::File,
                    ),
                    $s->stations->all(),
                ),
            );
            $found = flat(
                Meter::read(
                    new Evidence(
                        $stations,
                        new Trace($device, $s->trace->rateHz, $channels, $s->stance, 78.0),
                        null,
                        $s->stance,
                    ),
                ),
            );
            foreach ($keys as $key) {
                if (is_float($found[$key]->value) && is_float($true[$key]->value)) {
                    $all++;
                    $inside += abs($found[$key]->value - $true[$key]->value) <= $found[$key]->uncertainty ? 1 : 0;
                }
            }
        }
    }
    fwrite(
        STDERR,
        sprintf(
            "  %s: %d of %d noisy values within their stated uncertainty of the value before\n",
            $device->value,
            $inside,
            $all,
        ),
    );
    expect($inside / $all)->toBeGreaterThan(0.92);
})->with(DeviceClass::cases());

it('is less sure the vaguer the stations and the noisier the device', function () {
    $s = Swing::simulated(new GolferSpec('vague'));
    $with = fn (float $u): array => flat(
        Meter::read(
            new Evidence(
                StationTimes::fromTimes(
                    array_map(
                        static fn (StationTime $t): StationTime => new StationTime($t->t, $u, StationSource::File),
                        $s->stations->all(),
                    ),
                ),
                $s->trace,
                $s->motion(),
                $s->stance,
            ),
        ),
    );
    [$sharp, $vague] = [$with(0.001), $with(0.02)];
    foreach (
        [
            'top_share',
            'level_share',
            'impact_share',
            'recentre_lead',
            'tempo',
            'rise_at',
            'trail_peak_at',
            'pelvis_sway@IM',
            'foot_spin',
            'mass_ahead@LD',
            'pelvis_turn@IM',
        ] as $key
    ) {
        expect($vague[$key]->uncertainty)->toBeGreaterThan($sharp[$key]->uncertainty, $key);
    }
});

it('says of each value which stations it hangs on, and gives none when one of them is missing', function () {
    $s = Swing::simulated(new GolferSpec('hang'));
    $whole = flat(Meter::read(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance)));
    foreach (['TB', 'LB', 'LD', 'SD', 'ST', 'FI'] as $gone) {
        $times = $s->stations->all();
        unset($times[$gone]);
        $less = flat(Meter::read(new Evidence(StationTimes::fromTimes($times), $s->trace, $s->motion(), $s->stance)));
        foreach ($whole as $key => $m) {
            if ($m->value !== null && in_array($gone, $m->stations, true)) {
                expect($less[$key]->value)
                    ->toBeNull("$key without $gone")
                    ->and(worded($less[$key]->reason))
                    ->toContain($gone);
            }
        }
    }
});
