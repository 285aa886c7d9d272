<?php

use Core\Motion\Doubt;
use Core\Motion\Station;
use Core\Motion\StationsFromMotion;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Simulation\Camera;
use Core\Simulation\GolferSpec;
use Core\Simulation\Pace;
use Core\Simulation\Plant;
use Core\Simulation\StationStudy;
use Core\Simulation\Swing;

/*
 * Stations of swings that are no ordinary ones: of every pace and size, and where the club was not seen.
 */

function paced(string $kind, int $i = 0): Swing
{
    return Swing::simulated(GolferSpec::ofStudy('paced', $i, new Plant, pace: Pace::kinds()[$kind]), 240.0);
}

function stationsIn(Swing $swing, View $view, string $seed = 'p'): ?Core\Motion\FoundStations
{
    return StationsFromMotion::find(new Views(Camera::record($swing->motion(), $view, $seed)));
}

it('puts the top where the shaft goes down, however long it rested, and says that it rested', function (View $view) {
    foreach (range(0, many(2, 6) - 1) as $i) {
        $swing = paced('resting', $i);
        $found = stationsIn($swing, $view);
        $top = $found->times->get(Station::Top);
        expect(abs($top->t - $swing->stations->t(Station::Top)))->toBeLessThan(max(0.02, $top->uncertainty))
            ->and($found->doubts['TP']->is(Doubt::RestsAtTheTop))->toBeTrue()
            ->and(worded($found->doubts['TP']))->toContain('the top is when it goes down');
        // Who does not rest is not said to.
        $ordinary = stationsIn(paced('ordinary', $i), $view);
        expect(isset($ordinary->doubts['TP']))->toBeFalse();
    }
})->with([View::Points, View::FaceOn]);

it('does not take another reversal for the top where the club is not seen there', function (View $view) {
    $study = new StationStudy;
    foreach (range(0, many(2, 6) - 1) as $i) {
        $study->swing(StationStudy::CLUB_LOST, $i, 'lost');
    }
    $cells = $study->cells[$view->value][StationStudy::CLUB_LOST];
    expect($cells['TP']['sure']->n)->toBe(0)
        ->and($cells['TP']['doubted']->share())->toBe(1.0)
        ->and($cells['TP']['doubted']->error())->toBeLessThan(0.2)
        ->and($cells['AD']['missing'] + $cells['TB']['missing'] + $cells['LB']['missing'])->toBe(0);
})->with(View::cases());

it('finds no arm level where the arm never came level, and what there is within its ±', function () {
    $chip = paced('chip');
    expect($chip->stations->t(Station::BackswingArm))->toBeNull()
        ->and($chip->stations->t(Station::DownswingArm))->toBeNull();
    foreach ([View::Points, View::FaceOn] as $view) {
        $found = stationsIn($chip, $view);
        expect($found->times->get(Station::BackswingArm))->toBeNull()
            ->and($found->times->get(Station::DownswingArm))->toBeNull();
        foreach ([Station::Address, Station::Top, Station::Impact] as $station) {
            $time = $found->times->get($station);
            expect(abs($time->t - $chip->stations->t($station)))->toBeLessThan(1.3 * $time->uncertainty);
        }
    }
});

it('makes a small swing small in everything, and an ordinary one as it was', function () {
    $full = paced('ordinary');
    $pitch = paced('pitch');
    $reach = static fn (Swing $s): float => $s->motion()->coordinate('club_head', Core\Trace\Axis::Z)
        ->highest(0.8, $s->stations->t(Station::Top) + 0.01)->value;
    $range = static fn (Swing $s): float => max($s->trace->leadShare()->values) - min($s->trace->leadShare()->values);
    expect($range($pitch))->toBeLessThan(0.85 * $range($full))
        ->and($pitch->motion()->speed('club_head', 0.02)->highest(0.8, 3.0)->value)
        ->toBeLessThan(0.8 * $full->motion()->speed('club_head', 0.02)->highest(0.8, 3.0)->value)
        ->and($reach($pitch))->toBeLessThan($reach($full) + 400.0)
        ->and(Swing::simulated(GolferSpec::ofStudy('paced', 0, new Plant), 240.0)->trace->channels)
        ->toEqual($full->trace->channels);
});

it('from a trace alone is the less sure of the arm and the shaft the less pressure comes over', function () {
    $study = new StationStudy;
    foreach (['ordinary', 'pitch', 'chip'] as $kind) {
        foreach (range(0, many(2, 5) - 1) as $i) {
            $study->swing($kind, $i, 'small');
        }
    }
    foreach (['mat', 'plate', 'dual-plate'] as $source) {
        $of = $study->cells[$source];
        expect($of['pitch']['LB']['doubted']->width())->toBeGreaterThan(1.5 * $of['ordinary']['LB']['doubted']->width())
            ->and($of['chip']['ST']['doubted']->share())->toBe(1.0)
            ->and($of['ordinary']['FI']['doubted']->share())->toBe(1.0)
            ->and($of['ordinary']['IM']['sure']->n)->toBe(0, 'every station of a trace alone is doubtful');
    }
});
