<?php

use Core\Codebook\Codebook;
use Core\Codebook\Said;
use Core\Codebook\SwingReport;
use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Simulation\Conditions;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Trace;

/**
 * The two plates' pushes from heel to toe off by as much, one this way and one that, and their twists so that neither
 * the net push nor the net twist changes anywhere: who stands like that looks like one whose feet oppose each other.
 */
function opposedZeros(Trace $sound, float $percent): Trace
{
    $by = $percent / 100.0 * $sound->massKg * 9.80665;
    $c = $sound->channels;
    foreach ($c['lead_fy_n'] as $i => $v) {
        $c['lead_fy_n'][$i] = $v + $by;
        $c['trail_fy_n'][$i] -= $by;
        $arm = ($c['lead_copx_mm'][$i] - $c['trail_copx_mm'][$i]) / 1000.0;
        $c['lead_mz_nm'][$i] += is_nan($arm) ? 0.0 : $arm * $by;
    }

    return new Trace($sound->device, $sound->rateHz, $c, $sound->stance, $sound->massKg, $sound->t0);
}

it('widens the push of a foot whose zero was never seen by what it shows of who stands', function () {
    foreach (range(1, many(4, 40)) as $i) {
        $plant = new Plant($i % 2 === 0 ? ['weak-couple' => 3] : []);
        $s = Swing::simulated(GolferSpec::ofStudy('unseen-zero', $i, $plant));
        $sound = $s->on(DeviceClass::DualPlate, "unseen$i", new Conditions);
        $was = new SwingReport(new Evidence($s->stations, $sound, null, $s->stance));
        $said = $was->faults(Codebook::standard())['weak-couple']->said();
        foreach ([-6.0, -3.0, 3.0, 6.0] as $percent) {
            $off = opposedZeros($sound, $percent);
            $is = new SwingReport(new Evidence($s->stations, $off, null, $s->stance));
            // Net push and net twist are those of the sound one; that heel and toe may be exchanged is only asked.
            expect(array_diff(array_column($is->assessment->findings, 'kind'), ['reversed']))->toBe([]);
            foreach ([Measure::HeelToeLead, Measure::HeelToeTrail] as $measure) {
                $a = $was->assessment->measurements->get($measure);
                $b = $is->assessment->measurements->get($measure);
                if ($a->value !== null && $b->value !== null) {
                    expect(abs($a->value - $b->value))->toBeLessThan($a->uncertainty + $b->uncertainty)
                        ->and($b->uncertainty)->toBeGreaterThan(abs($percent) - 0.5);
                }
            }
            $now = $is->faults(Codebook::standard())['weak-couple']->said();
            expect([$said, $now])->not->toBe([Said::Contradicted, Said::Supported], "$i $percent")
                ->and([$said, $now])->not->toBe([Said::Supported, Said::Contradicted], "$i $percent");
        }
    }
});

it('has in every ± of a force what a mass stated wrong makes of it', function (float $times) {
    foreach (range(1, many(3, 24)) as $i) {
        $s = Swing::simulated(GolferSpec::ofStudy('wrong-mass', $i, new Plant($i % 2 === 0 ? ['hang-back' => 2] : [])));
        foreach ([DeviceClass::Plate, DeviceClass::DualPlate] as $device) {
            $sound = $s->on($device, "mass$i", new Conditions);
            $wrong = new Trace(
                $device, $sound->rateHz, $sound->channels, $sound->stance, $times * $sound->massKg, $sound->t0,
            );
            $read = static fn (Trace $t): array => Assessment::ofEvidence(
                new Evidence($s->stations, $t, null, $s->stance),
            )->measurements->all();
            [$was, $is] = [$read($sound), $read($wrong)];
            foreach ($was as $key => $true) {
                $now = $is[$key];
                if (! is_array($true) && in_array($true->unit, ['%BW', 'N·m/kg'], true) && $now->value !== null) {
                    expect(abs($now->value - $true->value))->toBeLessThan($now->uncertainty + $true->uncertainty, $key);
                }
            }
        }
    }
})->with([0.82, 0.93, 1.04, 1.12, 1.25]);

it('widens nothing where the foot was off its plate for a while, nor where the feet hardly oppose each other', function () {
    $s = Swing::simulated(GolferSpec::ofStudy('unseen-zero', 1, new Plant([])));
    $sound = $s->on(DeviceClass::DualPlate, 'unseen-off', new Conditions);
    $read = static fn (Trace $t): ?float => Assessment::ofEvidence(new Evidence($s->stations, $t, null, $s->stance))
        ->measurements->get(Measure::HeelToeLead)->uncertainty;
    $calm = $read($sound);
    // After the finish the foot is lifted: then its plate shows its own zero, and here it is none.
    $c = opposedZeros($sound, 1.2)->channels;
    $n = count($c['lead_fz_n']);
    foreach (['lead_fz_n', 'lead_fx_n', 'lead_mz_nm'] as $name) {
        array_splice($c[$name], $n - 150, 150, array_fill(0, 150, 0.3));
    }
    $lifted = new Trace($sound->device, $sound->rateHz, $c, $sound->stance, $sound->massKg, $sound->t0);

    expect($calm)->toBeLessThan(1.0)
        ->and($read(opposedZeros($sound, 1.2)))->toBeGreaterThan(0.8)
        ->and($read($lifted))->toEqualWithDelta($calm, 0.35);
});
