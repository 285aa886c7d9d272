<?php

use Core\Measurement\Assessment;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Motion\Station;
use Core\Simulation\Conditions;
use Core\Simulation\GolferSpec;
use Core\Simulation\Mishap;
use Core\Simulation\Plant;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;
use Core\Trace\Trace;

/** @return list<string> kinds of what is found */
function lostKinds(Trace $trace): array
{
    return array_column(Quality::findings($trace), 'kind');
}

function lostSwing(int $i): Swing
{
    return Swing::simulated(GolferSpec::ofStudy('lost-stretch', $i, new Plant($i % 2 === 0 ? [] : [
        Plant::FAULTS[$i % count(Plant::FAULTS)] => 3,
    ])));
}

it('finds samples lost on two plates wherever the feet move, and believes nothing of the trace', function () {
    foreach (range(1, many(6, 60)) as $i) {
        $s = lostSwing($i);
        $sound = $s->on(DeviceClass::DualPlate, "lost$i", new Conditions);
        foreach ([Station::BackswingArm, Station::Top, Station::DownswingArm, Station::Impact] as $station) {
            $lost = Mishap::all()['stretch-lost']->doneTo($sound, $s->stations->t($station));
            expect($lost->samples())->toBe($sound->samples() - 60)
                ->and($lost->rateHz)->toBe($sound->rateHz)
                ->and(lostKinds($lost))->toContain('lost');
            $said = array_values(array_filter(
                Quality::findings($lost),
                static fn (QualityFinding $f): bool => $f->kind === 'lost',
            ))[0];
            expect($said->remark->with['at_s'])->toEqualWithDelta($s->stations->t($station), 0.003)
                ->and(inWords()->say($said->remark))->toContain('samples were lost');
            $measured = Assessment::ofEvidence(new Evidence($s->stations, $lost, null, $s->stance))->measurements;
            foreach ([Measure::SetupShare, Measure::ImpactShare, Measure::Rise, Measure::HeelToeLead] as $measure) {
                expect($measured->get($measure)->value)->toBeNull();
            }
        }
    }
});

it('is not to be told by two plates that nothing crosses while nobody moves', function () {
    $s = lostSwing(0);
    $sound = $s->on(DeviceClass::DualPlate, 'lost-still', new Conditions);
    $still = Mishap::all()['stretch-lost']->doneTo($sound, $sound->t0 + 0.2);

    expect(lostKinds($still))->toBe([]);
});

it('finds nothing lost in sound recordings, whatever the noise, the step of the display and the golfer', function () {
    $whole = static fn (Trace $t, array $steps): Trace => new Trace($t->device, $t->rateHz, array_combine(
        array_keys($t->channels),
        array_map(static fn (string $name, array $values): array => array_map(static function (float $v) use (
            $name,
            $steps,
        ): float {
            $step = $steps[strrchr($name, '_')] ?? 0.0;

            return $step > 0.0 ? $step * round($v / $step) : $v;
        }, $values), array_keys($t->channels), $t->channels),
    ), $t->stance, $t->massKg, $t->t0);
    foreach (range(1, many(12, 120)) as $i) {
        $s = lostSwing($i);
        foreach (DeviceClass::cases() as $device) {
            foreach ([new Conditions, Conditions::harsh(), new Conditions(0.05)] as $k => $how) {
                $trace = $s->on($device, "lost-sound$i", $how);
                expect(lostKinds($trace))->not->toContain('lost', "$i $device->value $k")
                    ->and(lostKinds($whole($trace, ['_pct' => 1.0, '_mm' => 1.0, '_n' => 5.0, '_nm' => 0.5])))
                    ->not->toContain('lost', "$i $device->value $k in whole steps");
            }
        }
    }
});

it('says nothing of a leap beside missing samples, nor of recordings hardly longer than it looks', function () {
    $s = lostSwing(2);
    $sound = $s->on(DeviceClass::DualPlate, 'lost-gap', new Conditions);
    $at = (int) round(($s->stations->t(Station::DownswingArm) - $sound->t0) * $sound->rateHz);
    $lost = Mishap::all()['stretch-lost']->doneTo($sound, $s->stations->t(Station::DownswingArm));
    $channels = $lost->channels;
    foreach ($channels as $name => $values) {
        $channels[$name][$at + 1] = NAN;
    }
    $gap = new Trace($lost->device, $lost->rateHz, $channels, $lost->stance, $lost->massKg, $lost->t0);
    expect(lostKinds($gap))->not->toContain('lost');
    foreach ([2, 3, 5, 6, 7] as $n) {
        $short = array_map(static fn (array $v): array => array_slice($v, $at - 3, $n), $lost->channels);
        $tiny = new Trace($lost->device, $lost->rateHz, $short, $lost->stance, $lost->massKg);
        expect(lostKinds($tiny))->not->toContain('lost');
    }
});

it('does not take one foot’s mishap for lost time', function (string $mishap) {
    foreach (range(1, many(4, 24)) as $i) {
        $s = lostSwing($i);
        $bad = Mishap::all()[$mishap];
        foreach ($bad->devices as $device) {
            $sound = $s->on($device, "lost-not$i", new Conditions);
            $trace = $bad->doneTo($sound, $s->stations->t(Station::DownswingArm));
            expect(lostKinds($trace))->not->toContain('lost', "$i $device->value");
        }
    }
})->with(['foot-off', 'slipped-and-back', 'slipped-for-good', 'stuck', 'gap', 'saturated', 'hum']);
