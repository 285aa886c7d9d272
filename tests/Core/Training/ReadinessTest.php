<?php

use Core\Chance\Chance;
use Core\CoreException;
use Core\Format\Json\ReadinessJson;
use Core\Planning\SignOff;
use Core\Planning\SignOffDecision;
use Core\Training\Alikeness;
use Core\Training\Bar;
use Core\Training\BarKind;
use Core\Training\BarVerdict;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\DecisionKind;
use Core\Training\ReadinessRule;
use Core\Training\ReadinessStanding;
use Core\Training\ReadinessState;
use Core\Training\TestCourse;

it('counts of a case what a criterion is about, and cannot tell as not right', function () {
    $is = ['sway' => true, 'slide' => true, 'hang-back' => false, 'fall-off' => false];
    $said = ['sway' => 'present', 'slide' => 'cannot-tell', 'hang-back' => 'cannot-tell', 'fall-off' => 'absent',
        'no-load' => 'present'];
    $of = fn (CriterionKind $kind, array $faults): array => (new Criterion('x', $faults, $kind, 0.6, 0.8))
        ->counted($is, $said);
    expect($of(CriterionKind::Sensitivity, ['sway', 'slide', 'hang-back', 'no-load']))->toBe([1, 2])
        ->and($of(CriterionKind::Specificity, ['sway', 'hang-back', 'fall-off', 'no-load']))->toBe([1, 2])
        ->and($of(CriterionKind::Sensitivity, ['no-load']))->toBe([0, 0]);
});

it('refuses a criterion, a bar and a rule that are none', function (Closure $make) {
    expect($make)->toThrow(CoreException::class);
})->with([
    'no fault' => [fn () => new Criterion('x', [], CriterionKind::Sensitivity, 0.6, 0.8)],
    'bar above good' => [fn () => new Criterion('x', ['sway'], CriterionKind::Sensitivity, 0.8, 0.8)],
    'good is certain' => [fn () => new Criterion('x', ['sway'], CriterionKind::Sensitivity, 0.8, 1.0)],
    'share above one' => [fn () => new Bar(BarKind::Cause, 1.2, 3)],
    'no number' => [fn () => new Bar(BarKind::Timing, NAN, 3)],
    'below nought' => [fn () => new Bar(BarKind::Unsafe, -1.0, 3)],
    'too many' => [fn () => new Bar(BarKind::Unsafe, 0.0, 5000)],
    'the same twice' => [fn () => new ReadinessRule(array_fill(0, 2,
        new Criterion('x', ['sway'], CriterionKind::Sensitivity, 0.6, 0.8)), [], 12)],
    'for ever' => [
        fn () => new ReadinessRule([new Criterion('x', ['sway'], CriterionKind::Sensitivity, 0.6, 0.8)], [], 61),
    ],
    'not even a list' => [fn () => ReadinessJson::read(['criteria' => 'all', 'bars' => [], 'months' => 3])],
    'no criteria' => [fn () => ReadinessJson::read(['criteria' => [], 'bars' => [], 'months' => 3])],
]);

it('says where somebody stands beside a bar, and how many more would settle it', function (
    BarKind $kind,
    float $limit,
    int $of,
    array $found,
    BarVerdict $verdict,
    ?int $more,
) {
    $stands = (new Bar($kind, $limit, $of))->stands(...$found);
    expect($stands->verdict)->toBe($verdict)->and($stands->more)->toBe($more);
})->with([
    [BarKind::Cause, 0.6, 8, [5, 8], BarVerdict::Met, 0],
    [BarKind::Cause, 0.6, 8, [6, 10], BarVerdict::Met, 0],
    [BarKind::Cause, 0.6, 8, [4, 7], BarVerdict::Few, 1],
    [BarKind::Cause, 0.6, 8, [0, 0], BarVerdict::Few, 8],
    [BarKind::Cause, 0.6, 8, [11, 20], BarVerdict::Near, 3],
    [BarKind::Cause, 0.6, 8, [2, 10], BarVerdict::Missed, 10],
    [BarKind::Cause, 1.0, 2, [2, 3], BarVerdict::Missed, null],
    [BarKind::Unsupported, 0.1, 20, [2, 20], BarVerdict::Met, 0],
    [BarKind::Unsupported, 0.1, 20, [3, 25], BarVerdict::Near, 5],
    [BarKind::Unsupported, 0.0, 20, [1, 25], BarVerdict::Near, null],
    [BarKind::Unsafe, 0.0, 10, [0, 10], BarVerdict::Met, 0],
    [BarKind::Unsafe, 0.0, 10, [0, 7], BarVerdict::Few, 3],
    [BarKind::Unsafe, 0.0, 10, [1, 10], BarVerdict::Missed, 10],
    [BarKind::Timing, 25.0, 8, [0, 8, 25.0], BarVerdict::Met, 0],
    [BarKind::Timing, 25.0, 8, [0, 8, 27.0], BarVerdict::Near, null],
    [BarKind::Timing, 25.0, 8, [0, 8, 40.0], BarVerdict::Missed, null],
    [BarKind::Timing, 25.0, 8, [0, 3, 5.0], BarVerdict::Few, 5],
    [BarKind::Timing, 25.0, 8, [0, 0, null], BarVerdict::Few, 8],
    [BarKind::Recency, 120.0, 0, [0, 0, 120.0], BarVerdict::Met, 0],
    [BarKind::Recency, 120.0, 0, [0, 0, 200.0], BarVerdict::Missed, null],
    [BarKind::Recency, 120.0, 0, [0, 0, null], BarVerdict::Few, 1],
]);

it('brings a share to its limit with as many more as it says, and with none fewer', function () {
    $chance = new Chance('bars');
    foreach ([BarKind::Cause, BarKind::Unsupported] as $kind) {
        for ($i = 0; $i < 400; $i++) {
            $n = $chance->between(1, 60);
            $k = $chance->between(0, $n);
            $bar = new Bar($kind, $chance->between(1, 19) / 20, 1);
            $more = $bar->stands($k, $n)->more;
            $after = fn (int $by): BarVerdict => $bar->stands($k + ($kind->isLeast() ? $by : 0), $n + $by)->verdict;
            expect($after($more))->toBe(BarVerdict::Met);
            if ($more > 0) {
                expect($after($more - 1))->not->toBe(BarVerdict::Met);
            }
        }
    }
});

it('ends each criterion where it first crosses, and decides nothing on a few cases however many calls they hold', function () {
    $tests = [new SignOff(0.5, 0.9, 2, 10.0), new SignOff(0.5, 0.9, 2)];
    $decided = fn (array $read): SignOffDecision => TestCourse::of($tests, $read)->decision();
    $all = [[10, 10], [1, 1]];
    $none = [[0, 10], [1, 1]];
    expect($decided(array_fill(0, 3, $all)))->toBe(SignOffDecision::GoesOn)
        ->and(TestCourse::of($tests, array_fill(0, 3, $none))->decisions[0])->toBe(SignOffDecision::GoesOn)
        ->and($decided(array_fill(0, 4, $none)))->toBe(SignOffDecision::Refused)
        ->and(TestCourse::of($tests, array_fill(0, 4, $all))->decisions[0])->toBe(SignOffDecision::SignedOff)
        ->and($decided(array_fill(0, 8, $all)))->toBe(SignOffDecision::SignedOff)
        ->and($decided([]))->toBe(SignOffDecision::GoesOn);
    // What was passed is not lost again, and counts no more.
    $course = TestCourse::of($tests, [...array_fill(0, 4, $all), ...array_fill(0, 6, $none)]);
    expect($course->decisions[0])->toBe(SignOffDecision::SignedOff)->and($course->counted[0])->toBe([40, 40])
        ->and($course->cases)->toBe([4, 6])->and($course->counted[1])->toBe([6, 6]);
    // A case without a call for it is none.
    expect(TestCourse::of($tests, [[[0, 0], [1, 1]], ...array_fill(0, 3, $all)])->cases)->toBe([3, 4]);
});

it('takes a case to tell more the more calls it has for what is open', function () {
    $tests = [new SignOff(0.5, 0.9, 2), new SignOff(0.5, 0.9, 2)];
    $course = TestCourse::of($tests, array_fill(0, 9, [[1, 1], [0, 0]]));
    expect($course->decisions[0])->toBe(SignOffDecision::SignedOff)
        ->and($course->tells([5, 0]))->toBe(0.0)
        ->and($course->tells([0, 2]))->toBeGreaterThan($course->tells([3, 1]));
});

it('finds how alike the calls of a case are, and takes a stated value where the golfers are few', function () {
    $chance = new Chance('alike');
    $cases = function (float $alike, int $golfers, int $calls = 6) use ($chance): array {
        $out = [];
        for ($g = 0; $g < $golfers; $g++) {
            for ($reader = 0; $reader < 4; $reader++) {
                $same = $chance->uniform() < 0.75;
                $right = 0;
                for ($i = 0; $i < $calls; $i++) {
                    $right += $chance->uniform() < sqrt($alike) ? ($same ? 1 : 0) : ($chance->uniform() < 0.75 ? 1 : 0);
                }
                $out[] = ["g$g", $right, $calls];
            }
        }

        return $out;
    };
    $none = Alikeness::of($cases(0.0, 60));
    $some = Alikeness::of($cases(0.4, 60));
    expect(abs($none->estimate))->toBeLessThan(0.06)->and($some->estimate)->toEqualWithDelta(0.4, 0.1)
        ->and($some->upper)->toBeGreaterThan($some->estimate)->toBeLessThan(0.6)
        ->and($some->callsACase)->toBe(6.0);
    foreach ([[], $cases(0.2, 5), [['g1', 1, 1], ['g2', 0, 1]]] as $few) {
        expect(Alikeness::of($few)->upper)->toBe(Alikeness::UNKNOWN);
    }
    // All right everywhere tells nothing of how alike they are.
    expect(Alikeness::of(array_map(fn (int $i): array => ["g$i", 4, 4], range(1, 20)))->upper)->toBe(Alikeness::UNKNOWN);
    // The upper end lies above the truth four times in five.
    $above = 0;
    for ($i = 0, $n = many(60, 400); $i < $n; $i++) {
        $above += Alikeness::of($cases(0.3, 24))->upper >= 0.3 ? 1 : 0;
    }
    expect($above / $n)->toBeGreaterThan(0.66)->toBeLessThan(0.94);
});

it('says what a test usually takes as simulated readers take it', function () {
    $of = new SignOff(0.65, 0.85, 2);
    $mean = function (float $right) use ($of): float {
        $chance = new Chance("usual $right");
        $cases = 0;
        for ($i = 0, $n = many(400, 4000); $i < $n; $i++) {
            $lambda = 0.0;
            do {
                $lambda += $of->step($chance->uniform() < $right ? 1 : 0, 1);
                $cases++;
            } while ($lambda < $of->upper && $lambda > $of->lower);
        }

        return $cases / $n;
    };
    [$bar, $good] = $of->usualCases();
    // Wald's mean leaves out by how much the line is crossed.
    expect($mean(0.65))->toBeGreaterThan(0.95 * $bar)->toBeLessThan(1.35 * $bar)
        ->and($mean(0.85))->toBeGreaterThan(0.95 * $good)->toBeLessThan(1.35 * $good);
});

it('follows what was decided, step by step, and holds until the day is over', function (
    array $decisions,
    ReadinessState $state,
    bool $holds,
    array $may,
) {
    $standing = ReadinessStanding::of($decisions, '2027-03-01');
    expect($standing->state)->toBe($state)->and($standing->holds())->toBe($holds)
        ->and(array_values(array_filter(DecisionKind::cases(), $standing->may(...))))->toBe($may);
})->with(function () {
    $on = [DecisionKind::SignedOff, '2027-03-01'];
    $past = [DecisionKind::SignedOff, '2027-02-28'];
    $of = fn (DecisionKind ...$kinds): array => array_map(fn (DecisionKind $k): array => [$k, null], $kinds);
    $fresh = [DecisionKind::SignedOff, DecisionKind::Refused];

    return [
        'nothing' => [[], ReadinessState::None, false, $fresh],
        'on its last day' => [[$on], ReadinessState::SignedOff, true, [...$fresh, DecisionKind::Suspended]],
        'a day after' => [[$past], ReadinessState::Expired, false, $fresh],
        'refused' => [$of(DecisionKind::Refused), ReadinessState::Refused, false, [...$fresh, DecisionKind::Appealed]],
        'suspended' => [[$on, ...$of(DecisionKind::Suspended)], ReadinessState::Suspended, false,
            [DecisionKind::Reinstated, DecisionKind::Appealed]],
        'appealed' => [[$on, ...$of(DecisionKind::Suspended, DecisionKind::Appealed)], ReadinessState::Suspended, false,
            [DecisionKind::Upheld, DecisionKind::TurnedDown]],
        'upheld' => [[$on, ...$of(DecisionKind::Suspended, DecisionKind::Appealed, DecisionKind::Upheld)],
            ReadinessState::SignedOff, true, [...$fresh, DecisionKind::Suspended]],
        'turned down' => [[$on, ...$of(DecisionKind::Suspended, DecisionKind::Appealed, DecisionKind::TurnedDown)],
            ReadinessState::Suspended, false, [DecisionKind::Reinstated, DecisionKind::Appealed]],
        'reinstated' => [[$on, ...$of(DecisionKind::Suspended, DecisionKind::Reinstated)], ReadinessState::SignedOff, true,
            [...$fresh, DecisionKind::Suspended]],
        'reinstated too late' => [[$past, ...$of(DecisionKind::Suspended, DecisionKind::Reinstated)],
            ReadinessState::Expired, false, $fresh],
        'refused, upheld' => [$of(DecisionKind::Refused, DecisionKind::Appealed, DecisionKind::Upheld), ReadinessState::None,
            false, $fresh],
        'signed off after a refusal' => [[...$of(DecisionKind::Refused), $on], ReadinessState::SignedOff, true,
            [...$fresh, DecisionKind::Suspended]],
    ];
});

it('is checked again after an absence, which no other state is', function () {
    $away = fn (array $decisions): ReadinessState => ReadinessStanding::of($decisions, '2027-03-01', true)->state;
    expect($away([[DecisionKind::SignedOff, '2027-05-01']]))->toBe(ReadinessState::Recheck)
        ->and($away([[DecisionKind::SignedOff, '2027-01-01']]))->toBe(ReadinessState::Expired)
        ->and($away([[DecisionKind::Refused, null]]))->toBe(ReadinessState::Refused)
        ->and($away([]))->toBe(ReadinessState::None);
});

it('takes no step that does not follow', function (DecisionKind ...$steps) {
    expect(fn () => ReadinessStanding::of(array_map(
        fn (DecisionKind $k): array => [$k, $k === DecisionKind::SignedOff ? '2027-05-01' : null],
        $steps,
    ), '2027-03-01'))->toThrow(CoreException::class);
})->with([
    [DecisionKind::Suspended],
    [DecisionKind::Reinstated],
    [DecisionKind::Appealed],
    [DecisionKind::SignedOff, DecisionKind::Appealed],
    [DecisionKind::Refused, DecisionKind::Appealed, DecisionKind::SignedOff],
    [DecisionKind::Refused, DecisionKind::Appealed, DecisionKind::Appealed],
    [DecisionKind::SignedOff, DecisionKind::Suspended, DecisionKind::SignedOff],
    [DecisionKind::SignedOff, DecisionKind::Suspended, DecisionKind::Suspended],
    [DecisionKind::Refused, DecisionKind::Upheld],
]);

it('writes a rule and reads it as it was', function () {
    $rule = new ReadinessRule([
        new Criterion('start down', ['hang-back', 'sway'], CriterionKind::Sensitivity, 0.65, 0.85),
        new Criterion('start down', ['hang-back'], CriterionKind::Specificity, 0.7, 0.9),
    ], [BarKind::Unsafe->value => new Bar(BarKind::Unsafe, 0.0, 10)], 18);
    $again = ReadinessJson::read(json_decode(json_encode(ReadinessJson::write($rule), JSON_THROW_ON_ERROR), true));
    expect($again)->toEqual($rule)->and($again->faults())->toBe(['hang-back', 'sway'])
        ->and($again->signOff($again->criteria[0])->lower)
        ->toBe((new SignOff(0.65, 0.85, 2, beta: ReadinessRule::BETA))->lower);
});
