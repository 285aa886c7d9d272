<?php

use Core\Consensus\Consensus;
use Core\Consensus\ConsensusException;
use Core\Consensus\DisagreementIndex;
use Core\Consensus\DrillConsensus;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;
use Core\Consensus\Label;
use Core\Consensus\PanelRules;
use Core\Consensus\SetTally;
use Core\Consensus\Tally;
use Core\Reading\Call;
use Core\Reading\Presence;

// What stands exactly on a line, against whole numbers: a majority of a/b is reached by k of n where k·b ≥ a·n.

/** Majorities that panels choose, in whole numbers. */
const MAJORITIES = [[51, 100], [11, 20], [3, 5], [2, 3], [7, 10], [3, 4], [4, 5], [5, 6], [9, 10], [1, 1]];

it('labels on the very vote that makes the majority, and not on the one before', function () {
    $seen = 0;
    foreach (MAJORITIES as [$a, $b]) {
        for ($n = 1; $n <= 30; $n++) {
            for ($k = 0; $k <= $n; $k++) {
                $calls = [
                    ...array_fill(0, $k, new Call('sway', Presence::Present)),
                    ...array_fill(0, $n - $k, new Call('sway', Presence::Absent)),
                    new Call('sway', Presence::CannotTell),
                ];
                $is = match (true) {
                    $n < 3 => Label::None,
                    $k * $b >= $a * $n => Label::Present,
                    ($n - $k) * $b >= $a * $n => Label::Absent,
                    default => Label::None,
                };
                expect(Consensus::fromCalls($calls, $a / $b)->label)->toBe($is, "$k of $n by $a/$b");
                $seen += $k * $b === $a * $n ? 1 : 0;
            }
        }
    }
    // Many stood exactly on it.
    expect($seen)->toBeGreaterThan(60);
});

it('settles one answer, and each part of a set, on the very vote that makes its majority', function () {
    foreach (MAJORITIES as [$a, $b]) {
        for ($n = 3; $n <= 30; $n++) {
            for ($k = 0; $k <= $n; $k++) {
                $others = array_map(static fn (int $i): string => "other $i", range(1, $n));
                $answers = array_slice([...array_fill(0, $k, 'x'), ...$others], 0, $n);
                $is = $k * $b >= $a * $n ? 'x' : null;
                expect(Tally::of($answers, $a / $b, 3)->settled)->toBe($is, "$k of $n by $a/$b");
                $set = SetTally::of([...array_fill(0, $k, ['x']), ...array_fill(0, $n - $k, [])], $a / $b, 3);
                $said = match (true) {
                    $k * $b >= $a * $n => ['x'],
                    ($n - $k) * $b >= $a * $n => [],
                    default => null,
                };
                expect($set->settled())->toBe($said, "$k of $n by $a/$b")
                    ->and($set->open)->toBe($said === null);
            }
        }
    }
});

it('needs as many able to tell as was said, and is told by as many', function (int $able) {
    $votes = static fn (int $n): array => array_fill(0, $n, new Call('sway', Presence::Present));
    expect(Consensus::fromCalls($votes($able - 1), 0.75, $able)->label)->toBe(Label::None)
        ->and(Consensus::fromCalls($votes($able), 0.75, $able)->label)->toBe(Label::Present)
        ->and(Tally::of(array_fill(0, $able - 1, 'x'), 0.75, $able)->settled)->toBeNull()
        ->and(Tally::of(array_fill(0, $able, 'x'), 0.75, $able)->settled)->toBe('x')
        ->and(SetTally::of(array_fill(0, $able - 1, ['x']), 0.75, $able)->settled())->toBeNull()
        ->and(SetTally::of(array_fill(0, $able - 1, ['x']), 0.75, $able)->named)->toBe([])
        ->and(SetTally::of(array_fill(0, $able, ['x']), 0.75, $able)->settled())->toBe(['x']);
})->with([2, 3, 5]);

it('takes rules up to their last value, and none beyond', function (array $rules, bool $taken) {
    $usual = ['majority' => 0.75, 'able' => 3, 'rounds' => 2, 'stability' => 0.9];
    $made = static fn () => new PanelRules(...[...$usual, ...$rules]);
    $taken ? expect($made())->toBeInstanceOf(PanelRules::class) : expect($made)->toThrow(ConsensusException::class);
})->with([
    [['able' => 2], true], [['able' => 1], false], [['able' => 50], true], [['able' => 51], false],
    [['rounds' => 0], true], [['rounds' => 5], true], [['rounds' => 6], false],
    [['majority' => 0.5], false], [['majority' => 0.5000001], true], [['majority' => 1.0], true],
    [['majority' => 1.0000001], false],
    [['stability' => 0.5], false], [['stability' => 0.5000001], true], [['stability' => 1.0], true],
    [['stability' => 1.0000001], false],
]);

it('has settled on the very answer that makes its share', function () {
    foreach (MAJORITIES as [$a, $b]) {
        $rules = new PanelRules(0.75, 3, 2, $a / $b);
        for ($answers = 1; $answers <= 40; $answers++) {
            for ($moved = 0; $moved <= $answers; $moved++) {
                expect($rules->hasSettled($answers, $moved))
                    ->toBe(($answers - $moved) * $b >= $a * $answers, "$moved of $answers by $a/$b");
            }
        }
    }
});

it('computes disagreement as the manual does, by hand', function (array $ratings, array $by) {
    $index = new DisagreementIndex($ratings);
    [$median, $ipr, $ipras] = $by;
    expect($index->median)->toEqualWithDelta($median, 1e-12)
        ->and($index->ipr)->toEqualWithDelta($ipr, 1e-12)
        ->and($index->ipras)->toEqualWithDelta($ipras, 1e-12)
        ->and($index->index)->toEqualWithDelta($ipr / $ipras, 1e-12)
        ->and($index->disagrees)->toBe($ipr > $ipras);
})->with([
    // 30th percentile at 1 + 8·0.3 = 3.4, 70th at 6.6; the middle is 5.
    'one of each' => [[1, 2, 3, 4, 5, 6, 7, 8, 9], [5.0, 3.2, 2.35]],
    // At 2.2 and 3.8 of five: 8 and 8.8; 8.4 is 3.4 from the middle.
    'high' => [[9, 7, 8, 9, 8], [8.0, 0.8, 2.35 + 1.5 * 3.4]],
    // At 2.2 and 3.8 of five: 1.2 and 2; 1.6 is 3.4 from the middle.
    'low' => [[1, 1, 2, 3, 2], [2.0, 0.8, 2.35 + 1.5 * 3.4]],
    // At 1.9 and 3.1 of four: between the first and the second, and between the third and the fourth.
    'two ends' => [[1, 1, 9, 9], [5.0, 8.0, 2.35]],
    'an even number' => [[4, 6, 7, 8], [6.5, 7.1 - 5.8, 2.35 + 1.5 * (6.45 - 5)]],
    'one' => [[9], [9.0, 0.0, 2.35 + 1.5 * 4]],
    'two' => [[3, 8], [5.5, 2.0, 2.35 + 1.5 * 0.5]],
]);

it('calls a panel at odds only above one, and asks of it nothing outside one to nine', function () {
    foreach ([[0], [10], [], [5, 10], [0, 5]] as $outside) {
        expect(static fn () => new DisagreementIndex($outside))->toThrow(ConsensusException::class);
    }
    foreach ([0, 10] as $score) {
        expect(static fn () => new DrillScore($score, $score < 4 ? Harm::AddsFault : null))
            ->toThrow(ConsensusException::class);
    }
    expect((new DrillScore(9))->score)->toBe(9)
        ->and((new DrillScore(1, Harm::AddsFault))->score)->toBe(1)
        ->and(static fn () => new DrillScore(4, Harm::AddsFault))->toThrow(ConsensusException::class)
        ->and(static fn () => new DrillScore(3))->toThrow(ConsensusException::class);
    // Nobody said that it adds a fault, nobody that it is unsafe: none is counted.
    $praised = DrillConsensus::of(array_map(static fn (int $s): DrillScore => new DrillScore($s), [7, 8, 9, 7, 8]));
    expect([$praised->addsFault, $praised->unsafe])->toBe([0, 0]);
    $scores = [new DrillScore(1, Harm::AddsFault), new DrillScore(2, Harm::AddsFault), new DrillScore(2, Harm::Unsafe)];
    $feared = DrillConsensus::of($scores);
    expect([$feared->addsFault, $feared->unsafe, $feared->n, $feared->median])->toBe([2, 1, 3, 2.0]);
});
