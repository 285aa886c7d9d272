<?php

use Core\Agreement\Profile\DriftChart;
use Core\Chance\Chance;
use Core\Drawing\Axis;
use Core\Drawing\CalibrationPlot;
use Core\Drawing\DriftPlot;
use Core\Drawing\Gauge;
use Core\Drawing\Label;
use Core\Drawing\Plot;
use Core\Drawing\Reach;
use Core\Drawing\Ribbon;
use Core\Drawing\StationLabels;
use Core\Drawing\TracePreview;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;
use Core\Trace\Series;

it('puts values within its frame, upward and to the right, and its ticks where they belong', function () {
    $plot = new Plot(new Axis(0.0, 10.0, ['0' => 0.0, '10' => 10.0]), Axis::shares());
    expect($plot->x(0.0))->toBe($plot->left())->and($plot->x(10.0))->toBe($plot->right())
        ->and($plot->x(5.0))->toEqualWithDelta(($plot->left() + $plot->right()) / 2, 0.01)
        ->and($plot->y(1.0))->toBeLessThan($plot->y(0.0))
        ->and($plot->y(0.0))->toBeLessThan($plot->height)
        ->and(array_map(fn (Label $l): float => $l->x, $plot->beneath()))->toBe([$plot->x(0.0), $plot->x(10.0)])
        ->and(array_map(fn (Label $l): string => $l->text, $plot->beneath()))->toBe(['0', '10'])
        ->and($plot->beside())->toHaveCount(5);
});

it('draws calibration with every interval around its point, broad and slim', function () {
    $c = new Chance('calibration');
    foreach ([1, 3, 8] as $n) {
        $points = array_map(function (int $i) use ($c, $n): array {
            $share = $c->uniform();

            return [
                'p' => 0.5 + 0.5 * ($i + 1) / $n,
                'share' => $share,
                'low' => $share * $c->uniform(),
                'high' => $share + (1 - $share) * $c->uniform(),
            ];
        }, range(0, $n - 1));
        foreach ([CalibrationPlot::broad($points), CalibrationPlot::slim($points)] as $chart) {
            expect($chart->points)->toHaveCount($n)->each(fn ($r) => $r->toBeInstanceOf(Reach::class));
            foreach ($chart->points as $r) {
                expect($r->upper)->toBeLessThanOrEqual($r->y)->and($r->lower)->toBeGreaterThanOrEqual($r->y)
                    ->and($r->x)->toBeGreaterThan($chart->plot->left() - 0.1)
                    ->and($r->x)->toBeLessThan($chart->plot->width);
            }
        }
        expect(CalibrationPlot::slim($points)->plot->width)->toBeLessThan(390.0);
    }
});

it('draws drift within its frame, beyond the band where it is beyond, and names only stretches with room', function () {
    foreach ([24, 72, 240] as $golfers) {
        $calls = [];
        for ($g = 0; $g < $golfers; $g++) {
            foreach (range(1, 10) as $k) {
                $calls[] = ['golfer' => "g$g", 'right' => $g < 6 ? -0.8 : ($k % 3) / 5, 'present' => ($g * $k % 7) / 7];
            }
        }
        $drift = DriftChart::ofCalls($calls, permutations: 200) ?? throw new LogicException('no chart');
        $n = count($drift->points);
        $names = array_map(fn (int $i): string => (6 * $i + 1).'–'.(6 * $i + 6), range(0, $n - 1));
        foreach ([DriftPlot::broad($drift, $names), DriftPlot::slim($drift, $names)] as $chart) {
            expect($chart->lines['present'])->toHaveCount($n)->and($chart->lines['right'])->toHaveCount($n);
            foreach ($chart->lines as $series => $marks) {
                foreach ($marks as $mark) {
                    expect($mark->y)->toBeGreaterThan(0.0)->toBeLessThan($chart->plot->height)
                        ->and($mark->series)->toBe($series);
                }
            }
            $first = [$chart->lines['present'][0]->y, $chart->lines['right'][0]->y];
            $outside = max($first) > $chart->bandFoot || min($first) < $chart->bandTop;
            expect($outside)->toBe($drift->points[0]['beyond']);
            expect(count($chart->plot->beneath()))->toBeLessThanOrEqual($chart->plot->width > 400 ? 12 : 5);
        }
    }
});

it('keeps a gauge on its scale whatever the value, its whisker around the dot', function () {
    $c = new Chance('gauge');
    foreach (range(1, 200) as $_) {
        $value = ($c->uniform() - 0.5) * 400;
        $gauge = Gauge::on([-40.0, 60.0], $value, 30 * $c->uniform(), [-10.0, 5.0], [$value - 9.0, $value + 9.0]);
        foreach ([$gauge->dot, ...$gauge->whisker, ...$gauge->spread, $gauge->band[0]] as $x) {
            expect($x)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(Gauge::WIDTH);
        }
        expect($gauge->whisker[0])->toBeLessThanOrEqual($gauge->dot)
            ->and($gauge->whisker[1])->toBeGreaterThanOrEqual($gauge->dot)
            ->and($gauge->band[1])->toBeGreaterThanOrEqual(1.0);
    }
    expect(Gauge::on([0.0, 1.0], 0.5, 0.0, null, null))->band->toBeNull()->spread->toBeNull();
});

it('leaves away the names of stations that would touch', function () {
    $times = StationTimes::fromSeconds(['AD' => 0.5, 'TP' => 1.5, 'LD' => 1.55, 'IM' => 1.8, 'FI' => 9.0], 0.0,
        StationSource::File);
    $labels = StationLabels::along($times->all(), 0.0, 2.0, fn (float $t): float => 100.0 * $t, 7.0);
    expect(array_map(fn (Label $l): string => $l->text, $labels))->toBe(['AD', 'TP', '', 'IM'])
        ->and($labels[0]->x)->toBe(50.0)->and($labels[0]->y)->toBe(7.0);
});

it('previews a curve from its least to its most, a share from none to all, and a curve without a value', function () {
    $at = fn (array $values): TracePreview => TracePreview::drawn(
        new Series(100.0, $values),
        0.0,
        0.04,
        [],
        [[0.01, 0.02], [-1.0, 9.0]],
    );
    $share = $at([10.0, 50.0, 90.0, 50.0, 10.0]);
    $force = $at([-300.0, 0.0, 900.0, 0.0, -300.0]);
    expect(array_map(fn (Label $l): string => $l->text, $share->levels))->toBe(['100', '50', '0'])
        ->and($share->levels[0]->y)->toBe(TracePreview::TOP)
        ->and(array_map(fn (Label $l): string => $l->text, $force->levels))->toBe(['900', '−300'])
        ->and($share->curve)->toMatch('/^M[\d. ]+(L[\d. ]+)+$/');
    foreach ($share->spans as [$from, $width]) {
        expect($from)->toBeGreaterThanOrEqual(0.0)->and($from + $width)->toBeLessThanOrEqual(TracePreview::WIDTH);
    }
    expect($at([NAN, NAN, NAN, NAN, NAN])->curve)->toBe('');
});

it('has a notch for every station of the ribbon', function () {
    expect(Ribbon::stations())->toHaveCount(9)->and(substr_count(Ribbon::edge(), ' 6L'))->toBe(9);
});
