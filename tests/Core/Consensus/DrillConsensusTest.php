<?php

use Core\Chance\Chance;
use Core\Consensus\Appropriateness;
use Core\Consensus\CaseConsensus;
use Core\Consensus\DisagreementIndex;
use Core\Consensus\DrillConsensus;
use Core\Consensus\DrillScore;
use Core\Consensus\Harm;
use Core\Format\Json\CaseConsensusJson;
use Core\Reading\Stop;

/** @param  list<int>  $scores */
function scored(array $scores, Harm $harm = Harm::AddsFault): array
{
    return array_map(static fn (int $s): DrillScore => new DrillScore($s, $s <= 3 ? $harm : null), $scores);
}

it('judges by the median and whether members disagree', function (array $scores, ?Appropriateness $verdict, bool $held) {
    $c = DrillConsensus::of(scored($scores));
    expect($c->verdict())->toBe($verdict)->and($c->isSettled())->toBe($held)->and($c->n)->toBe(count($scores));
})->with([
    'all high' => [[7, 8, 8, 9, 9], Appropriateness::Helps, true],
    'seven is high' => [[7, 7, 7, 7, 7], Appropriateness::Helps, true],
    'six and a half is not' => [[6, 6, 7, 7, 6, 7], Appropriateness::Uncertain, true],
    'all low' => [[1, 2, 2, 3, 3], Appropriateness::Harms, true],
    'three and a half is not' => [[3, 3, 4, 4, 3, 4], Appropriateness::Uncertain, true],
    'in the middle' => [[4, 5, 5, 6, 5], Appropriateness::Uncertain, true],
    'far apart' => [[1, 1, 2, 8, 9, 9, 9], Appropriateness::Uncertain, true],
    'four alone' => [[8, 8, 9, 9], Appropriateness::Helps, false],
    'one alone' => [[9], Appropriateness::Helps, false],
    'nobody' => [[], null, false],
]);

it('calls unsafe what two say is, or what a limit that is not cleared speaks against, however many praise it', function () {
    $praise = scored([9, 9, 9, 9, 9, 9, 9]);
    $one = [...$praise, new DrillScore(1, Harm::Unsafe)];
    $two = [...$one, new DrillScore(2, Harm::Unsafe)];
    expect(DrillConsensus::of($one)->verdict())->toBe(Appropriateness::Helps)
        ->and(DrillConsensus::of($two)->verdict())->toBe(Appropriateness::Unsafe)
        ->and(DrillConsensus::of([...$one, new DrillScore(2, Harm::AddsFault)])->verdict())
        ->not->toBe(Appropriateness::Unsafe)
        ->and(DrillConsensus::of($praise, true)->verdict())->toBe(Appropriateness::Unsafe)
        ->and(DrillConsensus::of([], true)->isSettled())->toBeTrue()
        ->and(DrillConsensus::of(scored([1, 1], Harm::Unsafe))->isSettled())->toBeTrue();
});

it('does not go by the order of members, and moves no verdict down when a score goes up', function () {
    $rank = [
        Appropriateness::Harms->value => 0,
        Appropriateness::Uncertain->value => 1,
        Appropriateness::Helps->value => 2,
    ];
    for ($i = 0; $i < 400; $i++) {
        $c = new Chance("drill $i");
        $scores = [];
        for ($m = 0, $n = $c->between(5, 12); $m < $n; $m++) {
            $scores[] = $c->between(1, 9);
        }
        $before = DrillConsensus::of(scored($scores));
        expect(DrillConsensus::of(scored($c->shuffled($scores))))->toEqual($before);
        // All one up: the panel cannot come to think less of it.
        $after = DrillConsensus::of(scored(array_map(static fn (int $s): int => min(9, $s + 1), $scores)));
        if (max($scores) < 9 && $before->index <= 1.0 && $after->index <= 1.0) {
            expect($rank[$after->verdict()->value])->toBeGreaterThanOrEqual($rank[$before->verdict()->value]);
        }
        $index = new DisagreementIndex($scores);
        expect($before->index)->toBe($index->index)
            ->and($index->disagrees)->toBe($index->index > 1.0)
            ->and($before->median)->toBeGreaterThanOrEqual((float) min($scores))
            ->toBeLessThanOrEqual((float) max($scores));
    }
});

it('tells disagreement the same from below as from above', function () {
    for ($i = 0; $i < 200; $i++) {
        $c = new Chance("mirror $i");
        $scores = [];
        for ($m = 0; $m < 9; $m++) {
            $scores[] = $c->between(1, 9);
        }
        $mirrored = new DisagreementIndex(array_map(static fn (int $s): int => 10 - $s, $scores));
        expect($mirrored->index)->toEqualWithDelta((new DisagreementIndex($scores))->index, 1e-12);
    }
});

it('is kept with the key as it is, and keys of before are read as judging nothing', function () {
    $key = CaseConsensus::fromReadings([])->judged([
        'box-turn' => ['rehearsal' => DrillConsensus::of(scored([7, 8, 9, 6, 7]))],
        'step-in' => [
            'rehearsal' => DrillConsensus::of([], true),
            'full-speed' => DrillConsensus::of(scored([1, 2, 3], Harm::Unsafe)),
        ],
    ]);
    $row = json_decode(json_encode(CaseConsensusJson::write($key), JSON_PRESERVE_ZERO_FRACTION), true);
    expect(CaseConsensusJson::read($row))->toEqual($key);
    unset($row['judged']);
    expect(CaseConsensusJson::read($row)->judged)->toBe([])
        ->and(CaseConsensusJson::read($row)->appropriateness('box-turn', Stop::Rehearsal))->toBeNull();
    $row['judged'] = [['drill' => 'box-turn']];
    expect(fn () => CaseConsensusJson::read($row))->toRefuse('rung');
});
