<?php

use Core\Chance\Chance;
use Core\Training\Answer;
use Core\Training\Learner;
use Core\Training\PracticeEffect;
use Core\Training\Progress;

/** @return list<Answer> ten answers a week on one fault, right so often in each week */
function weekly(array $right, string $fault = 'sway', string $seed = 'weeks'): array
{
    $chance = new Chance("$seed|$fault");
    $out = [];
    foreach ($right as $week => $share) {
        for ($i = 0; $i < 10; $i++) {
            $out[] = new Answer($fault, $chance->uniform() < $share, 7.0 * $week + $i / 100);
        }
    }

    return $out;
}

it('tells week by week what was known then, from nothing that came later', function () {
    $answers = weekly([0.3, 0.3, 0.4, 0.6, 0.8, 0.9, 0.95, 1.0, 1.0]);
    $of = Progress::of($answers, ['sway', 'slide'], 57.0, 8, 2);
    expect(array_keys($of))->toBe(['sway', 'slide'])->and($of['sway']->then)->toHaveCount(5);
    foreach ([57.0 - 56.0, 57.0 - 28.0, 57.0] as $i => $day) {
        $known = array_values(array_filter($answers, fn (Answer $a): bool => $a->day <= $day));
        expect($of['sway']->then[2 * $i])->toEqual(Learner::skills($known, ['sway', 'slide'], $day)['sway']);
    }
    expect($of['sway']->moved())->toBeTrue()->and($of['slide']->moved())->toBeNull()
        ->and($of['sway']->now())->toBe($of['sway']->then[4])
        ->and($of['sway']->ahead->logit)->toBeLessThan($of['sway']->now()->logit);
});

it('says of somebody who does not change that it cannot be said, nearly always', function () {
    $said = 0;
    for ($i = 0, $n = many(60, 300); $i < $n; $i++) {
        // Practice itself is taken to help; a round teaches nothing.
        $answers = array_map(
            static fn (Answer $a): Answer => new Answer($a->fault, $a->right, $a->day, 0.0, false),
            weekly(array_fill(0, 9, 0.75), 'sway', "same $i"),
        );
        $said += Progress::of($answers, ['sway'], 57.0, 8, 4)['sway']->moved() === null ? 0 : 1;
    }
    expect($said / $n)->toBeLessThan(0.2);
});

it('finds what practice did where it did much, and a false effect as rarely as it should', function () {
    $found = function (float $gain, string $seed): float {
        $hits = 0;
        for ($i = 0, $n = many(60, 400); $i < $n; $i++) {
            $chance = new Chance("$seed $i");
            $calls = [];
            for ($g = 0; $g < 10; $g++) {
                // A golfer may be harder the second time for everybody.
                $harder = 0.2 * $chance->uniform();
                for ($c = 0; $c < 12; $c++) {
                    $practised = $c % 3 === 0;
                    $calls[] = [
                        'golfer' => "g$g", 'practised' => $practised, 'before' => $chance->uniform() < 0.6,
                        'after' => $chance->uniform() < 0.6 - $harder + ($practised ? $gain : 0.0),
                    ];
                }
            }
            $effect = PracticeEffect::of($calls);
            $hits += $effect->p <= 0.05 ? 1 : 0;
        }

        return $hits / $n;
    };
    expect($found(0.0, 'none'))->toBeLessThan(0.13)->and($found(0.4, 'much'))->toBeGreaterThan(0.6);
});

it('says nothing on a few golfers, and of those only who have both', function () {
    $call = fn (string $golfer, bool $practised, bool $after): array => [
        'golfer' => $golfer, 'practised' => $practised, 'before' => false, 'after' => $after,
    ];
    $five = [];
    foreach (range(1, 5) as $g) {
        array_push($five, $call("g$g", true, true), $call("g$g", false, false));
    }
    expect(PracticeEffect::of($five)->effect)->toBeNull()->and(PracticeEffect::of($five)->golfers)->toBe(5)
        ->and(PracticeEffect::of([])->p)->toBeNull();
    $six = [...$five, $call('g6', true, true), $call('g6', false, false), $call('g7', true, true)];
    $effect = PracticeEffect::of($six);
    expect($effect->effect)->toBe(1.0)->and($effect->golfers)->toBe(6)->and($effect->p)->toBe(2 / 64);
    // Many golfers are cut to those that can be gone through.
    $many = [];
    foreach (range(1, 30) as $g) {
        array_push($many, $call("g$g", true, true), $call("g$g", false, false));
    }
    expect(PracticeEffect::of($many)->golfers)->toBe(14);
});
