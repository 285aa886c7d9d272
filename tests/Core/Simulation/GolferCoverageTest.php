<?php

use Core\Chance\Chance;
use Core\Simulation\GolferCoverage;
use Core\Simulation\RoundErrors;

it('draws golfers whose swings are alike, with calls missing and calls not told', function () {
    $of = new GolferCoverage(0.3, true);
    $set = $of->draw(40, $of->these(), new Chance('draw'));
    $present = $all = 0;
    $said = [];
    foreach ($set->items() as $item) {
        foreach ($set->cases() as $case) {
            $all++;
            $present += $set->keyFor($item, $case) === 'present' ? 1 : 0;
        }
    }
    foreach ($set->raterNames() as $rater) {
        foreach ($set->ratingsOf($rater, '1') as $calls) {
            foreach ($calls as [$value]) {
                $said[$value] = ($said[$value] ?? 0) + 1;
            }
        }
    }
    expect($set->isClustered())->toBeTrue()->and($set->clusterCount())->toBe(40)
        ->and($present / $all)->toEqualWithDelta(0.3, 0.08)
        ->and(array_sum($said) / (8 * $all))->toEqualWithDelta(0.92, 0.02)
        ->and($said['cannot_tell'] / (8 * $all))->toEqualWithDelta(0.08, 0.02)
        ->and($set->repeats('w'))->toHaveCount(1);
});

it('draws the same golfers again with other calls', function () {
    $of = new GolferCoverage(0.3, false);
    $one = $of->draw(10, $of->these(), new Chance('golfers'), new Chance('spring'));
    $two = $of->draw(10, $of->these(), new Chance('golfers'), new Chance('autumn'));
    expect($two->cases())->toBe($one->cases())
        ->and(array_map(fn (string $c): ?string => $two->keyFor('w', $c), $two->cases()))
        ->toBe(array_map(fn (string $c): ?string => $one->keyFor('w', $c), $one->cases()))
        ->and($two->ratingsOf('r1', '1'))->not->toEqual($one->ratingsOf('r1', '1'));
});

it('counts how often intervals of rounds hold, for these readers and for readers like them', function () {
    $of = new GolferCoverage(0.35, false);
    $n = many(40, 500);
    $these = $of->run($of->truth(many(600, 6000), true), 15, $n);
    $like = (new GolferCoverage(0.35, false))->runLike($of->truth(many(300, 1500), false), 15, $n);
    foreach (['percent_agreement', 'gwet_ac1', 'krippendorff_alpha', 'key: sensitivity', 'key: specificity'] as $name) {
        expect($these[$name]['covered'])->toBeGreaterThan($n > 100 ? 0.91 : 0.8);
    }
    expect($like['gwet_ac1']['covered'])->toBeGreaterThan($n > 100 ? 0.91 : 0.8)
        ->and($like['gwet_ac1']['width'])->toBeGreaterThan($these['gwet_ac1']['width']);
})->group('study');

it('gives readers who call at random no word but by AC1, which stands nowhere alone', function () {
    $r = RoundErrors::random(0.02, many(20, 400));
    expect($r['gwet_ac1'])->toBeGreaterThan(0.94)->and($r['krippendorff_alpha'])->toEqualWithDelta(0.0, 0.01)
        ->and($r['present'])->toBeLessThan(0.05)
        ->and($r['alpha_words'])->toBe(0.0);
});

it('counts false alarms of drift and of change', function () {
    $n = many(40, 1000);
    expect(RoundErrors::drift(0.6, 24, $n))->toBeLessThan($n > 500 ? 0.065 : 0.16);
    $change = RoundErrors::change(8, 6, false, many(20, 300));
    expect($change['these'])->toBeLessThan(0.16);
})->group('study');

it('tells places as surely as it says, and two alike rarely apart', function () {
    $r = RoundErrors::places(12, many(20, 500));
    expect($r['places'])->toBeGreaterThan(0.93)->and($r['apart'])->toBeLessThan(0.1);
});

it('measures a reader behind a panel', function () {
    $r = RoundErrors::key(0.4, 0.0, 40, many(15, 200));
    expect($r['sensitivity'])->toBeGreaterThan(0.75)->and($r['specificity'])->toBeGreaterThan(0.75);
})->group('study');
