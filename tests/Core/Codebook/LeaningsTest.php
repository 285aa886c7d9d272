<?php

use Core\Codebook\Leaning;
use Core\Codebook\Leanings;
use Core\Measurement\Bound;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\StationSource;
use Core\Motion\StationTimes;

/** @param  array<string, Measured|array<string, Measured>>  $of */
function leanings(array $of): Leanings
{
    $times = StationTimes::fromSeconds(['SD' => 1.70, 'IM' => 1.75], 0.003, StationSource::File);

    return Leanings::of(new Measurements($of), $times);
}

/** @return array<string, ?string> side by trait */
function sides(Leanings $leanings): array
{
    return array_combine(
        array_map(static fn (Leaning $l): string => $l->trait, $leanings->traits),
        array_map(static fn (Leaning $l): ?string => $l->side, $leanings->traits),
    );
}

it('gives each trait its point, at its thresholds', function (array $of, array $expected) {
    expect(array_filter(sides(leanings($of))))->toBe($expected);
})->with([
    [['rise_at' => Measured::value('ms', 44.0, 5.0)], ['lead-push' => 'draw']],
    [['rise_at' => Measured::value('ms', 45.0, 5.0)], ['lead-push' => 'even']],
    [['rise_at' => Measured::value('ms', 76.0, 5.0)], ['lead-push' => 'fade']],
    [['foot_spin' => Measured::value('degrees', -9.0, 2.0)], ['trail-foot' => 'draw']],
    [['foot_spin' => Measured::value('degrees', 13.0, 2.0)], ['trail-foot' => 'fade']],
    [['trail_heel_lift_at' => Measured::value('ms', 60.0, 4.0)], ['heel-leaves' => 'fade']],
    [['trail_heel_lift_at' => Measured::value('ms', 40.0, 4.0)], ['heel-leaves' => 'even']],
    [['trail_heel_lift_at' => Measured::censored('ms', 'below', 0.0, 3.0, Bound::TrailHeelDown)],
        ['heel-leaves' => 'even']],
    [['emphasis' => Measured::ranking('order', ['rise', 'side_push', 'twist'])], ['shift-or-turn' => 'draw']],
    [['emphasis' => Measured::ranking('order', ['twist', 'rise', 'side_push'])], ['shift-or-turn' => 'even']],
    [['pelvis_turn' => ['IM' => Measured::value('degrees', 27.0, 2.0)]], ['hips' => 'draw']],
    [['pelvis_turn' => ['IM' => Measured::value('degrees', 43.0, 2.0)]], ['hips' => 'fade']],
    [[], []],
]);

it('adds up, shows what cancels, and is sure only beyond the ±', function () {
    $both = leanings([
        'rise_at' => Measured::value('ms', 90.0, 5.0),
        'foot_spin' => Measured::value('degrees', -9.0, 3.0),
        'pelvis_turn' => ['IM' => Measured::value('degrees', 50.0, 3.0)],
    ]);
    expect($both->sum())->toBe(1)
        ->and($both->cancels())->toBeTrue()
        ->and($both->traits[0]->isSure)->toBeTrue()
        ->and($both->traits[1]->isSure)->toBeFalse()
        ->and(leanings([])->isMeasured())->toBeFalse()
        ->and(leanings(['rise_at' => Measured::value('ms', 90.0, 5.0)])->cancels())->toBeFalse();
});
