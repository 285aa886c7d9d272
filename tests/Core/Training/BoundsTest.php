<?php

use Core\Chance\Chance;
use Core\CoreException;
use Core\Training\Alikeness;
use Core\Training\Answer;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\Learner;
use Core\Training\NextQuestion;
use Core\Training\Question;
use Core\Training\ReadinessRule;
use Core\Training\Skill;

it('takes a call for right that says what is there or is not', function (bool $is, string $said, int $right) {
    $of = new Criterion('x', ['sway'], $is ? CriterionKind::Sensitivity : CriterionKind::Specificity, 0.6, 0.8);
    $other = new Criterion('x', ['sway'], $is ? CriterionKind::Specificity : CriterionKind::Sensitivity, 0.6, 0.8);
    expect($of->counted(['sway' => $is], ['sway' => $said]))->toBe([$right, 1])
        ->and($other->counted(['sway' => $is], ['sway' => $said]))->toBe([0, 0])
        ->and($of->callsIn(['sway' => $is]))->toBe(1)
        ->and($other->callsIn(['sway' => $is]))->toBe(0);
})->with([
    [true, 'present', 1], [true, 'absent', 0], [true, 'cannot-tell', 0], [true, '', 0],
    [false, 'absent', 1], [false, 'present', 0], [false, 'cannot-tell', 0], [false, '', 0],
]);

it('counts over a case with many faults every right one and no wrong one', function () {
    $chance = new Chance('criterion');
    $faults = array_map(static fn (int $i): string => "f$i", range(1, 9));
    for ($i = 0; $i < 300; $i++) {
        $is = $said = [];
        $found = $there = $left = $not = 0;
        foreach ($faults as $fault) {
            if ($chance->uniform() < 0.2) {
                continue;
            }
            $is[$fault] = $chance->uniform() < 0.4;
            $said[$fault] = ['present', 'absent', 'cannot-tell'][$chance->between(0, 2)];
            $there += $is[$fault] ? 1 : 0;
            $not += $is[$fault] ? 0 : 1;
            $found += $is[$fault] && $said[$fault] === 'present' ? 1 : 0;
            $left += ! $is[$fault] && $said[$fault] === 'absent' ? 1 : 0;
        }
        $of = static fn (CriterionKind $kind): array => (new Criterion('x', $faults, $kind, 0.6, 0.8))
            ->counted($is, $said);
        expect($of(CriterionKind::Sensitivity))->toBe([$found, $there])
            ->and($of(CriterionKind::Specificity))->toBe([$left, $not]);
    }
});

it('tells a chance and its ends by the logit', function () {
    $skill = new Skill('sway', 0.8, 0.5, 12, 3.0);
    $p = static fn (float $x): float => 1 / (1 + exp(-$x));
    expect($skill->chance())->toEqualWithDelta($p(0.8), 1e-12)
        ->and($skill->chance(1.5))->toEqualWithDelta($p(-0.7), 1e-12)
        ->and($skill->low())->toEqualWithDelta($p(0.8 - 1.2816 * 0.5), 1e-12)
        ->and($skill->high())->toEqualWithDelta($p(0.8 + 1.2816 * 0.5), 1e-12)
        ->and($skill->low(1.96))->toEqualWithDelta($p(0.8 - 0.98), 1e-12)
        ->and($skill->high(1.96))->toEqualWithDelta($p(0.8 + 0.98), 1e-12);
    // Far out on either side there is no overflow.
    foreach ([-800.0, 800.0] as $far) {
        $sure = new Skill('sway', $far, 10.0, 1, 0.0);
        expect([$sure->low(), $sure->chance(), $sure->high()])->toBe($far < 0 ? [0.0, 0.0, 0.0] : [1.0, 1.0, 1.0]);
    }
});

it('is as sure as the curvature of what it makes likeliest, person and fault together', function () {
    $faults = ['sway', 'slide', 'spin-out'];
    $chance = new Chance('how sure');
    for ($i = 0; $i < 20; $i++) {
        $answers = [];
        for ($k = 0, $n = $chance->between(1, 40); $k < $n; $k++) {
            // A round: nothing is taught, so that what is given of an answer is its difficulty alone.
            $fault = $faults[$chance->between(0, 2)];
            $answers[] = new Answer($fault, $chance->uniform() < 0.7, 0.0, $chance->normal(0.0, 0.6), false);
        }
        $skills = Learner::skills($answers, $faults, 0.0);
        // The matrix of second derivatives: one row for the person, one for each fault.
        $h = array_fill(0, 4, array_fill(0, 4, 0.0));
        $h[0][0] = 1 / 0.7 ** 2;
        foreach ([1, 2, 3] as $f) {
            $h[$f][$f] = 1.0;
        }
        foreach ($answers as $a) {
            $p = $skills[$a->fault]->chance($a->difficulty);
            $f = 1 + array_search($a->fault, $faults, true);
            foreach ([[0, 0], [0, $f], [$f, 0], [$f, $f]] as [$r, $c]) {
                $h[$r][$c] += $p * (1 - $p);
            }
        }
        foreach ($faults as $f => $fault) {
            // The variance of person and fault together: solved for by elimination.
            $m = array_map(
                static fn (array $row, int $r): array => [...$row, $r === 0 || $r === $f + 1 ? 1.0 : 0.0],
                $h,
                range(0, 3),
            );
            for ($c = 0; $c < 4; $c++) {
                for ($r = 0; $r < 4; $r++) {
                    if ($r !== $c) {
                        $by = $m[$r][$c] / $m[$c][$c];
                        $m[$r] = array_map(static fn (float $x, float $y): float => $x - $by * $y, $m[$r], $m[$c]);
                    }
                }
            }
            $variance = $m[0][4] / $m[0][0] + $m[$f + 1][4] / $m[$f + 1][$f + 1];
            expect($skills[$fault]->se)->toEqualWithDelta(sqrt($variance), 1e-6);
        }
    }
});

it('weighs unlike cases by their squares, and never calls them more than wholly alike', function () {
    $chance = new Chance('alike cases');
    $cases = [];
    for ($i = 0; $i < 80; $i++) {
        $right = $chance->uniform() < 0.6 ? 4 : $chance->between(0, 4);
        $cases[] = ['g'.intdiv($i, 4), $right, 4];
    }
    $of = Alikeness::of($cases);
    expect($of->upper)->toBeGreaterThan(0.0)->toBeLessThan(1.0)
        // One call a case cannot be alike to itself.
        ->and($of->over([1, 1, 1]))->toBe($of->upper)
        ->and($of->over([]))->toBe($of->upper)
        // All of a size: as it was found.
        ->and($of->over([4, 4, 4]))->toEqualWithDelta($of->upper, 1e-12)
        // Of 2 and 6: (40/8 − 1)/(8/2 − 1).
        ->and($of->over([2, 6]))->toEqualWithDelta(min(1.0, $of->upper * 4 / 3), 1e-12)
        ->and($of->over([1, 1, 1, 60]))->toBe(1.0);
});

it('takes a rule with as many criteria as it may have and months from one to sixty, and none beyond', function () {
    $criteria = static fn (int $n): array => array_map(
        static fn (int $i): Criterion => new Criterion("c$i", ['sway'], CriterionKind::Sensitivity, 0.6, 0.8),
        range(1, $n),
    );
    expect((new ReadinessRule($criteria(12), [], 12))->criteria)->toHaveCount(12)
        ->and(static fn () => new ReadinessRule($criteria(13), [], 12))->toThrow(CoreException::class);
    foreach ([[1, true], [60, true], [0, false], [61, false]] as [$months, $taken]) {
        $made = static fn () => new ReadinessRule($criteria(1), [], $months);
        $taken ? expect($made()->months)->toBe($months) : expect($made)->toThrow(CoreException::class);
    }
    // Of one name, a thing found and a thing left alone are two.
    expect((new ReadinessRule([
        new Criterion('x', ['sway'], CriterionKind::Sensitivity, 0.6, 0.8),
        new Criterion('x', ['sway'], CriterionKind::Specificity, 0.6, 0.8),
    ], [], 12))->criteria)->toHaveCount(2);
    // A case without a number of calls said has one, and is alike to nothing.
    $rule = new ReadinessRule($criteria(2), [], 12);
    expect($rule->signOff($rule->criteria[0]))->toEqual($rule->signOff($rule->criteria[0], 1.0, 0.0))
        ->and($rule->signOff($rule->criteria[0], 0.2))->toEqual($rule->signOff($rule->criteria[0], 1.0));
});

it('calls a fault due on its tenth day', function (float $since, string $why) {
    $skill = new Skill('sway', 4.0, 0.1, 40, $since);
    $asked = [new Question('q1', 'swing-1', 'sway', true)];
    $next = NextQuestion::of($asked, ['sway' => $skill], [], [], new Chance('due'));
    expect($next->why->code)->toEndWith($why);
})->with([[9.999, 'kept'], [10.0, 'due'], [30.0, 'due'], [0.0, 'kept']]);
