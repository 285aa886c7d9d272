<?php

use Core\Reading\Aid;
use Core\Reading\Pin;

it('stands on film or trace at a time, on ball, strike and turf as a whole', function () {
    expect((new Pin('film', 1.23456, 'heel up', 'face-on', 2))->toArray())
        ->toBe(['on' => 'film', 't' => 1.2346, 'reason' => 'heel up', 'view' => 'face-on', 'swing' => 2])
        ->and((new Pin('trace', 0.0))->toArray())
        ->toBe(['on' => 'trace', 't' => 0.0])
        ->and((new Pin('turf'))->toArray())
        ->toBe(['on' => 'turf'])
        ->and((new Pin('strike', null, 'thin'))->toArray())
        ->toBe(['on' => 'strike', 'reason' => 'thin']);
});

it('refuses a pin that points nowhere', function (array $of, string $says) {
    expect(fn () => new Pin(...$of))->toRefuse($says);
})->with([
    'no such place' => [['floor'], 'A pin stands on'],
    'no time' => [['film'], 'needs its time'],
    'a time where there is none' => [['ball', 1.0], 'has no time'],
    'before the recording' => [['trace', -0.1], 'within the recording'],
    'no number' => [['trace', NAN], 'within the recording'],
    'a long reason' => [['turf', null, str_repeat('é', Pin::REASON + 1)], 'short'],
    'a view of the trace' => [['trace', 1.0, '', 'face-on'], 'names a view'],
    'an unknown view' => [['film', 1.0, '', 'from above'], 'names a view'],
    'a seventh swing' => [['film', 1.0, '', 'face-on', 7], 'one to six swings'],
    'no swing' => [['film', 1.0, '', 'face-on', 0], 'one to six swings'],
]);

it('takes a reason of exactly the length allowed, counted in characters', function () {
    expect((new Pin('turf', null, str_repeat('é', Pin::REASON)))->reason)->toHaveLength(Pin::REASON);
});

it('keeps aids in parts of the picture, with the time of each point', function () {
    $p = fn (float $x, float $y = 0.5, float $t = 1.0): array => ['x' => $x, 'y' => $y, 't' => $t];
    expect((new Aid('heel', 'face-on', [$p(0.123456, 0.9, 1.00001), $p(0.2, 0.8, 1.2)]))->toArray())
        ->toBe([
            'kind' => 'heel',
            'view' => 'face-on',
            'points' => [['x' => 0.1235, 'y' => 0.9, 't' => 1.0], ['x' => 0.2, 'y' => 0.8, 't' => 1.2]],
        ])
        ->and((new Aid('plumb', 'down-the-line', [$p(0.0, 1.0)], 3))->toArray()['swing'])
        ->toBe(3);
    foreach (Aid::KINDS as $kind => [$least, $most]) {
        expect(new Aid($kind, 'face-on', array_fill(0, $least, $p(0.5))))
            ->toBeInstanceOf(Aid::class)
            ->and(new Aid($kind, 'face-on', array_fill(0, $most, $p(0.5))))
            ->toBeInstanceOf(Aid::class)
            ->and(fn () => new Aid($kind, 'face-on', array_fill(0, $most + 1, $p(0.5))))
            ->toRefuse('points');
    }
});

it('refuses an aid outside the picture, of no kind or on no view', function (array $of, string $says) {
    expect(fn () => new Aid(...$of))->toRefuse($says);
})->with([
    [['lasso', 'face-on', [['x' => 0.5, 'y' => 0.5, 't' => 1.0]]], 'no such drawing aid'],
    [['plumb', 'points', [['x' => 0.5, 'y' => 0.5, 't' => 1.0]]], 'face-on or the down-the-line'],
    [['plumb', 'face-on', []], '1 points'],
    [['hips', 'face-on', [['x' => 0.5, 'y' => 0.5, 't' => 1.0]]], '2 points'],
    [['plumb', 'face-on', [['x' => 1.01, 'y' => 0.5, 't' => 1.0]]], 'within the picture'],
    [['plumb', 'face-on', [['x' => 0.5, 'y' => -0.01, 't' => 1.0]]], 'within the picture'],
    [['plumb', 'face-on', [['x' => NAN, 'y' => 0.5, 't' => 1.0]]], 'within the picture'],
    [['plumb', 'face-on', [['x' => 0.5, 'y' => 0.5, 't' => 1.0]], 9], 'one to six swings'],
]);
