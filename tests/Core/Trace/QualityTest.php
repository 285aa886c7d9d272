<?php

use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Proxy;
use Core\Remark\Remark;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Trace;

/** A simulated swing whose channels have been spoilt by $spoil(name, index, value, seconds after the top). */
function spoilt(DeviceClass $device, callable $spoil, array $trace = []): array
{
    $s = Swing::simulated(new GolferSpec('quality', device: $device));
    $channels = [];
    foreach ($s->trace->channels as $name => $values) {
        foreach ($values as $i => $v) {
            $channels[$name][] = (float) $spoil(
                $name,
                $i,
                $v,
                $s->trace->t0 + $i / $s->trace->rateHz - $s->stations->t(\Core\Motion\Station::Top),
            );
        }
    }
    $t = new Trace(
        $device,
        $s->trace->rateHz,
        $channels,
        $s->stance,
        $trace['mass'] ?? $s->trace->massKg,
        $s->trace->t0,
        $trace['jitter'] ?? null,
    );

    return [$s, Assessment::ofEvidence(new Evidence($s->stations, $t, $s->motion(), $s->stance))];
}

/** @return array<string, string> 'same', 'nulled' or 'widened' by measure key, against the sound recording */
function changes(Swing $s, Assessment $a): array
{
    $sound = Assessment::ofEvidence(new Evidence($s->stations, $s->trace, $s->motion(), $s->stance))->measurements;
    $out = [];
    foreach (Measure::cases() as $measure) {
        $codes = $measure->isByStation() ? array_keys($s->stations->all()) : [null];
        foreach ($codes as $code) {
            [$x, $y] = [$sound->get($measure, $code), $a->measurements->get($measure, $code)];
            if ($x->value === null) {
                continue;
            }
            $key = $measure->value.($code === null ? '' : "@$code");
            $out[$key] = match (true) {
                $y->value === null => 'nulled',
                $y->widened !== null => 'widened',
                $y->value === $x->value ||
                    (is_float($y->value) &&
                        is_float($x->value) &&
                        abs($y->value - $x->value) <= 2 * ($x->uncertainty ?? 0.0) + 1e-9) => 'same',
                default => 'other',
            };
        }
    }

    return $out;
}

it('finds nothing wrong with a sound recording, of any device and with any fault of the golfer', function (
    DeviceClass $device,
) {
    foreach (
        [[], ['late-arrival' => 3], ['toe-dive' => 3], ['jump-off-trail' => 3], ['spin-out' => 3], ['fall-off' => 3]] as $plant
    ) {
        $s = Swing::simulated(new GolferSpec('sound', new \Core\Simulation\Plant($plant), device: $device));
        expect(array_column(Quality::findings($s->trace), 'kind'))->toBe([], json_encode($plant));
    }
})->with(DeviceClass::cases());

it('finds an injected fault of the instrument, where it is, and touches only what was made from it', function (
    DeviceClass $device,
    callable $spoil,
    string $kind,
    string $effect,
    ?array $span,
    array $touched,
    array $untouched,
    array $trace = [],
) {
    [$s, $a] = spoilt($device, $spoil, $trace);
    $finding = current(array_filter($a->findings, static fn (QualityFinding $f): bool => $f->kind === $kind));
    expect($finding)->not->toBeFalse('found: '.implode(', ', array_column($a->findings, 'kind')))
        ->and(array_diff(array_column($a->findings, 'kind'), [$kind]))->toBe([])
        ->and($finding->effect)->toBe($effect)->and(inWords()->say($finding->remark))->toMatch('/^[A-Z0-9a-z].*\.$/');
    if ($span !== null) {
        $top = $s->stations->t(\Core\Motion\Station::Top);
        expect($finding->span[0] - $top)
            ->toEqualWithDelta($span[0], 0.05)
            ->and($finding->span[1] - $top)
            ->toEqualWithDelta($span[1], 0.05);
    } else {
        expect($finding->span)->toBeNull();
    }
    $changes = changes($s, $a);
    foreach ($touched as $key) {
        expect($changes[$key])->toBe($effect, $key);
    }
    foreach ($untouched as $key) {
        expect($changes[$key])->toBe('same', $key);
    }
    expect($a->quality()[0]->measures)->toContain(
        ...array_map(static fn (string $k): string => explode('@', $k)[0], $touched),
    );
})->with([
    'a channel stuck through the start down' => [
        DeviceClass::DualPlate,
        function (string $n, int $i, float $v, float $t) {
            static $held = null;
            if ($n !== 'trail_fz_n' || $t < 0.02 || $t > 0.2) {
                return $v;
            }

            return $held ??= $v;
        },
        'stuck',
        'nulled',
        [0.02, 0.2],
        ['level_share', 'trail_jump', 'dip'],
        ['setup_share', 'top_share', 'finish_share', 'fallback', 'pelvis_sway@IM', 'tempo', 'heel_toe_trail'],
    ],
    'a clock that stopped on a mat' => [
        DeviceClass::Mat,
        function (string $n, int $i, float $v, float $t) {
            static $held = [];
            if ($t < -0.45 || $t > -0.25) {
                return $v;
            }

            return $held[$n] ??= $v;
        },
        'stuck',
        'nulled',
        [-0.45, -0.25],
        ['trail_peak', 'trail_peak_at'],
        ['setup_share', 'impact_share', 'finish_share', 'late_surge', 'toe_drift'],
    ],
    'a saturated vertical channel' => [
        DeviceClass::Plate,
        fn (string $n, int $i, float $v, float $t) => $n === 'fz_n' ? min($v, 950.0) : $v,
        'saturated',
        'nulled',
        [0.15, 0.26],
        ['rise', 'rise_at'],
        ['setup_share', 'top_share', 'finish_share', 'twist', 'side_push'],
    ],
    'forty milliseconds lost' => [
        DeviceClass::DualPlate,
        fn (string $n, int $i, float $v, float $t) => str_starts_with($n, 'trail_c') && $t > 0.05 && $t < 0.09
            ? NAN
            : $v,
        'dropped',
        'nulled',
        [0.05, 0.09],
        ['edge_fraction_down', 'twist'],
        ['edge_fraction', 'top_share', 'trail_peak', 'rise', 'impact_share', 'toe_drift'],
    ],
    'twelve milliseconds lost' => [
        DeviceClass::DualPlate,
        fn (string $n, int $i, float $v, float $t) => $n === 'lead_fz_n' && $t > -0.3 && $t < -0.288 ? NAN : $v,
        'dropped',
        'widened',
        [-0.3, -0.288],
        ['trail_peak'],
        ['setup_share', 'impact_share', 'rise', 'late_surge'],
    ],
    'a cover that slipped, in COP' => [
        DeviceClass::Plate,
        fn (string $n, int $i, float $v, float $t) => $n === 'copy_mm' && $t > 0.23 && $t < 0.28 ? $v + 90.0 : $v,
        'slipped',
        'nulled',
        [0.21, 0.3],
        ['toe_drift'],
        ['setup_share', 'rise', 'twist', 'heel_drift_back'],
    ],
    'a cover that slipped, in twist' => [
        DeviceClass::Plate,
        fn (string $n, int $i, float $v, float $t) => $n === 'mz_nm' && $t > 0.1 && $t < 0.115 ? $v + 70.0 : $v,
        'slipped',
        'nulled',
        [0.07, 0.145],
        ['twist', 'twist_at', 'order'],
        ['impact_share', 'rise', 'side_push', 'toe_drift'],
    ],
    'a foot off the edge' => [
        DeviceClass::Mat,
        fn (string $n, int $i, float $v, float $t) => $t > -0.07 && $t < 0.05
            ? ($n === 'lead_pct'
                ? 96.0 + ($i % 3)
                : ($n === 'trail_pct'
                    ? 4.0 - ($i % 3)
                    : $v))
            : $v,
        'foot-off',
        'nulled',
        [-0.08, 0.06],
        ['recentre_lead', 'shift_rate', 'top_share'],
        ['setup_share', 'impact_share', 'finish_share', 'fallback'],
    ],
    'kilograms for newtons' => [
        DeviceClass::DualPlate,
        fn (string $n, int $i, float $v) => str_ends_with($n, '_n') ? $v / 9.80665 : $v,
        'units',
        'nulled',
        null,
        ['rise', 'dip', 'heel_toe_trail', 'trail_jump'],
        ['pelvis_sway@LB', 'tempo', 'foot_spin'],
    ],
    'metres for millimetres' => [
        DeviceClass::DualPlate,
        fn (string $n, int $i, float $v) => str_contains($n, 'cop') ? $v / 1000.0 : $v,
        'units',
        'nulled',
        null,
        ['toe_drift', 'edge_fraction', 'mass_ahead@LD'],
        ['impact_share', 'rise', 'trail_jump', 'setup_share'],
    ],
    'a mass that does not fit' => [
        DeviceClass::Plate,
        fn (string $n, int $i, float $v) => $v,
        'mass',
        'widened',
        null,
        ['rise', 'dip', 'side_push', 'twist'],
        ['impact_share', 'setup_share', 'toe_drift'],
        ['mass' => 90.0],
    ],
    'an uneven clock' => [
        DeviceClass::Mat,
        fn (string $n, int $i, float $v) => $v,
        'jitter',
        'widened',
        null,
        ['recentre_lead', 'trail_peak_at', 'shift_rate'],
        ['impact_share', 'setup_share', 'toe_drift'],
        ['jitter' => 0.009],
    ],
]);

it('sees that lead and trail were exchanged, on every device', function (DeviceClass $device) {
    $s = Swing::simulated(new GolferSpec('swap', device: $device));
    $channels = [];
    foreach ($s->trace->channels as $name => $values) {
        $other = str_starts_with($name, 'lead_')
            ? 'trail_'.substr($name, 5)
            : (str_starts_with($name, 'trail_')
                ? 'lead_'.substr($name, 6)
                : $name);
        $channels[$other] =
            $device === DeviceClass::Plate && $name === 'copx_mm'
                ? array_map(static fn (float $v): float => -$v, $values)
                : $values;
    }
    $a = Assessment::ofEvidence(
        new Evidence(
            $s->stations,
            new Trace($device, $s->trace->rateHz, $channels, $s->stance, 78.0),
            null,
            $s->stance,
        ),
    );
    expect(array_column($a->findings, 'kind'))
        ->toContain('swapped')
        ->and(worded($a->measurements->get(Measure::ImpactShare)->reason))
        ->toContain('look exchanged')
        ->and($a->measurements->get(Measure::Tempo)->value)
        ->not->toBeNull();
})->with(DeviceClass::cases());

it('widens timings of a slow device and gives them up on a hopeless one', function () {
    $slow = fn (float $rate): Assessment => Assessment::ofEvidence(
        new Evidence(stations(), matTrace(corners([[0.6, 55.0], [1.2, 25.0], [1.45, 50.0], [1.75, 85.0]]), $rate)),
    );
    expect(worded($slow(40.0)->measurements->get(Measure::RecentreLead)->widened))
        ->toContain('too few')
        ->and($slow(40.0)->measurements->get(Measure::ImpactShare)->widened)
        ->toBeNull()
        ->and($slow(20.0)->measurements->get(Measure::RecentreLead)->value)
        ->toBeNull()
        ->and($slow(20.0)->measurements->get(Measure::ImpactShare)->value)
        ->not->toBeNull()
        ->and($slow(100.0)->findings)
        ->toBe([]);
});

it('leaves drawn signals in peace: level stretches of a closed form are no stuck channel', function () {
    expect(
        Quality::findings(
            dualTrace(
                corners([[0.6, 55.0], [1.2, 25.0], [1.45, 25.0], [1.75, 85.0]]),
                fn ($t) => $t < 1.6 ? 100.0 : 100.0 + 40.0 * sin(M_PI * min(2.0, ($t - 1.6) / 0.3)),
            ),
        ),
    )
        ->toBe([])
        ->and(Quality::findings(matTrace(corners([[0.6, 55.0], [1.2, 25.0], [1.75, 100.0]]))))
        ->toBe([]);
});

it('keeps a value as it is when nothing touches it, and says of a nulled one why', function () {
    $m = Measured::value('%', 70.0, 1.0)->within(1.0, 1.2);
    expect($m->widened(2.0, Remark::of(Proxy::Any))->uncertainty)
        ->toBe(2.0)
        ->and($m->window)
        ->not->toBeNull()
        ->and((new QualityFinding('x', 'warning', Remark::of(Flaw::CopInMetres), span: [1.3, 1.4]))->covers(1.0, 1.2))
        ->toBeFalse()
        ->and((new QualityFinding('x', 'warning', Remark::of(Flaw::CopInMetres)))->covers(1.0, 1.2))
        ->toBeTrue();
});
