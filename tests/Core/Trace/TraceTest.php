<?php

use Core\Trace\DeviceClass;
use Core\Trace\Foot;
use Core\Trace\Quality;
use Core\Trace\Stance;
use Core\Trace\Trace;

function plateTrace(array $copX, ?Stance $stance, float $fz = 800.0): Trace
{
    $n = count($copX);

    return new Trace(
        DeviceClass::Plate,
        500.0,
        [
            'fx_n' => array_fill(0, $n, 0.0),
            'fy_n' => array_fill(0, $n, 0.0),
            'fz_n' => array_fill(0, $n, $fz),
            'mz_nm' => array_fill(0, $n, 0.0),
            'copx_mm' => $copX,
            'copy_mm' => array_fill(0, $n, 0.0),
        ],
        $stance,
        80.0,
    );
}

it('gives the same lead share from two plates and from a mat', function () {
    $share = corners([[0.0, 50.0], [1.0, 20.0], [2.0, 90.0]]);
    foreach ([0.3, 0.8, 1.4, 2.6] as $t) {
        expect(dualTrace($share)->leadShare()->at($t))->toEqualWithDelta($share($t), 1e-9)
            ->and(matTrace($share)->leadShare()->at($t))->toEqualWithDelta($share($t), 1e-9);
    }
});

it('derives the share of a single plate from the stance, and has none without it', function () {
    expect(plateTrace([-230.0, 0.0, 115.0, 230.0], Stance::ofWidth(460.0))->leadShare()->values)
        ->toBe([0.0, 50.0, 75.0, 100.0])
        ->and(plateTrace([0.0, 0.0], null)->leadShare())
        ->toBeNull();
});

it('calls a share meaningless when hardly anything presses', function () {
    expect(plateTrace([10.0, 10.0], Stance::ofWidth(460.0), 20.0)->leadShare()->values[0])->toBeNan();
});

it('gives total force in per cent of body weight where newtons and mass are known', function () {
    expect(dualTrace(fn () => 50.0, fn () => 130.0)->totalForce()->at(1.0))->toEqualWithDelta(130.0, 1e-9)
        ->and(matTrace(fn () => 50.0)->totalForce())->toBeNull();
});

it('weighs the net centre of pressure by the load of each foot', function () {
    [$x] = dualTrace(fn () => 75.0)->cop();
    expect($x->at(1.0))->toEqualWithDelta(0.75 * 230 - 0.25 * 230, 1e-9);
});

it('refuses a trace that lacks a channel or has channels of unequal length', function () {
    expect(fn () => new Trace(DeviceClass::Mat, 100.0, ['lead_pct' => [1.0, 2.0]]))
        ->toRefuse('lacks trail_pct, copx_mm, copy_mm')
        ->and(
            fn () => new Trace(DeviceClass::Mat, 100.0, [
                'lead_pct' => [1.0, 2.0],
                'trail_pct' => [1.0],
                'copx_mm' => [1.0, 1.0],
                'copy_mm' => [1.0, 1.0],
            ]),
        )
        ->toRefuse('same number of samples');
});

it('refuses feet that are swapped or not of this world', function () {
    expect(fn () => new Stance(new Foot(-200.0, 0.0), new Foot(200.0, 0.0)))
        ->toRefuse('feet swapped')
        ->and(fn () => new Foot(0.0, 0.0, 20.0))
        ->toRefuse('100 to 450 mm');
});

it('finds nothing wrong with a sound recording', function () {
    expect(Quality::findings(dualTrace(fn ($t) => 50 + 20 * sin(3 * $t), fn ($t) => 100 + 2 * sin(40 * $t))))->toBe([]);
});

it('names a mass that does not fit the standing force', function () {
    $found = Quality::findings(dualTrace(fn ($t) => 50 + 20 * sin(3 * $t), fn ($t) => 55 + sin(40 * $t)));
    expect($found)
        ->toHaveCount(1)
        ->and($found[0]->kind)
        ->toBe('mass')
        ->and(inWords()->say($found[0]->remark))
        ->toContain('55 %');
});

it('names a channel that stands still, samples that are missing and a rate that is too low', function () {
    $trace = dualTrace(fn ($t) => 50 + 20 * sin(3 * $t), fn ($t) => 100 + sin(40 * $t));
    $channels = $trace->channels;
    for ($i = 1000; $i < 1600; $i++) {
        $channels['lead_fz_n'][$i] = $channels['lead_fz_n'][1000];
    }
    for ($i = 0; $i < 100; $i++) {
        $channels['trail_fx_n'][$i * 5] = NAN;
    }
    $kinds = array_map(
        static fn ($f) => $f->kind,
        Quality::findings(new Trace($trace->device, 1000.0, $channels, $trace->stance, 80.0)),
    );
    expect($kinds)
        ->toContain('stuck')
        ->toContain('dropped')
        ->and(
            array_map(static fn ($f) => $f->kind, Quality::findings(matTrace(fn ($t) => 50 + 20 * sin(3 * $t), 40.0))),
        )
        ->toBe(['rate']);
});
