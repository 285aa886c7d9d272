<?php

use Core\Chance\Chance;
use Core\Measurement\Evidence;
use Core\Measurement\Measure;
use Core\Measurement\Meter;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Simulation\Camera;
use Core\Simulation\Conditions;
use Core\Simulation\GolferSpec;
use Core\Simulation\Plant;
use Core\Simulation\Population;
use Core\Simulation\Swing;
use Core\Simulation\UncertaintyStudy;
use Core\Trace\DeviceClass;

/** Share of all values of a column within their ±, and how many there were. */
function heldBy(UncertaintyStudy $study, string $column): array
{
    $cells = $study->cells[$column];
    $n = array_sum(array_column($cells, 'n'));

    return [array_sum(array_column($cells, 'held')) / $n, $n];
}

it('states a ± that holds what happened, with noise as the class says and with twice that and correlated', function (
    Conditions $conditions,
    float $least,
) {
    $study = new UncertaintyStudy($conditions, 'test');
    for ($i = 0; $i < many(3, 12); $i++) {
        $study->golfer($i, many(3, 10));
    }
    foreach (UncertaintyStudy::COLUMNS as $column) {
        [$held, $n] = heldBy($study, $column);
        expect($n)->toBeGreaterThan(100)->and($held)->toBeGreaterThan($least, $column);
    }
    // What another process counted is added to it.
    $twice = new UncertaintyStudy($conditions, 'test');
    $twice->add($study->cells);
    $twice->add($study->cells);
    expect(heldBy($twice, 'mat')[1])->toBe(2 * heldBy($study, 'mat')[1])
        ->and(heldBy($twice, 'mat')[0])->toEqualWithDelta(heldBy($study, 'mat')[0], 1e-12);
})->with([[Conditions::ordinary(), 0.88], [Conditions::harsh(), 0.84]]);

it('is wider about a recording that trembles more, and no wider about one that is only longer', function () {
    $s = Swing::simulated(new GolferSpec('wider', device: DeviceClass::DualPlate));
    $u = static fn (Conditions $c): array => array_map(
        static fn (Measure $m): float => (float) Meter::read(new Evidence(
            $s->stations,
            $s->on(DeviceClass::DualPlate, 'wider', $c),
            null,
            $s->stance,
        ))->get($m)->uncertainty,
        [Measure::ShiftRate, Measure::TrailPeakAt, Measure::Dip, Measure::Twist, Measure::HeelToeTrail],
    );
    [$calm, $loud] = [$u(new Conditions), $u(new Conditions(4.0, 0.02))];
    foreach ($calm as $i => $narrow) {
        expect($loud[$i])->toBeGreaterThan(1.3 * $narrow);
    }
});

it('leaves constant errors of an instrument out of differences, and has them in places', function () {
    $s = Swing::simulated(new GolferSpec('offsets', device: DeviceClass::Mat));
    $read = static fn (string $seed) => Meter::read(new Evidence(
        $s->stations,
        $s->on(DeviceClass::Mat, $seed, new Conditions(0.01, offsets: true)),
        null,
        $s->stance,
    ));
    $spread = static function (Measure $m) use ($read): float {
        $values = array_map(static fn (int $k): float => $read("o$k")->get($m)->number(), range(1, 12));
        $mean = array_sum($values) / 12;

        return sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / 11);
    };
    expect($spread(Measure::ImpactShare))->toBeBetween(0.4, 2.2)
        ->and($spread(Measure::LeadLegDrift))->toBeLessThan(0.1)
        ->and($spread(Measure::LateSurge))->toBeLessThan(0.15);
});

it('tells a single plate\'s share by where feet that point out press', function () {
    $s = Swing::simulated(new GolferSpec('flared', device: DeviceClass::Plate));
    [$true] = $s->truth(120.0);
    $share = $s->on(DeviceClass::Plate, 'flared', new Conditions(0.01))->leadShare();
    foreach (['AD', 'TP', 'LD', 'IM', 'FI'] as $code) {
        $t = $s->stations->all()[$code]->t;
        expect(abs($share->at($t) - $true->leadShare()->at($t)))->toBeLessThan(3.0, $code);
    }
});

it('takes the slant of the line off its width before it tells a turn on film', function () {
    $s = Swing::simulated(new GolferSpec('slant'));
    $film = new Views(
        Camera::record($s->motion(), View::FaceOn, 'slant'),
        Camera::record($s->motion(), View::DownTheLine, 'slant'),
    );
    $on = Meter::read(new Evidence($s->stations, null, $film, $s->stance));
    $true = Meter::read(new Evidence($s->stations, null, $s->motion(), $s->stance));
    foreach (['LB', 'TP', 'IM', 'ST'] as $code) {
        $seen = $on->get(Measure::ChestTurn, $code);
        expect(abs($seen->number() - $true->get(Measure::ChestTurn, $code)->number()))
            ->toBeLessThan($seen->uncertainty, $code)
            ->and($seen->proxy)->not->toBeNull();
    }
});

it('is sure of a way where its ends move along it, and less where they move across it', function () {
    $s = Swing::simulated(new GolferSpec('way'));
    $late = static fn (float $u): StationTimes => StationTimes::fromTimes(array_map(
        static fn (StationTime $t): StationTime => new StationTime($t->t, $u, StationSource::File),
        $s->stations->all(),
    ));
    $u = static fn (float $known): float => Meter::read(
        new Evidence($late($known), $s->trace, $s->motion(), $s->stance),
    )
        ->get(Measure::CopDirection)->uncertainty;
    expect($u(0.02))->toBeGreaterThan($u(0.002))->and($u(0.002))->toBeGreaterThan(0.0);
});

it('draws noise of the level and memory it is asked for', function (float $memory) {
    $noise = (new Conditions(2.0, $memory))->noise(new Chance("drawn|$memory"), 500.0);
    $values = [];
    for ($i = 0; $i < 20000; $i++) {
        $values[] = $noise();
    }
    $product = static fn (int $apart): float => array_sum(array_map(
        static fn (int $i): float => $values[$i] * $values[$i + $apart],
        range(0, 19000),
    )) / 19001;
    expect($product(0))->toEqualWithDelta(4.0, 0.5)
        ->and($product(15) / $product(0))->toEqualWithDelta($memory > 0.0 ? exp(-0.03 / $memory) : 0.0, 0.08);
})->with([0.0, 0.03]);

it('knows a population by its percentiles, each fault in it', function () {
    expect(Population::percentiles(array_map(floatval(...), range(0, 100))))->toBe([1.0, 50.0, 99.0])
        ->and(Population::percentiles([3.0, 1.0]))->toEqual([1.02, 2.0, 2.98]);
    $index = (int) array_search('hang-back', Plant::FAULTS, true);
    $values = Population::golfer($index, 'test');
    $sound = Population::golfer(count(Plant::FAULTS), 'test');
    expect($values['impact_share'])->toBeLessThan(70.0)
        ->and($sound['impact_share'])->toBeGreaterThan(76.0)
        ->and($sound)->toHaveKeys(['chest_turn@TP', 'rise', 'tempo', 'trail_peak_at']);
});
