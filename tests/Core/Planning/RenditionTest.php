<?php

use Core\Chance\Chance;
use Core\Motion\Clock;
use Core\Motion\Station;
use Core\Planning\Rendition;
use Core\Simulation\GolferSpec;
use Core\Simulation\Swing;
use Core\Trace\DeviceClass;
use Core\Trace\Series;
use Core\Trace\Trace;

it('shows the same swing by another clock: curves agree, no sample need', function () {
    $swing = Swing::simulated(new GolferSpec('rendered', device: DeviceClass::Mat));
    $trace = $swing->trace;
    $end = $trace->t0 + $trace->duration();
    $twice = [];
    for ($i = 0; $i < 20; $i++) {
        $r = Rendition::draw(new Chance("rendition $i"), $trace->t0, $end, $swing->stations);
        $shown = $r->trace($trace);
        expect($r->start)
            ->toBeGreaterThanOrEqual($trace->t0)
            ->and($r->end)
            ->toBeLessThanOrEqual($end)
            ->and($r->start)
            ->toBeLessThan($swing->stations->t(Station::Address))
            ->and($r->end)
            ->toBeGreaterThan($swing->stations->t(Station::Finish))
            ->and($shown->t0)
            ->toBe(0.0)
            ->and($shown->samples())
            ->toBeLessThan($trace->samples());
        foreach ([0.3, 0.8, 1.3] as $t) {
            expect($shown->leadShare()->at($t))->toEqualWithDelta($trace->leadShare()->at($t + $r->start), 3.0);
        }
        $stations = $r->stations($swing->stations);
        expect(array_keys($stations->all()))->toBe(array_keys($swing->stations->all()));
        foreach ($stations->all() as $code => $time) {
            expect($time->t + $r->start)->toEqualWithDelta($swing->stations->all()[$code]->t, 0.0045);
        }
        expect($r->stance($trace->stance)->lead->xMm)->toEqualWithDelta($trace->stance->lead->xMm, 2.05);
        $twice[] = json_encode([$shown->samples(), $r->duration(), array_slice($shown->channels['lead_pct'], 0, 5)]);
    }
    expect(count(array_unique($twice)))->toBe(20);
});

it('carries times there and back exactly', function () {
    $r = Rendition::draw(new Chance('exact'), 0.0, 3.0, stations());
    for ($i = 0; $i <= 20_000; $i += 7) {
        $t = round($i / 10_000, 4);
        expect($r->fromRecording($r->toRecording($t)))->toBe($t);
    }
});

it('draws within a recording that has no stations, and one that is hardly longer than the swing', function () {
    foreach (
        [[stations(['AD' => 0.05, 'FI' => 2.95]), 0.0, 3.0], [Core\Motion\StationTimes::fromTimes([]), 0.2, 1.0]] as [$stations, $t0, $end]
    ) {
        for ($i = 0; $i < 50; $i++) {
            $r = Rendition::draw(new Chance("short $i"), $t0, $end, $stations);
            // With hardly anything ahead of address a rendition begins before the recording does.
            expect($r->start)
                ->toBeGreaterThanOrEqual($t0 - 0.2)
                ->and($r->end)
                ->toBeLessThanOrEqual($end)
                ->and($r->duration())
                ->toBeGreaterThan(0.1);
            [$first, $last] = $r->frames(0.1, 120.0, 200);
            expect($first)
                ->toBeGreaterThanOrEqual(0)
                ->and($last)
                ->toBeGreaterThan($first)
                ->and($last)
                ->toBeLessThan(200);
        }
    }
});

it('tells no station of two renditions at one time, however little stands ahead of address', function () {
    foreach ([0.0, 0.05, 0.15, 0.3, 0.7] as $ahead) {
        $times = stations(['AD' => $ahead, 'FI' => 2.95]);
        for ($i = 0; $i < 100; $i++) {
            $taken = $told = [];
            foreach (['a', 'b', 'c'] as $place) {
                $r = Rendition::draw(new Chance("$place $i $ahead"), 0.0, 3.0, $times, $taken);
                $taken[] = $r->start;
                foreach ($r->stations($times)->all() as $code => $time) {
                    $told[$code][] = round($time->t, 4);
                }
                expect($r->start)->toBeLessThanOrEqual($ahead);
            }
            foreach ($told as $of) {
                expect(array_unique($of))->toHaveCount(3);
            }
        }
    }
});

it('knows a recording that every rendition would show to be short', function () {
    foreach ([[0.0, 0.1, true], [0.0, 0.1999, true], [0.0, 0.2001, false], [0.5, 0.6, true], [-0.4, 0.1, false]] as [$t0, $address, $short]) {
        expect(Rendition::isShort($t0, stations(['AD' => $address])))->toBe($short);
    }
    expect(Rendition::isShort(0.0, Core\Motion\StationTimes::fromTimes([])))->toBeTrue();
});

it('tells no rate that was measured, and keeps the curves', function () {
    $swing = Swing::simulated(new GolferSpec('odd rate', device: DeviceClass::Mat));
    $trace = $swing->trace;
    foreach ([[99.973, 100.0], [62.5, 60.0], [239.76, 240.0], [4.0, 10.0]] as [$measured, $told]) {
        $odd = new Trace($trace->device, $measured, array_map(
            fn (string $name): array => $trace->series($name)->resampled($measured)->values,
            array_combine(array_keys($trace->channels), array_keys($trace->channels)),
        ), $trace->stance, $trace->massKg, $trace->t0);
        $end = $odd->t0 + $odd->duration();
        $r = Rendition::draw(new Chance("odd $measured"), $odd->t0, $end, $swing->stations);
        $shown = $r->trace($odd);
        expect($shown->rateHz)->toBe($told)
            ->and($shown->samples())->toBe((int) floor($r->duration() * $told + 1e-6) + 1);
        foreach ([0.3, 0.9, 1.6] as $t) {
            expect($shown->leadShare()->at($t))
                ->toEqualWithDelta($odd->leadShare()->at($t + $r->start), $measured < 50 ? 12.0 : 3.0);
        }
    }
    $motion = $swing->motion();
    $odd = new Core\Motion\Motion($motion->rateHz * 0.9987, $motion->points, $motion->t0, $motion->view);
    expect($r->motion($odd)->rateHz)->toBe(10.0 * round($motion->rateHz / 10.0));
});

it('begins no two filmed views with one frame, and tells no drift to the digit', function () {
    $told = [];
    for ($i = 0; $i < 60; $i++) {
        $r = Rendition::draw(new Chance("film $i"), 0.0, 3.0, stations());
        [$first, $last] = $r->frames(-0.4, 60.0, 240);
        [$next, $end] = $r->frames(-0.4, 60.0, 240, [$first, $first + 1]);
        expect([$next, $end])->toBe([$first + 2, $last]);
        $own = new Clock(-0.4, 37.25);
        $clock = $r->filmClock($own, $first, $last - $first + 1, 60.0);
        foreach ([0, intdiv($last - $first, 2), $last - $first] as $n) {
            expect($r->start + $clock->toRecording($n / 60.0))
                ->toEqualWithDelta($own->toRecording(($first + $n) / 60.0), 1e-4);
        }
        expect(abs($clock->driftPpm - 37.25))->toBeLessThanOrEqual(40.1);
        $told[] = $clock->driftPpm;
        // One of before tells the film's own.
        $before = new Rendition($r->start, $r->end, array_slice($r->nudges, 0, 13));
        expect($before->filmClock($own, $first, 100, 60.0)->toRecording(0.5) + $r->start)
            ->toEqualWithDelta($own->toRecording($first / 60.0 + 0.5), 1e-6);
    }
    expect(count(array_unique($told)))->toBeGreaterThan(50);
    // A film that begins late, and is hardly there.
    expect((new Rendition(0.0, 3.0, []))->frames(2.9, 60.0, 3, [0, 1, 2]))->toBe([1, 2]);
});

it('moves places and heights of who stands still, pressure and points together, so that no two are the same', function () {
    $swing = Swing::simulated(new GolferSpec('still', device: DeviceClass::Mat));
    $motion = $swing->motion();
    $end = $swing->trace->t0 + $swing->trace->duration();
    $heights = $centres = [];
    for ($i = 0; $i < 20; $i++) {
        $r = Rendition::draw(new Chance("still $i"), $swing->trace->t0, $end, $swing->stations);
        $nose = $r->motion($motion)->points['head'];
        foreach ([0, 1, 2] as $axis) {
            $was = new Series($motion->rateHz, $motion->points['head'][$axis], $motion->t0);
            $off = $nose[$axis][0] - $was->at($r->start);
            expect(abs($off))->toBeLessThanOrEqual(2.0)
                ->and($off)->toEqualWithDelta(2.0 * $r->nudges[10 + $axis], 1e-9);
        }
        $shown = $r->trace($swing->trace)->channels;
        expect($shown['copx_mm'][0] - $swing->trace->series('copx_mm')->at($r->start))
            ->toEqualWithDelta(2.0 * $r->nudges[10], 1e-9);
        $heights[] = round($nose[2][0], 1);
        $centres[] = round(array_sum(array_slice($shown['copx_mm'], 0, 10)) / 10.0, 1);
        // One of before has no draw for heights, and is shown as it was.
        $before = new Rendition($r->start, $r->end, array_slice($r->nudges, 0, 12));
        expect($before->motion($motion)->points['head'][2][0])
            ->toEqualWithDelta($nose[2][0] - 2.0 * $r->nudges[12], 1e-9);
    }
    expect(count(array_unique($heights)))->toBeGreaterThan(12)->and(count(array_unique($centres)))->toBeGreaterThan(12);
});
