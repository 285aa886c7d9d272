<?php

declare(strict_types=1);

use Core\Chance\Chance;
use Core\Codebook\ExpectedChange;
use Core\Codebook\Rung;
use Core\Codebook\Way;
use Core\Measurement\Bound;
use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Spread;
use Core\Number\Distribution;
use Core\Number\RankSum;
use Core\Prescription\BallsChange;
use Core\Prescription\LadderChange;
use Core\Prescription\Outcome;
use Core\Prescription\RealChange;
use Core\Prescription\Seen;
use Core\Prescription\SeriesChange;
use Core\Prescription\Wanted;
use Core\Reading\BallFlight;

/** @return list<Measured> */
function swungAt(array $values, float $uncertainty = 0.5): array
{
    return array_map(fn (float $v): Measured => Measured::value('%', $v, $uncertainty), $values);
}

function wantedMore(): Wanted
{
    return Wanted::asExpected(new ExpectedChange(Measure::LevelShare, Way::Larger));
}

it('says better, worse, the same or that it cannot be said', function (array $before, array $after, Seen $seen) {
    expect(SeriesChange::of(swungAt($before), swungAt($after), wantedMore())->seen)->toBe($seen);
})->with([
    'clearly more' => [[50.0, 52.0, 51.0], [60.0, 61.0, 62.0], Seen::Better],
    'clearly less' => [[60.0, 61.0, 62.0], [50.0, 52.0, 51.0], Seen::Worse],
    'within the spread, few swings' => [[50.0, 55.0, 60.0], [52.0, 56.0, 61.0], Seen::CannotBeSaid],
    'within the spread, many swings' => [
        [50.0, 52.0, 54.0, 51.0, 53.0, 50.0, 52.0, 54.0, 51.0, 53.0],
        [50.5, 52.0, 54.0, 51.0, 53.0, 50.0, 52.0, 54.0, 51.0, 53.5],
        Seen::Same,
    ],
    'two swings only' => [[50.0, 51.0], [70.0, 71.0, 72.0], Seen::CannotBeSaid],
    'one swing each' => [[50.0], [90.0], Seen::CannotBeSaid],
    'nothing' => [[], [], Seen::CannotBeSaid],
    'no spread at all, and a change' => [[50.0, 50.0, 50.0], [60.0, 60.0, 60.0], Seen::Better],
    'no spread at all, and none' => [[50.0, 50.0, 50.0], [50.0, 50.0, 50.0], Seen::Same],
]);

it('is wrong in no more than one of twenty where nothing has changed, and holds many looks to that together', function () {
    $chance = new Chance('nothing changed');
    $false = $same = $together = 0;
    for ($i = 0; $i < 2000; $i++) {
        $draw = fn (): array => array_map(fn (): float => 60.0 + 4.0 * $chance->normal(), range(1, 4));
        [$before, $after] = [swungAt($draw(), 0.0), swungAt($draw(), 0.0)];
        $seen = SeriesChange::of($before, $after, wantedMore())->seen;
        $false += in_array($seen, [Seen::Better, Seen::Worse], true) ? 1 : 0;
        $same += $seen === Seen::Same ? 1 : 0;
        $of = array_map(
            fn (): Seen => SeriesChange::of(swungAt($draw(), 0.0), swungAt($draw(), 0.0), wantedMore(), 6)->seen,
            range(1, 6),
        );
        $together += array_filter($of, fn (Seen $s): bool => in_array($s, [Seen::Better, Seen::Worse], true)) !== []
            ? 1
            : 0;
    }
    expect($false / 2000)->toBeLessThan(0.065)->toBeGreaterThan(0.02)
        ->and($together / 2000)->toBeLessThan(0.065);
});

it('takes toward a value for better from either side, and past it for what it is', function () {
    $to = Wanted::asExpected(new ExpectedChange(Measure::HeelToeRatio, Way::Toward, 1.7));
    $of = fn (array $a, array $b): Seen => SeriesChange::of(swungAt($a, 0.01), swungAt($b, 0.01), $to)->seen;
    expect($of([3.0, 3.1, 3.2], [1.7, 1.8, 1.75]))->toBe(Seen::Better)
        ->and($of([0.5, 0.6, 0.4], [1.7, 1.8, 1.75]))->toBe(Seen::Better)
        ->and($of([1.7, 1.8, 1.75], [3.0, 3.1, 3.2]))->toBe(Seen::Worse)
        // As far beyond it as it was short of it: no nearer.
        ->and($of([0.7, 0.75, 0.65], [2.7, 2.65, 2.75]))->toBe(Seen::CannotBeSaid);
});

it('holds a measure of no direction against the band of the lens, and one of neither to nothing', function () {
    $in = Wanted::inBand([60.0, 80.0]);
    expect(SeriesChange::of(swungAt([50.0, 51.0, 52.0]), swungAt([65.0, 66.0, 67.0]), $in)->seen)->toBe(Seen::Better)
        ->and(SeriesChange::of(swungAt([65.0, 66.0, 67.0]), swungAt([72.0, 73.0, 74.0]), $in)->seen)->toBe(Seen::Same)
        ->and(SeriesChange::of(swungAt([75.0, 76.0, 77.0]), swungAt([92.0, 93.0, 94.0]), $in)->seen)->toBe(Seen::Worse)
        ->and(SeriesChange::of(swungAt([50.0, 51.0, 52.0]), swungAt([90.0, 91.0, 92.0]), Wanted::inBand(null))->seen)
        ->toBe(Seen::CannotBeSaid);
});

it('ranks what is known only as a bound: what never came and then came is better', function () {
    $never = fn (int $n): array => array_fill(0, $n, Measured::censored('ms', 'below', -260.0, 5.0, Bound::cases()[0]));
    expect(SeriesChange::of($never(4), swungAt([-20.0, -30.0, -25.0, -15.0]), wantedMore())->seen)->toBe(Seen::Better)
        ->and(SeriesChange::of(swungAt([-20.0, -30.0, -25.0, -15.0]), $never(4), wantedMore())->seen)->toBe(Seen::Worse)
        // Three against three cannot be beyond chance, however they lie.
        ->and(SeriesChange::of($never(3), swungAt([-20.0, -30.0, -25.0]), wantedMore())->seen)
        ->toBe(Seen::CannotBeSaid);
});

it('plans with the size that would count as real, which no spread, or one swing, cannot give', function () {
    $spread = Spread::ofValues([50.0, 54.0, 58.0, 54.0]);
    $three = RealChange::planned($spread, 3, 1.0);
    $ten = RealChange::planned($spread, 10, 1.0);
    expect($three->least)->toBeGreaterThan($ten->least)
        // t(3) = 3.182 on the standard deviation 3.266 of four swings, three to come.
        ->and($three->least)->toEqualWithDelta(hypot(3.18245 * 3.26599 * sqrt(7 / 12), sqrt(7 / 12)), 1e-3)
        ->and(RealChange::planned(Spread::ofValues([50.0]), 3, 1.0))->toBeNull()
        ->and(RealChange::planned($spread, 0, 1.0))->toBeNull();
});

it('has the published ranks, and is Fisher’s test on zeros and ones', function () {
    // Lehmann 1975: all of four below all of three, 2 of 35 ways.
    expect(RankSum::of([1.0, 2.0, 3.0, 4.0], [5.0, 6.0, 7.0])->p)->toEqualWithDelta(2 / 35, 1e-12)
        // Fisher's tea: 3 of 4 against 1 of 4, two-sided 0.4857.
        ->and(RankSum::of([1.0, 1.0, 1.0, 0.0], [1.0, 0.0, 0.0, 0.0])->p)->toEqualWithDelta(0.4857142857, 1e-9)
        ->and(RankSum::of([2.0, 2.0], [2.0, 2.0])->p)->toBe(1.0)
        ->and(RankSum::of([], [2.0]))->toBeNull()
        ->and(RankSum::of(array_fill(0, 31, 1.0), [2.0]))->toBeNull();
    $chance = new Chance('ranks');
    for ($i = 0; $i < 50; $i++) {
        $a = array_map(fn (): float => (float) $chance->between(0, 5), range(1, 6));
        $b = array_map(fn (): float => (float) $chance->between(0, 5), range(1, 5));
        $one = RankSum::of($a, $b);
        $other = RankSum::of($b, $a);
        expect($one->p)->toEqualWithDelta($other->p, 1e-12)->toBeLessThanOrEqual(1.0)->toBeGreaterThan(0.0)
            ->and($one->surplus)->toEqualWithDelta(-$other->surplus, 1e-12);
    }
});

it('finds the rung on which a change breaks, and what is left of it at full speed', function () {
    $before = swungAt([50.0, 51.0, 52.0, 50.0]);
    $ladder = LadderChange::of($before, [
        'course' => [],
        'full-speed' => swungAt([51.0, 50.0, 52.0]),
        'rehearsal' => swungAt([70.0]),
        'half-swing' => swungAt([66.0, 68.0, 67.0]),
        'mid-iron' => swungAt([51.0]),
    ], wantedMore());
    expect(array_keys($ladder->rungs))->toBe(['rehearsal', 'half-swing', 'mid-iron', 'full-speed'])
        ->and($ladder->breaksAt())->toBe(Rung::MidIron)
        ->and($ladder->atFullSpeed())->not->toBe(Seen::Better)
        ->and($ladder->rungs['mid-iron'])->toBe(Seen::CannotBeSaid)
        ->and(LadderChange::of($before, ['rehearsal' => swungAt([70.0])], wantedMore())->breaksAt())->toBeNull()
        ->and(
            LadderChange::of(swungAt([50.0, 51.0]), ['rehearsal' => swungAt([70.0])], wantedMore())->rungs['rehearsal'],
        )
        ->toBe(Seen::CannotBeSaid);
});

it('tells what the ball did besides', function () {
    $ball = fn (
        float $start,
        float $curve,
        string $strike = 'centre',
    ): BallFlight => new BallFlight($start, $curve, 'normal', $strike);
    $of = BallsChange::of(
        [$ball(0.0, 4.0), $ball(0.5, 5.0), $ball(-0.5, 4.5), $ball(0.2, 5.5)],
        [$ball(6.0, 4.4), $ball(7.0, 5.2, 'thin'), $ball(6.5, 4.9, 'thin'), $ball(6.2, 4.7)],
    );
    expect($of->start->isBeyond())->toBeTrue()
        ->and($of->curve->isBeyond())->toBeFalse()
        ->and($of->mishits)->toBe([0, 2])
        ->and($of->strikesDiffer)->toBeFalse();
    $few = BallsChange::of([$ball(0.0, 0.0)], [$ball(9.0, 9.0)]);
    expect([$few->start, $few->curve, $few->strikesDiffer])->toBe([null, null, null]);
});

it('calls a prescription right only where something that was expected is better, and nothing worse', function () {
    expect(Outcome::of([Seen::Better, Seen::CannotBeSaid]))->toBe(Outcome::AsExpected)
        ->and(Outcome::of([Seen::Better, Seen::Worse]))->toBe(Outcome::Against)
        ->and(Outcome::of([Seen::Same, Seen::Same]))->toBe(Outcome::NoChange)
        ->and(Outcome::of([Seen::Same, Seen::CannotBeSaid]))->toBe(Outcome::CannotBeSaid)
        ->and(Outcome::of([]))->toBe(Outcome::CannotBeSaid);
});

it('says by how much, how surely, and what a golfer’s own swings differ by, worked out by hand', function (
    array $before,
    array $after,
    float $uncertainty,
    int $looks,
    array $hand,
) {
    [$change, $square, $degrees, $own] = $hand;
    $of = SeriesChange::of(swungAt($before, $uncertainty), swungAt($after, $uncertainty), wantedMore(), $looks);
    $t = Distribution::studentQuantile(1.0 - 0.05 / (2 * $looks), $degrees);
    $instrument = sqrt(2.0) * $uncertainty / sqrt(min(count($before), count($after)));
    expect($of->difference->change)->toEqualWithDelta($change, 1e-9)
        ->and($of->difference->uncertainty)->toEqualWithDelta(hypot($t * sqrt($square), $instrument), 1e-6)
        ->and($of->own)->toEqualWithDelta(max($own, $instrument), 1e-9)
        ->and([$of->before, $of->after])->toBe([count($before), count($after)]);
})->with([
    // Variances 4 of three and 15 of four: 4/3 + 15/4; (2·4 + 3·15)/5 between them.
    'alone' => [[50.0, 52.0, 54.0], [60.0, 63.0, 66.0, 69.0], 0.0, 1, [
        12.5, 61 / 12, (61 / 12) ** 2 / ((4 / 3) ** 2 / 2 + (15 / 4) ** 2 / 3), 2 * sqrt(53 / 5),
    ]],
    'looked at with others' => [[50.0, 52.0, 54.0], [60.0, 63.0, 66.0, 69.0], 0.0, 4, [
        12.5, 61 / 12, (61 / 12) ** 2 / ((4 / 3) ** 2 / 2 + (15 / 4) ** 2 / 3), 2 * sqrt(53 / 5),
    ]],
    'the instrument joins' => [[50.0, 52.0, 54.0], [60.0, 63.0, 66.0, 69.0], 2.0, 1, [
        12.5, 61 / 12, (61 / 12) ** 2 / ((4 / 3) ** 2 / 2 + (15 / 4) ** 2 / 3), 2 * sqrt(53 / 5),
    ]],
    'the instrument is all of it' => [[51.0, 52.0, 53.0], [51.0, 52.0, 53.0], 9.0, 1, [0.0, 2 / 3, 4.0, 2.0]],
]);

it('takes on one rung the mean of its swings, against how surely so few say it', function () {
    $before = swungAt([50.0, 51.0, 52.0, 50.0]);
    // Mean 50.75, standard deviation 0.957; t(3) = 3.182 on two swings to come, the instrument's half beside: ± 2.68.
    $on = static fn (float ...$is): Seen => LadderChange::of(
        $before,
        ['mid-iron' => swungAt($is)],
        wantedMore(),
    )->rungs['mid-iron'];
    expect($on(52.9, 53.9))->toBe(Seen::CannotBeSaid)
        ->and($on(53.0, 54.0))->toBe(Seen::Better)
        ->and($on(48.5, 47.7))->toBe(Seen::CannotBeSaid)
        ->and($on(48.4, 47.6))->toBe(Seen::Worse)
        // One swing says less: ± 3.44.
        ->and($on(53.5))->toBe(Seen::CannotBeSaid)
        ->and($on(54.3))->toBe(Seen::Better);
});

it('breaks where it is first lost, not where it has never been', function (array $seen, ?Rung $breaks, ?Seen $full) {
    $before = swungAt([50.0, 51.0, 52.0, 50.0]);
    $at = [
        'better' => [70.0, 71.0, 72.0], 'same' => [50.0, 51.0, 52.0], 'worse' => [30.0, 31.0, 32.0],
    ];
    $swung = array_map(static fn (string $s): array => swungAt($at[$s]), $seen);
    $ladder = LadderChange::of($before, $swung, wantedMore());
    expect($ladder->breaksAt())->toBe($breaks)->and($ladder->atFullSpeed())->toBe($full);
})->with([
    'never' => [['rehearsal' => 'same', 'full-speed' => 'same'], null, Seen::CannotBeSaid],
    'late' => [
        ['rehearsal' => 'same', 'half-swing' => 'better', 'full-speed' => 'worse'], Rung::FullSpeed, Seen::Worse,
    ],
    'held' => [['rehearsal' => 'better', 'half-swing' => 'better', 'course' => 'better'], null, Seen::Better],
    'on the course, before full speed' => [['full-speed' => 'better', 'course' => 'worse'], Rung::Course, Seen::Worse],
    'swung at neither' => [['rehearsal' => 'better'], null, null],
]);
