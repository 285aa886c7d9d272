<?php

use Core\Chance\Chance;
use Core\Training\Answer;
use Core\Training\Learner;

const ASKED = ['sway', 'hang-back', 'spin-out', 'toe-dive'];

/** @return list<Answer> answers of a day: "sway+" right, "sway-" wrong, "sway+?" a test that taught nothing */
function answered(string $said, float $day = 0.0): array
{
    return array_map(static fn (string $one): Answer => new Answer(
        rtrim($one, '+-?'),
        str_contains($one, '+'),
        $day,
        0.0,
        ! str_ends_with($one, '?'),
    ), array_filter(explode(' ', $said)));
}

/** The same chance, worked out from the formula and no derivative: the loss of a person and faults. */
function lossOf(array $answers, array $at): float
{
    $loss = $at['person'] ** 2 / (2 * 0.49);
    $hits = $misses = [];
    foreach ($at['own'] as $u) {
        $loss += $u ** 2 / 2;
    }
    foreach ($answers as $a) {
        $left = fn (array $days): float => array_sum(array_map(
            fn (float $d): float => 0.5 ** (($a->day - $d) / 21),
            $days[$a->fault] ?? [],
        ));
        $x = 1.1 + $at['person'] + $at['own'][$a->fault] - $a->difficulty
            + 0.45 * log(1 + $left($hits)) + 0.25 * log(1 + $left($misses));
        $loss -= log(1 / (1 + exp($a->right ? -$x : $x)));
        if ($a->taught && $a->right) {
            $hits[$a->fault][] = $a->day;
        } elseif ($a->taught) {
            $misses[$a->fault][] = $a->day;
        }
    }

    return $loss;
}

it('knows nothing of who has answered nothing, and says how little', function () {
    foreach (Learner::skills([], ASKED, 5.0) as $skill) {
        expect($skill->chance())->toEqualWithDelta(1 / (1 + exp(-1.1)), 1e-12)
            ->and($skill->se)->toEqualWithDelta(sqrt(0.7 ** 2 + 1.0), 1e-12)
            ->and($skill->answers)->toBe(0)->and($skill->since)->toBeNull();
    }
});

it('lies where no other values make the answers likelier', function () {
    $c = new Chance('learner');
    for ($i = 0; $i < 25; $i++) {
        $said = [];
        $day = 0.0;
        for ($k = 0; $k < $c->between(1, 40); $k++) {
            $day += 3.0 * $c->uniform();
            $said[] = new Answer(ASKED[$c->between(0, 3)], $c->uniform() < 0.7, $day, $c->normal(0.0, 0.5),
                $c->uniform() < 0.7);
        }
        // What is left of a skill once what practice gave is taken away is person and fault together.
        $skills = Learner::skills(array_map(
            static fn (Answer $a): Answer => $a,
            $said,
        ), ASKED, $day + 1e6);
        $sum = array_map(static fn ($s): float => $s->logit - 1.1, $skills);
        // At the mode the person is what the faults' sum says: person/σ² = Σ own/σ².
        $person = array_sum($sum) / (1 / 0.49 + count(ASKED));
        $own = array_map(static fn (float $s): float => $s - $person, $sum);
        $at = ['person' => $person, 'own' => $own];
        $least = lossOf($said, $at);
        foreach (['person', ...ASKED] as $name) {
            foreach ([-1e-3, 1e-3] as $step) {
                $moved = $at;
                if ($name === 'person') {
                    $moved['person'] += $step;
                } else {
                    $moved['own'][$name] += $step;
                }
                expect(lossOf($said, $moved))->toBeGreaterThan($least - 1e-9, $name);
            }
        }
    }
});

it('rises with what is right, falls with what is wrong, and carries it a little to other faults', function () {
    $of = static fn (string $said): array => array_map(
        static fn ($s): float => $s->chance(),
        Learner::skills(answered($said), ASKED, 0.0),
    );
    [$none, $right, $wrong] = [$of(''), $of('sway+ sway+ sway+'), $of('sway-? sway-? sway-?')];
    expect($right['sway'])->toBeGreaterThan($none['sway'])->and($wrong['sway'])->toBeLessThan($none['sway'])
        ->and($right['toe-dive'])->toBeGreaterThan($none['toe-dive'])
        ->and($wrong['toe-dive'])->toBeLessThan($none['toe-dive'])
        ->and(abs($wrong['toe-dive'] - $none['toe-dive']))->toBeLessThan(abs($wrong['sway'] - $none['sway']));
});

it('forgets what was practised, never what is known of the person', function () {
    $said = answered('sway+ sway+ sway- sway+');
    $at = static fn (float $day): float => Learner::skills($said, ASKED, $day)['sway']->chance();
    expect($at(0.0))->toBeGreaterThan($at(21.0))->and($at(21.0))->toBeGreaterThan($at(200.0))
        ->and($at(2000.0))->toEqualWithDelta($at(3000.0), 1e-9);
    // A round tests and teaches nothing: nothing of it fades.
    $tested = answered('sway+? sway+? sway-?');
    expect(Learner::skills($tested, ASKED, 0.0)['sway']->chance())
        ->toEqualWithDelta(Learner::skills($tested, ASKED, 500.0)['sway']->chance(), 1e-12);
});

it('takes a hard question that was answered for more than an easy one', function () {
    $of = static fn (float $difficulty): float => Learner::skills(
        [new Answer('sway', true, 0.0, $difficulty, false)],
        ASKED,
        0.0,
    )['sway']->logit;
    expect($of(1.0))->toBeGreaterThan($of(0.0))->and($of(0.0))->toBeGreaterThan($of(-1.0));
});

it('takes several that are told apart by nothing as so many', function () {
    $each = [
        ...array_fill(0, 9, new Answer('sway', true, 1.0, 0.3, false)), new Answer('sway', false, 1.0, 0.3, false),
    ];
    $once = [new Answer('sway', true, 1.0, 0.3, false, 9), new Answer('sway', false, 1.0, 0.3, false)];
    [$a, $b] = [Learner::skills($each, ASKED, 2.0), Learner::skills($once, ASKED, 2.0)];
    foreach (ASKED as $fault) {
        expect($b[$fault]->logit)->toEqualWithDelta($a[$fault]->logit, 1e-9)
            ->and($b[$fault]->se)->toEqualWithDelta($a[$fault]->se, 1e-9)
            ->and($b[$fault]->answers)->toBe($a[$fault]->answers);
    }
});

it('is surer the more was answered, and never beside itself', function (string $said) {
    $se = INF;
    foreach ([1, 3, 10, 40, 200] as $times) {
        $skill = Learner::skills(answered(trim(str_repeat("$said ", $times))), ASKED, 0.0)['sway'];
        expect(is_finite($skill->logit))->toBeTrue()->and($skill->se)->toBeLessThan($se)
            ->and($skill->low())->toBeGreaterThan(0.0)->toBeLessThan($skill->chance())
            ->and($skill->high())->toBeLessThan(1.0)->toBeGreaterThan($skill->chance());
        $se = $skill->se;
    }
})->with(['sway+?', 'sway-?', 'sway+? sway-?']);

it('holds in its interval what people know, about as often as it says', function () {
    $c = new Chance('holds');
    $in = $all = 0;
    for ($person = 0; $person < many(60, 400); $person++) {
        $truth = [];
        $talent = $c->normal(0.0, 0.7);
        $said = [];
        foreach (ASKED as $fault) {
            $truth[$fault] = 1.1 + $talent + $c->normal(0.0, 1.0);
            for ($k = 0; $k < 14; $k++) {
                $said[] = new Answer($fault, $c->uniform() < 1 / (1 + exp(-$truth[$fault])), 0.0, 0.0, false);
            }
        }
        foreach (Learner::skills($said, ASKED, 0.0) as $fault => $skill) {
            $all++;
            $in += abs($skill->logit - $truth[$fault]) <= Learner::LOWER * $skill->se ? 1 : 0;
        }
    }
    // Eighty in a hundred.
    expect($in / $all)->toBeGreaterThan(0.74)->toBeLessThan(0.87);
});

it('says how many days ago a fault was last answered, never ahead of today', function () {
    $answers = [...answered('sway+ hang-back-', 3.0), ...answered('sway-', 10.5)];
    $since = static fn (float $today): array => array_map(
        static fn (Core\Training\Skill $s): ?float => $s->since,
        Learner::skills($answers, ASKED, $today),
    );
    expect($since(12.0))->toBe(['sway' => 1.5, 'hang-back' => 9.0, 'spin-out' => null, 'toe-dive' => null])
        ->and($since(10.5)['sway'])->toBe(0.0)
        ->and($since(4.0))->toBe(['sway' => 0.0, 'hang-back' => 1.0, 'spin-out' => null, 'toe-dive' => null]);
});
