<?php

use Core\Codebook\Codebook;
use Core\CoreException;
use Core\Reading\Aid;
use Core\Reading\BallFlight;
use Core\Reading\Call;
use Core\Reading\CaseKind;
use Core\Reading\Chain;
use Core\Reading\Decision;
use Core\Reading\Ladder;
use Core\Reading\Miss;
use Core\Reading\Obstacle;
use Core\Reading\Outside;
use Core\Reading\Pin;
use Core\Reading\Presence;
use Core\Reading\Reading;
use Core\Reading\Severity;
use Core\Reading\Trend;
use Core\Remark\Remark;

// The last value that is taken and the first that is not, of everything a sheet holds.

it('takes a ball’s angles up to their ends, on either side, and no other', function (int $at, float $most) {
    $made = static function (?float $value) use ($at): BallFlight {
        $numbers = [0.0, 0.0, null, null, null];
        $numbers[$at] = $value;

        return new BallFlight($numbers[0], $numbers[1], 'normal', 'centre', $numbers[2], $numbers[3], $numbers[4]);
    };
    foreach ([$most, -$most] as $end) {
        expect($made($end))->toBeInstanceOf(BallFlight::class)
            ->and(static fn () => $made($end * 1.0001))->toThrow(CoreException::class);
    }
    foreach ([NAN, INF, -INF] as $none) {
        expect(static fn () => $made($none))->toThrow(CoreException::class);
    }
})->with([
    'start' => [0, 45.0], 'curve' => [1, 60.0], 'low point' => [2, 40.0], 'path' => [3, 30.0], 'attack' => [4, 30.0],
]);

it('calls a miss what lies on its line, and only by words of the list', function (BallFlight $ball, array $misses) {
    expect($ball->misses())->toBe($misses);
})->with([
    'straight' => [new BallFlight(0.0, 0.0, 'normal', 'centre'), []],
    'the start that counts' => [new BallFlight(BallFlight::MISS_START_DEG, 0.0, 'normal', 'centre'), ['push']],
    'to the other side' => [new BallFlight(-BallFlight::MISS_START_DEG, 0.0, 'normal', 'centre'), ['pull']],
    'just not' => [new BallFlight(BallFlight::MISS_START_DEG - 0.001, 0.0, 'normal', 'centre'), []],
    'a strike on the heel' => [new BallFlight(0.0, 0.0, 'low', 'heel'), []],
    'high and thin' => [new BallFlight(0.0, 0.0, 'high', 'thin'), ['thin', Miss::HighWeak->value]],
    'curved much' => [new BallFlight(0.0, 40.0, 'normal', 'toe'), ['toe', 'slice']],
    'curved much the other way' => [new BallFlight(0.0, -40.0, 'normal', 'fat'), ['fat', 'hook']],
]);

it('takes as long a chain as is said, and no link more', function () {
    $links = array_map(static fn (int $i): array => ['sway', "fault-$i"], range(1, 17));
    expect((new Chain(array_slice($links, 0, 16)))->links)->toHaveCount(16)
        ->and(static fn () => new Chain($links))->toThrow(CoreException::class);
    $chain = new Chain([['a', 'b'], ['b', 'c'], ['a', 'c'], ['d', 'c']]);
    expect($chain->roots())->toBe(['a', 'd'])
        ->and($chain->nodes())->toBe(['a', 'b', 'c', 'd'])
        ->and($chain->layers())->toBe([['a', 'd'], ['b'], ['c']])
        ->and((new Chain)->layers())->toBe([])
        ->and(static fn () => new Chain([['a', 'b'], ['b', 'c'], ['c', 'a']]))->toThrow(CoreException::class)
        ->and(static fn () => new Chain([['a', Outside::Grip->value]]))->toThrow(CoreException::class);
});

it('lets a ladder break from its second swing to its last, hold or not be told', function (int $at, bool $taken) {
    $taken
        ? expect(Ladder::checked($at))->toBe($at)
        : expect(static fn () => Ladder::checked($at))->toThrow(CoreException::class);
})->with([
    [-2, false], [Ladder::CANNOT_TELL, true], [Ladder::HOLDS, true], [1, false], [2, true], [3, true],
    [Ladder::MOST, true], [Ladder::MOST + 1, false],
]);

it('lets a pin and an aid stand from the first moment to the last, on the first swing to the last', function () {
    $aid = static fn (float $x, float $y, float $t, int $swing = 1): Aid => new Aid('plumb', 'face-on', [
        ['x' => $x, 'y' => $y, 't' => $t],
    ], $swing);
    foreach ([0.0, 600.0] as $t) {
        expect((new Pin('film', $t))->t)->toBe($t)->and($aid(0.5, 0.5, $t)->points[0]['t'])->toBe($t);
    }
    foreach ([-0.0001, 600.0001, INF, NAN] as $t) {
        expect(static fn () => new Pin('film', $t))->toThrow(CoreException::class)
            ->and(static fn () => $aid(0.5, 0.5, $t))->toThrow(CoreException::class);
    }
    foreach ([[0.0, 0.0], [1.0, 1.0], [0.0, 1.0]] as [$x, $y]) {
        expect($aid($x, $y, 1.0))->toBeInstanceOf(Aid::class);
    }
    foreach ([[-0.0001, 0.5], [0.5, 1.0001], [1.0001, 0.5], [0.5, -0.0001], [0.5, INF]] as [$x, $y]) {
        expect(static fn () => $aid($x, $y, 1.0))->toThrow(CoreException::class);
    }
    foreach ([1, 6] as $swing) {
        expect((new Pin('trace', 1.0, swing: $swing))->swing)->toBe($swing)
            ->and($aid(0.5, 0.5, 1.0, $swing)->swing)->toBe($swing);
    }
    foreach ([0, 7] as $swing) {
        expect(static fn () => new Pin('trace', 1.0, swing: $swing))->toThrow(CoreException::class)
            ->and(static fn () => $aid(0.5, 0.5, 1.0, $swing))->toThrow(CoreException::class);
    }
    // Both of a picture's measures are kept as fine as each other.
    expect($aid(0.12345678, 0.87654321, 1.23456789)->toArray()['points'])
        ->toBe([['x' => 0.1235, 'y' => 0.8765, 't' => 1.2346]]);
});

it('takes as few points as an aid needs, and none fewer', function () {
    foreach (Aid::KINDS as $kind => [$least, $most]) {
        $point = ['x' => 0.5, 'y' => 0.5, 't' => 1.0];
        $made = static fn (int $n): Aid => new Aid($kind, 'down-the-line', array_fill(0, $n, $point));
        expect($made($least)->points)->toHaveCount($least)
            ->and($made($most)->points)->toHaveCount($most)
            ->and(static fn () => $made($least - 1))->toThrow(CoreException::class)
            ->and(static fn () => $made($most + 1))->toThrow(CoreException::class);
    }
});

it('works first on a first cause to be treated now, in their order, else on the only one, else on none', function (
    array $now,
    array $causes,
    string $first,
) {
    $calls = [];
    foreach (['sway', 'slide', 'hang-back'] as $fault) {
        $calls[$fault] = new Call($fault, Presence::Present, Severity::Clear, decision: in_array($fault, $now, true)
            ? Decision::Now
            : Decision::Later);
    }
    expect((new Reading($calls, $causes))->priority())->toBe($first);
})->with([
    'the only one' => [['slide'], [], 'slide'],
    'two and no cause' => [['slide', 'sway'], [], ''],
    'none' => [[], ['sway'], ''],
    'a cause among several' => [['slide', 'sway'], ['hang-back', 'sway', 'slide'], 'sway'],
    'outside before it' => [['slide'], [Outside::Grip->value, 'slide'], Outside::Grip->value],
    'outside after it' => [['slide'], ['slide', Outside::Grip->value], 'slide'],
]);

it('asks of a pair, and of nothing else, whether what is present is better, the same or worse', function (
    CaseKind $kind,
    ?Trend $trend,
    bool $asks,
) {
    $reading = new Reading(
        allAbsent(['sway' => new Call('sway', Presence::Present, Severity::Clear, trend: $trend)]),
        ['sway'],
        breaks: $kind === CaseKind::Ladder ? Ladder::HOLDS : null,
    );
    $says = array_map(static fn (Remark $r): string => $r->code, $reading->obstacles(Codebook::standard(), $kind));
    expect($says)->toBe($asks ? [Remark::of(Obstacle::NoTrend, fault: '')->code] : []);
})->with([
    'a pair' => [CaseKind::Pair, null, true],
    'a pair that is told' => [CaseKind::Pair, Trend::Better, false],
    'one swing' => [CaseKind::Single, null, false],
    'a series' => [CaseKind::Series, null, false],
    'a ladder' => [CaseKind::Ladder, null, false],
]);
