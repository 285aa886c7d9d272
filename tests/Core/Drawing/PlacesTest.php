<?php

use Core\Agreement\Profile\DriftChart;
use Core\Chance\Chance;
use Core\Drawing\Axis;
use Core\Drawing\CalibrationPlot;
use Core\Drawing\DriftPlot;
use Core\Drawing\FlightShape;
use Core\Drawing\Gauge;
use Core\Drawing\Label;
use Core\Drawing\Plot;
use Core\Drawing\RuleChart;
use Core\Drawing\StationLabels;
use Core\Drawing\TracePreview;
use Core\Drawing\WatchPlot;
use Core\Measurement\Evidence;
use Core\Measurement\Illustration;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Motion\Handedness;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Reading\BallFlight;
use Core\Trace\Series;

// What is drawn is read back by what is written beside it: places to values, by two of the labels.

/** @return list<array{float, float}> the corners of a path of straight lines */
function cornersOf(string $path): array
{
    preg_match_all('/[ML]([-\d.]+) ([-\d.]+)/', $path, $found, PREG_SET_ORDER);

    return array_map(static fn (array $f): array => [(float) $f[1], (float) $f[2]], $found);
}

/** Reads a place by two places whose values are known. */
function readBy(float $place, float $one, float $is, float $other, float $means): float
{
    return $is + ($place - $one) / ($other - $one) * ($means - $is);
}

it('draws a reader’s looks where their numbers are, the limits alike above and below', function () {
    $chance = new Chance('looks');
    for ($i = 0; $i < 40; $i++) {
        $looks = array_map(static fn (): array => [
            'right' => $chance->normal(0.0, 2.0), 'present' => $chance->normal(0.0, 2.0),
            'limit' => 2.0 + $chance->uniform(),
        ], range(1, $chance->between(2, 20)));
        $points = array_map(static fn (string $line): array => array_map(
            static fn (string $p): array => array_map(floatval(...), explode(',', $p)),
            explode(' ', $line),
        ), WatchPlot::of($looks)->lines);
        $far = static fn (array $l): array => [abs($l['right']), abs($l['present']), $l['limit']];
        $all = array_merge(...array_map($far, $looks));
        $top = 1.1 * max(1.0, ...$all);
        foreach ($looks as $k => $look) {
            expect($points['right'][$k][0])->toEqualWithDelta(3 + 234 * $k / (count($looks) - 1), 0.051)
                ->and($points['right'][$k][1])->toEqualWithDelta(30 - 30 * $look['right'] / $top, 0.051)
                ->and($points['present'][$k][1])->toEqualWithDelta(30 - 30 * $look['present'] / $top, 0.051)
                ->and($points['above'][$k][1])->toEqualWithDelta(30 - 30 * $look['limit'] / $top, 0.051)
                ->and($points['below'][$k][1])->toEqualWithDelta(30 + 30 * $look['limit'] / $top, 0.051);
        }
    }
    expect(WatchPlot::of([['right' => 0.1, 'present' => 0.0, 'limit' => 2.0]]))->toBeNull();
});

it('draws drift where its numbers are, by its ticks, each stretch in the middle of its room', function (bool $broad) {
    $calls = [];
    $chance = new Chance('drift');
    for ($g = 0; $g < 48; $g++) {
        for ($k = 0; $k < 8; $k++) {
            $calls[] = [
                'golfer' => "g$g", 'right' => $chance->normal(0.0, 0.4) - ($g > 40 ? 0.6 : 0.0),
                'present' => $chance->normal(0.0, 0.4),
            ];
        }
    }
    $drift = DriftChart::ofCalls($calls, permutations: 200);
    $stretches = array_map(static fn (int $i): string => "w$i", range(1, count($drift->points)));
    $drawn = $broad ? DriftPlot::broad($drift, $stretches) : DriftPlot::slim($drift, $stretches);
    $at = static fn (float $y): float => readBy($y, $drawn->bandTop, $drift->limit, $drawn->bandFoot, -$drift->limit);
    $step = ($drawn->plot->right() - $drawn->plot->left()) / count($stretches);
    foreach ($drift->points as $i => $point) {
        expect($at($drawn->lines['right'][$i]->y))->toEqualWithDelta($point['z_right'], 0.05)
            ->and($at($drawn->lines['present'][$i]->y))->toEqualWithDelta($point['z_present'], 0.05)
            ->and($drawn->lines['right'][$i]->x)->toEqualWithDelta($drawn->plot->left() + ($i + 0.5) * $step, 0.02);
    }
    $ys = array_map(static fn (Label $l): float => $l->y, $drawn->plot->beside());
    expect($ys[0])->toBe($drawn->bandTop)->and($ys[2])->toBe($drawn->bandFoot)
        ->and($ys[1])->toEqualWithDelta(($ys[0] + $ys[2]) / 2, 0.02);
    // Whatever is beyond the band has room above it.
    foreach (array_merge(...array_values($drawn->lines)) as $mark) {
        expect($mark->y)->toBeGreaterThan($drawn->plot->y($drawn->plot->up->to))
            ->toBeLessThan($drawn->plot->y($drawn->plot->up->from));
    }
    $named = $broad ? count($stretches) : (int) ceil(count($stretches) / ceil(count($stretches) / 5));
    expect($drawn->plot->width)->toBe($broad ? 660.0 : 340.0)
        ->and($drawn->plot->beneath())->toHaveCount($named);
})->with([true, false]);

it('draws confidence from a half to sure and names it by whole percents', function () {
    $of = static fn (float $p, float $share): array => [
        'p' => $p, 'share' => $share, 'low' => $share / 2, 'high' => (1 + $share) / 2,
    ];
    foreach ([CalibrationPlot::broad(...), CalibrationPlot::slim(...)] as $make) {
        $drawn = $make([$of(0.5, 0.4), $of(0.75, 0.7), $of(1.0, 1.0)]);
        [$left, $right] = [$drawn->plot->left(), $drawn->plot->right()];
        expect(array_map(static fn ($r): float => $r->x, $drawn->points))->toBe([$left, ($left + $right) / 2, $right])
            ->and(array_map(static fn (Label $l): array => [$l->text, $l->x], $drawn->plot->beneath()))
            ->toBe([['50 %', $left], ['75 %', ($left + $right) / 2], ['100 %', $right]])
            ->and($drawn->points[1]->y)->toBe($drawn->plot->y(0.7))
            ->and($drawn->points[1]->lower)->toBe($drawn->plot->y(0.35))
            ->and($drawn->points[1]->upper)->toBe($drawn->plot->y(0.85));
    }
});

it('has its frame where it says, written beneath and beside it', function () {
    $plot = new Plot(new Axis(0.0, 10.0, ['0' => 0.0, '10' => 10.0]), Axis::shares(), 660.0, 262.0);
    expect([$plot->x(0.0), $plot->x(10.0), $plot->x(2.5)])->toBe([60.0, 620.0, 200.0])
        ->and([$plot->y(0.0), $plot->y(1.0), $plot->y(0.25)])->toBe([220.0, 20.0, 170.0])
        ->and(array_map(static fn (Label $l): float => $l->y, $plot->beneath()))->toBe([238.0, 238.0])
        ->and(array_map(static fn (Label $l): array => [$l->text, $l->x, $l->y], $plot->beside()))
        ->toBe([
            ['0 %', 52.0, 220.0], ['25 %', 52.0, 170.0], ['50 %', 52.0, 120.0], ['75 %', 52.0, 70.0],
            ['100 %', 52.0, 20.0],
        ]);
});

it('stands on a gauge by its scale, whisker, band and spread with it, and at its ends beyond', function () {
    $gauge = Gauge::on([0.0, 100.0], 50.0, 10.0, [20.0, 70.0], [40.0, 65.0]);
    expect($gauge->dot)->toBe(48.0)
        ->and($gauge->whisker)->toBe([38.8, 57.2])
        ->and($gauge->band)->toBe([20.4, 46.0])
        ->and($gauge->spread)->toBe([38.8, 61.8]);
    $beyond = Gauge::on([0.0, 100.0], 140.0, 10.0, [-50.0, -20.0], [90.0, 190.0]);
    expect($beyond->dot)->toBe(94.0)->and($beyond->whisker)->toBe([94.0, 94.0])
        // A band beyond the scale is still seen, at its end.
        ->and($beyond->band)->toBe([2.0, 1.0])
        ->and($beyond->spread)->toBe([84.8, 94.0])
        ->and(Gauge::on([0.0, 1.0], 0.5, 0.1, null, null))->toHaveProperties(['band' => null, 'spread' => null]);
});

it('previews a curve at its times and levels, and what is wrong with it where it is', function () {
    // Rises by a hundred over two seconds, from one second on.
    $curve = new Series(100.0, array_map(static fn (int $i): float => 0.5 * $i, range(0, 200)), 1.0);
    $stations = StationTimes::fromSeconds(['AD' => 1.5, 'TP' => 2.5], 0.0, StationSource::File)->all();
    $drawn = TracePreview::drawn($curve, 1.0, 3.0, $stations, [[1.5, 2.0], [2.999, 3.0], [0.0, 1.0]]);
    $points = cornersOf($drawn->curve);
    expect($points)->toHaveCount(301)->and($points[0])->toBe([40.0, 170.0])->and($points[300])->toBe([632.0, 10.0]);
    foreach ($points as $i => [$x, $y]) {
        expect($x)->toEqualWithDelta(40 + 592 * $i / 300, 0.051)->and($y)->toEqualWithDelta(170 - 160 * $i / 300, 0.4);
    }
    expect(array_map(static fn (Label $l): array => [$l->text, $l->x, $l->y], $drawn->levels))
        ->toBe([['100', 34.0, 10.0], ['50', 34.0, 90.0], ['0', 34.0, 170.0]])
        ->and(array_map(static fn (Label $l): array => [$l->text, $l->x, $l->y], $drawn->stations))
        ->toBe([['AD', 188.0, 190.0], ['TP', 484.0, 190.0]])
        ->and($drawn->spans)->toBe([[188.0, 148.0], [631.7, 2.0], [40.0, 2.0]]);
});

it('names stations from the first moment shown to the last, and one only where there is room for it', function () {
    $times = ['AD' => 1.0, 'TB' => 1.155, 'LB' => 1.156, 'TP' => 2.0];
    $at = StationTimes::fromSeconds($times, 0.0, StationSource::File)->all();
    $named = static fn (float $from, float $to): array => array_map(
        static fn (Label $l): array => [$l->text, round($l->x, 3), $l->y],
        StationLabels::along($at, $from, $to, static fn (float $t): float => round(100.0 * $t, 6), 9.0),
    );
    // 15.5 apart they would touch, a tenth more they do not.
    expect($named(1.0, 2.0))->toBe([['AD', 100.0, 9.0], ['', 115.5, 9.0], ['LB', 115.6, 9.0], ['TP', 200.0, 9.0]])
        ->and(array_column($named(1.0001, 1.9999), 0))->toBe(['TB', '']);
});

it('draws a rule on the curve its value was read off: levels, moments and doubt where they are', function () {
    $share = corners([[0.6, 50.0], [1.4, 20.0], [1.75, 80.0], [2.4, 90.0]]);
    $evidence = new Evidence(stations(), dualTrace($share));
    [$from, $to] = [0.35, 2.5];
    $x = static fn (float $t): float => 34 + ($t - $from) / ($to - $from) * 342;
    foreach ([Measure::LeadShare, Measure::ImpactShare, Measure::TrailPeak] as $measure) {
        $drawn = Illustration::ofMeasure($evidence, $measure);
        $value = $measure === Measure::TrailPeak ? 80.0 : 78.0;
        $found = new Measured('%', $value, 3.0, null, null, [], false, [0.6, 1.75]);
        $chart = RuleChart::drawn($drawn, $from, $to, 60.0, $found, $evidence->stations->all());
        [$low, , $high] = array_map(static fn (Label $l): array => [(float) $l->text, $l->y], $chart->ticks);
        $level = static fn (float $y): float => readBy($y, $low[1], $low[0], $high[1], $high[0]);
        expect(cornersOf($chart->curve))->toHaveCount(241)
            ->and(array_unique(array_map(static fn (Label $l): float => $l->y, $chart->stations)))->toBe([124.0]);
        foreach (cornersOf($chart->curve) as $i => [$px, $py]) {
            $t = $from + ($to - $from) * $i / 240;
            expect($px)->toEqualWithDelta($x($t), 0.051);
            // Near a corner the curve is smoothed.
            if (min(abs($t - 0.6), abs($t - 1.4), abs($t - 1.75), abs($t - 2.4)) > 0.06) {
                expect($level($py))->toEqualWithDelta($share($t), 1.2);
            }
        }
        $is = $measure === Measure::TrailPeak ? [40.0, 20.0] : [60.0, 78.0];
        expect($level($chart->level))->toEqualWithDelta($is[0], 0.9)
            ->and($level($chart->dot[1]))->toEqualWithDelta($is[1], 0.9)
            ->and(abs($level($chart->whisker[2]) - $level($chart->whisker[3])))->toEqualWithDelta(6.0, 0.9)
            ->and($chart->window[0])->toEqualWithDelta($x(0.6), 0.051)
            ->and($chart->window[1])->toEqualWithDelta($x(1.75) - $x(0.6), 0.11)
            ->and($chart->moment)->toBeNull();
    }
    // A time: ms before the top, on a curve that is a level.
    $late = Illustration::ofMeasure($evidence, Measure::RecentreLead);
    $chart = RuleChart::drawn($late, $from, $to, 100.0, Measured::value('ms', -50.0, 20.0), $evidence->stations->all());
    expect($chart->level)->toBeNull()
        ->and($chart->moment)->toEqualWithDelta($x(1.5 - 0.1), 0.051)
        ->and($chart->dot[0])->toEqualWithDelta($x(1.5 + 0.05), 0.051)
        ->and(abs($chart->whisker[1] - $chart->whisker[0]))->toEqualWithDelta($x(0.04) - $x(0.0), 0.11)
        ->and($chart->whisker[2])->toBe($chart->dot[1])
        ->and(RuleChart::drawn($late, $from, $to, 5000.0, Measured::value('ms', -50.0, 20.0), [])->moment)->toBeNull()
        ->and(RuleChart::drawn($late, 50.0, 51.0, 100.0, Measured::value('ms', -50.0, 20.0), []))->toBeNull();
});

it('draws a ball’s way by its angles, mirrored for the other hand', function (float $start, float $curve) {
    $flight = new BallFlight($start, $curve, 'normal', 'centre');
    $drawn = static fn (Handedness $hand): FlightShape => FlightShape::ofFlight($flight, $hand);
    [$right, $left] = [$drawn(Handedness::Right), $drawn(Handedness::Left)];
    $larger = static fn (float $deg): float => deg2rad(max(-38.0, min(38.0, 2.2 * $deg)));
    expect($right->endX)->toEqualWithDelta(48 + 62 * sin($larger($start + $curve)), 0.051)
        ->and($right->endY)->toEqualWithDelta(68 - 62 * cos($larger($start + $curve)), 0.051)
        ->and($left->endX)->toEqualWithDelta(96 - $right->endX, 0.101)
        ->and($left->endY)->toBe($right->endY);
    // It leaves from the middle of the lower edge along its start line.
    preg_match('/^M([\d.]+) ([\d.]+)Q([\d.]+) ([\d.]+) /', $right->above, $at);
    expect([(float) $at[1], (float) $at[2]])->toBe([48.0, 68.0])
        ->and(atan2((float) $at[3] - 48, 68 - (float) $at[4]))->toEqualWithDelta($larger($start), 0.003);
})->with([[0.0, 0.0], [5.0, 0.0], [-5.0, 0.0], [3.0, -9.0], [-8.0, 20.0], [40.0, 10.0], [2.0, 4.0]]);
