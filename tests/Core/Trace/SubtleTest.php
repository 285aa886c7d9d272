<?php

use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Trace;

/** A sound swing whose samples went through $spoil(channel, value, seconds after the top). */
function subtly(DeviceClass $device, callable $spoil, string $seed = 'subtle', array $plant = []): array
{
    $s = Swing::simulated(new GolferSpec($seed, new Plant($plant), device: $device));
    $top = $s->stations->t(\Core\Motion\Station::Top);
    $channels = [];
    foreach ($s->trace->channels as $name => $values) {
        foreach ($values as $i => $v) {
            $channels[$name][] = (float) $spoil($name, $v, $s->trace->t0 + $i / $s->trace->rateHz - $top);
        }
    }

    return [$s, new Trace($device, $s->trace->rateHz, $channels, $s->stance, $s->trace->massKg, $s->trace->t0)];
}

/** @return array<string, string> effect by kind */
function subtleFindings(Trace $trace): array
{
    return array_column(array_map(
        static fn (QualityFinding $f): array => [$f->kind, $f->effect],
        Quality::findings($trace),
    ), 1, 0);
}

it('finds a channel that bends before its end, and nulls what it bent', function () {
    // Bent from the start: the weight itself is too light by it, and less than it holds the golfer up.
    foreach ([0.9, 1.0, 1.1, 1.4] as $at) {
        [$s, $bent] = subtly(
            DeviceClass::Plate,
            static fn (string $n, float $v): float => $n === 'fz_n' ? 1000.0 * $at * tanh($v / (1000.0 * $at)) : $v,
        );
        $rise = Assessment::ofEvidence(new Evidence($s->stations, $bent, null, $s->stance))->measurements
            ->get(Measure::Rise);
        $true = Assessment::ofEvidence(new Evidence($s->stations, $s->trace, null, $s->stance))->measurements
            ->get(Measure::Rise);
        expect(subtleFindings($bent))->not->toBe([]);
        if ($rise->value !== null) {
            expect(abs($rise->value - $true->value))->toBeLessThan($rise->uncertainty, "$at");
        }
    }
    // Bent only beyond the weight: nothing at rest gives it away.
    [, $bent] = subtly(DeviceClass::Plate, static function (string $n, float $v): float {
        $over = $v - 850.0;

        return $n === 'fz_n' && $over > 0.0 ? 850.0 + 90.0 * tanh($over / 90.0) : $v;
    });
    expect(subtleFindings($bent))->toBe(['saturated' => 'nulled', ...array_diff_key(
        subtleFindings($bent),
        ['saturated' => true],
    )]);
});

it('finds a foot that stood in part beside a plate, however slowly it went there', function (float $lost, float $slow) {
    foreach ([DeviceClass::Plate, DeviceClass::DualPlate] as $device) {
        $name = $device === DeviceClass::Plate ? 'fz_n' : 'trail_fz_n';
        [$s, $off] = subtly($device, static function (string $n, float $v, float $t) use ($name, $lost, $slow): float {
            // From the way back on until after the ball.
            $in = max(0.0, min(1.0, ($t + 0.35) / $slow)) * max(0.0, min(1.0, (0.35 - $t) / $slow));

            return $n === $name ? $v * (1.0 - $lost * $in) : $v;
        });
        expect(subtleFindings($off))->toHaveKey('upheld')
            ->and(Assessment::ofEvidence(new Evidence($s->stations, $off, null, $s->stance))->measurements
                ->get(Measure::ImpactShare)->value)->toBeNull();
    }
})->with([[0.3, 0.02], [0.3, 0.15], [0.45, 0.3]]);

it('widens what a zero that wanders touches, so that the error lies within', function () {
    $outside = $asked = 0;
    foreach (range(1, many(4, 24)) as $i) {
        foreach ([-1.8, -1.2, 0.9, 1.6] as $percent) {
            $by = $percent / 100.0 * 78.0 * 9.80665;
            [$s, $wanders] = subtly(
                DeviceClass::Plate,
                static fn (string $n, float $v, float $t): float => $n === 'fz_n' ? $v + $by * ($t + 1.8) / 1.6 : $v,
                "wanders$i",
            );
            $is = Assessment::ofEvidence(new Evidence($s->stations, $wanders, null, $s->stance));
            $was = Assessment::ofEvidence(new Evidence($s->stations, $s->trace, null, $s->stance))->measurements;
            expect(array_column($is->findings, 'kind'))->toContain('upheld');
            foreach ([Measure::Rise, Measure::Dip] as $measure) {
                [$m, $of] = [$is->measurements->get($measure), $was->get($measure)];
                if ($m->value !== null) {
                    $asked++;
                    $outside += abs($m->value - $of->value) > $m->uncertainty ? 1 : 0;
                }
            }
        }
    }
    expect($outside)->toBeLessThanOrEqual(0.05 * $asked);
});

it('finds a share that steps by a few points and stays, on a mat and on two plates', function (DeviceClass $device) {
    foreach ([11.0, -11.0, 13.0] as $i => $step) {
        foreach ([-0.5, -0.15, 0.1] as $at) {
            $part = $step / 100.0 * 78.0 * 9.80665;
            [, $stepped] = subtly($device, static fn (string $n, float $v, float $t): float => $t <= $at
                ? $v
                : match ($n) {
                    'lead_pct' => $v + $step,
                    'trail_pct' => $v - $step,
                    'copx_mm' => $v + 4.7 * $step,
                    'lead_fz_n' => $v + $part,
                    'trail_fz_n' => $v - $part,
                    default => $v,
                }, "steps$i");
            expect(subtleFindings($stepped))->toHaveKey('foot-off', 'nulled');
        }
    }
})->with([DeviceClass::Mat, DeviceClass::DualPlate]);

it('has nothing against sound swings that shift as hard as they can, nor against whole per cents', function () {
    foreach (range(1, many(10, 120)) as $i) {
        $plant = [['early-lunge' => 3], ['late-arrival' => 3], ['late-recentre' => 3], ['fall-off' => 3], []][$i % 5];
        foreach (DeviceClass::cases() as $device) {
            [, $trace] = subtly($device, static fn (string $n, float $v): float => $v, "hard$i", $plant);
            expect(subtleFindings($trace))->toBe([], "$i {$device->value}");
        }
        // A quiet mat that tells whole per cents, with places to the millimetre.
        [, $whole] = subtly(DeviceClass::Mat, static fn (string $n, float $v): float => match (true) {
            str_ends_with($n, '_pct') && ! str_contains($n, 'toe') => round($v / 1.0),
            str_contains($n, 'cop') => round($v),
            default => $v,
        }, "whole$i", $plant);
        $calm = $whole->channels;
        $share = (new Core\Trace\Series(100.0, $calm['lead_pct']))->smoothed(0.06)->values;
        $calm['lead_pct'] = array_map(round(...), $share);
        $calm['trail_pct'] = array_map(static fn (float $v): float => 100.0 - $v, $calm['lead_pct']);
        expect(subtleFindings(new Trace(DeviceClass::Mat, 100.0, $calm, $whole->stance, 78.0)))->toBe([], "$i");
        // Its clock stops for a fifth of a second: that is still seen.
        foreach ($calm as $name => $values) {
            array_splice($values, 130, 20, array_fill(0, 20, $values[130]));
            $calm[$name] = $values;
        }
        expect(subtleFindings(new Trace(DeviceClass::Mat, 100.0, $calm, $whole->stance, 78.0)))->toHaveKey('stuck');
    }
});
