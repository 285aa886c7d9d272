<?php

use Core\Agreement\RatingSet;
use Core\Agreement\Scale;
use Core\Agreement\Study\RoundComparison;
use Core\Agreement\Study\Study;
use Core\Agreement\Study\StudyOptions;
use Core\Chance\Chance;
use Core\CoreException;

/**
 * A round of readers whose skill is their own and the round's, on golfers who are hard or easy for all.
 *
 * @param  list<float>  $skills  share of right calls by reader
 */
function roundOf(string $seed, array $skills, int $golfers, int $swings = 3, string $truths = 'truths',
    float $move = 0.0): RatingSet
{
    $c = new Chance($seed);
    $t = new Chance($truths);
    $set = new RatingSet;
    for ($g = 0; $g < $golfers; $g++) {
        $hard = 0.15 * $t->normal();
        for ($s = 0; $s < $swings; $s++) {
            foreach (['x', 'y'] as $item) {
                $true = $t->uniform() < 0.4;
                foreach ($skills as $r => $skill) {
                    $right = $c->uniform() < min(0.99, max(0.5, $skill + $hard + $move));
                    $set->add("$g-$s", $item, "r$r", $right === $true ? 'present' : 'absent');
                }
                $set->addKey("$g-$s", $item, $true ? 'present' : 'absent');
            }
            $set->group("$g-$s", "g$g");
        }
    }

    return $set;
}

function compared(RatingSet $a, RatingSet $b, array $options = []): ?Core\Agreement\Study\ComparisonResult
{
    return (new RoundComparison($a, $b, new StudyOptions(...['bootstrap' => 200, ...$options])))->result();
}

it('compares on the cases and readers of both rounds only', function () {
    $before = roundOf('before', array_fill(0, 5, 0.75), 8);
    $after = roundOf('after', array_fill(0, 5, 0.75), 8, move: 0.15);
    $found = compared($before, $after);
    // The same with what only one round has: another reader, other cases, a case judged by him alone.
    $more = roundOf('after', array_fill(0, 5, 0.75), 8, move: 0.15);
    foreach (['new-1', '0-0'] as $case) {
        $more->add($case, 'x', 'stranger', 'present');
    }
    foreach (['r0', 'r1'] as $rater) {
        $more->add('new-2', 'x', $rater, 'absent');
    }
    expect($found->anchors)->toBe(24)->and($found->clusters)->toBe(8)->and($found->units)->toBe(48)
        ->and($found->readers)->toBe(5)
        ->and(compared($before, $more))->toEqual($found);
    $plain = (new Study($after, new StudyOptions(bootstrap: 0)))->item(['x', 'y']);
    expect($found->coefficients['gwet_ac1']->second)
        ->toEqualWithDelta($plain->coefficients['gwet_ac1']->estimate, 1e-12)
        ->and($found->coefficients['gwet_ac1']->difference->estimate)->toBeGreaterThan(0.1);
});

it('swaps golfers in all 2^G ways, and leaves each out for the interval', function () {
    $before = roundOf('b', array_fill(0, 5, 0.75), 7);
    $after = roundOf('a', array_fill(0, 5, 0.8), 7);
    $change = compared($before, $after)->coefficients['percent_agreement'];
    $value = static fn (RatingSet $set): float => (new Study($set, new StudyOptions(pairs: false, bootstrap: 0)))
        ->item(['x', 'y'])
        ->coefficients['percent_agreement']->estimate;
    $part = static fn (RatingSet $set, Closure $golfer): RatingSet => $set->filtered(
        static fn (string $case): bool => $golfer((int) $case[0]),
    );
    $d = $value($after) - $value($before);
    $squares = 0.0;
    $agree = [];
    for ($g = 0; $g < 7; $g++) {
        $without = static fn (int $of): bool => $of !== $g;
        $squares += ($value($part($after, $without)) - $value($part($before, $without)) - $d) ** 2;
        $only = static fn (int $of): bool => $of === $g;
        $agree[$g] = [$value($part($before, $only)), $value($part($after, $only))];
    }
    // All golfers have as many swings: the whole's agreement is the mean of theirs.
    $beyond = 0;
    for ($w = 0; $w < 128; $w++) {
        $sum = 0.0;
        foreach ($agree as $g => [$x, $y]) {
            $sum += ($w >> $g & 1) === 1 ? $x - $y : $y - $x;
        }
        $beyond += abs($sum / 7) >= abs($d) - 1e-12 ? 1 : 0;
    }
    expect($change->difference->estimate)->toEqualWithDelta($d, 1e-12)
        ->and($change->difference->se)->toEqualWithDelta(sqrt(6 / 7 * $squares), 1e-10)
        ->and($change->p)->toEqualWithDelta($beyond / 128, 1e-12)
        ->and($change->detectable)->toEqualWithDelta(2.801585 * $change->difference->se, 1e-5);
});

it('says nothing of five golfers, nor of rounds that share no case', function () {
    $few = compared(roundOf('b', [0.8, 0.8, 0.8], 5), roundOf('a', [0.8, 0.8, 0.8], 5));
    $other = new RatingSet;
    $other->add('elsewhere', 'x', 'r0', 'present');
    $other->add('elsewhere', 'x', 'r1', 'present');
    expect($few->coefficients['gwet_ac1']->p)->toBeNull()
        ->and($few->coefficients['gwet_ac1']->adjusted)->toBeNull()
        ->and($few->coefficients['gwet_ac1']->difference->low)->toBeFloat()
        ->and(compared(roundOf('b', [0.8, 0.8], 8), $other))->toBeNull();
});

it('compares each reader\'s right calls, adjusted for how many readers there are', function () {
    $before = roundOf('b', [0.6, 0.75, 0.75, 0.75, 0.75], 20);
    $after = roundOf('a', [0.97, 0.75, 0.75, 0.75, 0.75], 20);
    $right = compared($before, $after)->right;
    expect(array_keys($right))->toBe(['r0', 'r1', 'r2', 'r3', 'r4'])
        ->and($right['r0']->adjusted)->toBeLessThan(0.05)
        ->and($right['r0']->adjusted)->toBeGreaterThanOrEqual($right['r0']->p)
        ->and($right['r1']->adjusted)->toBeGreaterThan(0.05)
        ->and($right['r0']->difference->estimate)->toBeGreaterThan(0.15);
});

it('finds no change where there is none, for these readers and for readers like them', function () {
    $these = $like = 0;
    $n = many(60, 1000);
    for ($i = 0; $i < $n; $i++) {
        $c = new Chance("skills$i");
        $skills = array_map(static fn (): float => 0.75 + 0.06 * $c->normal(), range(1, 8));
        $found = compared(
            roundOf("b$i", $skills, 10, 2, "t$i"),
            roundOf("a$i", $skills, 10, 2, "t$i"),
            ['bootstrap' => 199],
        )->coefficients['gwet_ac1'];
        $these += $found->p <= 0.05 ? 1 : 0;
        $like += $found->difference->newReaders->p <= 0.05 ? 1 : 0;
    }
    expect($these / $n)->toBeLessThan($n > 500 ? 0.065 : 0.11)->and($like / $n)->toBeLessThan($n > 500 ? 0.085 : 0.13);
});

it('takes clusters from whichever round tells them, and refuses what is not names', function () {
    $before = roundOf('b', [0.8, 0.8, 0.8], 8);
    $after = roundOf('a', [0.8, 0.8, 0.8], 8);
    $untold = new RatingSet;
    foreach ($after->items() as $item) {
        foreach ($after->raterNames() as $rater) {
            foreach ($after->ratingsOf($rater, '1') as $case => $of) {
                if (isset($of[$item])) {
                    $untold->add($case, $item, $rater, $of[$item][0]);
                }
            }
        }
    }
    expect(compared($before, $untold)->clusters)->toBe(8)
        ->and(fn () => new RoundComparison(new RatingSet(Scale::Ordinal), $after, new StudyOptions))
        ->toThrow(CoreException::class);
});
