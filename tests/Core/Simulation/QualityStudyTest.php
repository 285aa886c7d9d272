<?php

use Core\Motion\Station;
use Core\Simulation\Conditions;
use Core\Simulation\GolferSpec;
use Core\Simulation\Mishap;
use Core\Simulation\Plant;
use Core\Simulation\QualityStudy;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\Quality;
use Core\Trace\QualityFinding;

it('finds every mishap, believes nothing through it, and finds none where there is none', function () {
    $study = new QualityStudy;
    foreach (range(0, many(1, 5)) as $i) {
        $study->golfer($i, 'mishaps');
    }
    expect(array_keys($study->cells))->toEqualCanonicalizing([QualityStudy::SOUND, ...array_keys(Mishap::all())]);
    foreach ($study->cells as $code => $devices) {
        foreach ($devices as $device => $c) {
            if ($code === QualityStudy::SOUND) {
                expect([$c['found'], $c['out'], $c['wrong']])->toBe([0, 0, 0], $device);

                continue;
            }
            expect($c['found'])->toBe($c['n'], "$code, $device")
                ->and($code === 'heel-and-toe-exchanged' ? 0 : $c['opposite'])->toBe(0, "$code, $device")
                // One sign that heel and toe are exchanged only asks.
                ->and($code === 'heel-and-toe-exchanged' ? 0.0 : $c['wrong'] / $c['n'])
                ->toBeLessThan(2.0, "$code, $device");
        }
    }
})->group('study');

it('leaves out what rests on toe and heel where two signs say they are exchanged', function () {
    $told = [];
    foreach (range(0, many(3, 30)) as $i) {
        $swing = Swing::simulated(GolferSpec::ofStudy('reversed', $i, new Plant));
        $trace = $swing->on(DeviceClass::DualPlate, "r$i", new Conditions);
        $kinds = static fn (array $of): array => array_map(static fn (QualityFinding $f): string => $f->kind, $of);
        expect($kinds(Quality::findings($trace)))->toBe([]);
        $turned = Mishap::all()['heel-and-toe-exchanged']->doneTo($trace, $swing->stations->t(Station::DownswingArm));
        foreach (Quality::findings($turned) as $finding) {
            $told[] = $finding->remark->code;
        }
    }
    $both = array_filter($told, static fn (string $code): bool => $code === Flaw::HeelAndToeExchanged->value);
    expect(count($both) / count($told))->toBeGreaterThanOrEqual(0.7)
        ->and(count($told))->toBe(many(3, 30) + 1);
});

it('takes a slip of a mat for one of both feet', function () {
    $swing = Swing::simulated(GolferSpec::ofStudy('slips', 1, new Plant));
    $trace = $swing->on(DeviceClass::Mat, 's', new Conditions);
    $slipped = Mishap::all()['slipped-and-back']->doneTo($trace, $swing->stations->t(Station::DownswingArm));
    $found = array_values(array_filter(
        Quality::findings($slipped),
        static fn (QualityFinding $f): bool => $f->kind === 'slipped',
    ));
    expect($found)->toHaveCount(1)
        ->and($found[0]->signals)->toContain(Core\Trace\Signal::FootCop, Core\Trace\Signal::Cop);
});
