<?php

use Core\Agreement\Figure;
use Core\Agreement\Study\ItemSummary;
use Core\Agreement\Study\Limitation;
use Core\Agreement\Study\RaterResult;
use Core\Agreement\Study\ReadersTogether;
use Core\Agreement\Study\RoundFacts;
use Core\Agreement\Study\RoundLimits;
use Core\Agreement\Study\RoundSummary;
use Core\Agreement\Undefined;
use Core\Remark\Remark;

function limitedFigure(float $low, float $high): Figure
{
    return Figure::estimated(($low + $high) / 2, 0.05, $low, $high, 'jackknife');
}

/** @param  array<string, mixed>  $with  what differs from a round without fault */
function limitsOf(array $with = []): array
{
    $facts = [...['readers' => 12, 'golfers' => 40, 'cases' => 80, 'repeats' => 20, 'dealt' => 1200,
        'handedIn' => 1200, 'calls' => 33600, 'arms' => 3, 'members' => 7, 'waited' => true],
        ...array_intersect_key($with, ['readers' => 0, 'golfers' => 0, 'cases' => 0, 'repeats' => 0, 'dealt' => 0,
            'handedIn' => 0, 'calls' => 0, 'arms' => 0, 'members' => 0, 'waited' => 0])];
    $good = new ItemSummary(80, [], ['present' => limitedFigure(0.6, 0.8)]);

    return array_map(
        static fn (Remark $r): array => [$r->code, $r->with],
        RoundLimits::of(new RoundFacts(...$facts), new RoundSummary(
            null,
            $with['items'] ?? ['a' => $good, 'b' => $good],
            [],
            [],
            $with['left'] ?? [],
            80,
            [],
            $with['cannotTell'] ?? [],
            1,
            0,
            1,
        ), 2240),
    );
}

it('has nothing to say against a round without fault', function () {
    expect(limitsOf())->toBe([]);
});

it('names each thing that limits a round, and nothing else', function (array $with, Limitation $what, array $says) {
    expect(limitsOf($with))->toBe([[$what->value, $says]]);
})->with([
    'few readers' => [['readers' => 7], Limitation::FewReaders, ['readers' => 7]],
    'few golfers' => [['golfers' => 14], Limitation::FewGolfers, ['golfers' => 14]],
    'no key' => [['members' => 0], Limitation::NoKey, []],
    'a small panel' => [['members' => 4], Limitation::SmallPanel, ['members' => 4]],
    'the hardest left out' => [
        ['left' => ['contested' => 3]], Limitation::HardestLeftOut, ['entries' => 3, 'of' => 2240],
    ],
    'conflicts' => [['left' => ['conflict' => 2]], Limitation::Conflicts, ['entries' => 2]],
    'not shown' => [['left' => ['not observable' => 9]], Limitation::NotShown, ['entries' => 9]],
    'exposed' => [['left' => ['exposed' => 1]], Limitation::Exposed, ['readings' => 1]],
    'missing' => [['handedIn' => 1100], Limitation::Missing, ['missing' => 100, 'dealt' => 1200]],
    'abstained' => [['cannotTell' => ['u1' => 3000, 'u2' => 720]], Limitation::CannotTell, ['percent' => 11.0]],
    'no repeats' => [['repeats' => 0, 'waited' => false], Limitation::NoRepeats, []],
    'few repeats' => [['repeats' => 9], Limitation::FewRepeats, ['cases' => 9]],
    'remembered' => [['waited' => false], Limitation::Remembered, []],
    'one way shown' => [['arms' => 1], Limitation::OneWayShown, []],
]);

it('counts the faults of which too little is known, undefined ones too', function () {
    $of = static fn (int $cases, ?Figure $f): ItemSummary => new ItemSummary($cases, [], $f === null ? []
        : ['present' => $f]);
    expect(limitsOf(['items' => [
        'sure' => $of(40, limitedFigure(0.5, 0.9)),
        'wide' => $of(40, limitedFigure(0.1, 0.9)),
        'few' => $of(9, limitedFigure(0.5, 0.6)),
        'never' => $of(40, Figure::undefined(Undefined::NobodyCalledPresent)),
        'nothing' => $of(40, null),
    ]]))->toBe([[Limitation::ThinFaults->value, ['thin' => 4, 'faults' => 5]]]);
});

it('says of a fault that it is seen alike, or is not, only where the whole interval does', function (
    int $cases,
    float $low,
    float $high,
    ?bool $alike,
) {
    expect((new ItemSummary($cases, [], ['present' => limitedFigure($low, $high)]))->isSeenAlike())->toBe($alike);
})->with([
    [40, 0.5, 0.7, true],
    [40, 0.49, 0.7, null],
    [40, 0.2, 0.49, false],
    [40, 0.2, 0.5, null],
    [9, 0.6, 0.7, null],
    [40, 0.3, 0.9, null],
]);

it('tells the middle of five readers and how far they spread, and nothing of four', function () {
    $people = array_map(
        static fn (float $v): RaterResult => new RaterResult("u$v", 10, ['found' => limitedFigure($v, $v)]),
        [0.9, 0.2, 0.5, 0.4, 0.7, 0.6],
    );
    $of = ReadersTogether::of($people, 'found', 5);
    expect([$of->median, $of->low, $of->high, $of->readers])->toBe([0.55, 0.2, 0.9, 6])
        // by hand: a quarter and three quarters of the way from the first to the last
        ->and($of->lower)->toEqualWithDelta(0.425, 1e-12)->and($of->upper)->toEqualWithDelta(0.675, 1e-12)
        ->and(ReadersTogether::of(array_slice($people, 0, 5), 'found', 5)->median)->toBe(0.5)
        ->and(ReadersTogether::of(array_slice($people, 0, 4), 'found', 5))->toBeNull();
    // Who has no figure is not counted as a reader.
    $none = new RaterResult('u0', 10, ['found' => Figure::undefined(Undefined::NobodyCalledPresent)]);
    expect(ReadersTogether::of([...array_slice($people, 0, 4), $none], 'found', 5))->toBeNull()
        ->and(ReadersTogether::of($people, 'other', 5))->toBeNull();
});
