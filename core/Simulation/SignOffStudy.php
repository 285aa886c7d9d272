<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Planning\SignOffDecision;
use Core\Training\Alikeness;
use Core\Training\Criterion;
use Core\Training\CriterionKind;
use Core\Training\ReadinessRule;
use Core\Training\TestCourse;

/**
 * Tests of readiness of readers who are right so often, on cases whose calls are alike, each of another golfer; how
 * alike they are the test learns from an academy's rounds, as it does from real ones.
 */
final class SignOffStudy
{
    /** An academy whose rounds say how alike calls are: golfers, cases of each, readers. */
    private const GOLFERS = 12;

    private const CASES = 2;

    private const READERS = 8;

    /** Calls of a case, for each criterion. */
    private const CALLS = [[1, 3], [4, 10]];

    /** @param  float  $alike  how alike the calls of a case are in being right: of one reader */
    public function __construct(
        private readonly float $bar,
        private readonly float $good,
        private readonly float $alike,
    ) {
    }

    /**
     * @param  array{float, float}  $right  how often the reader is right: where it is there, and where it is not
     * @return array{state: SignOffDecision, cases: int, fixed: int} fixed: cases of a fixed test of the same errors
     *
     * @throws CoreException
     */
    public function test(string $seed, array $right): array
    {
        $chance = new Chance("sign-off|$seed");
        $rule = new ReadinessRule([
            new Criterion('all', ['a'], CriterionKind::Sensitivity, $this->bar, $this->good),
            new Criterion('all', ['a'], CriterionKind::Specificity, $this->bar, $this->good),
        ], [], 12);
        $tests = [];
        foreach ($rule->criteria as $i => $criterion) {
            $learnt = Alikeness::of($this->rounds($chance, $i));
            $tests[] = $rule->signOff(
                $criterion,
                array_sum(self::CALLS[$i]) / 2.0,
                $learnt->over(range(self::CALLS[$i][0], self::CALLS[$i][1])),
            );
        }
        $read = [];
        do {
            $read[] = [
                $this->case($chance, $right[0], self::CALLS[0]), $this->case($chance, $right[1], self::CALLS[1]),
            ];
            $course = TestCourse::of($tests, $read);
        } while ($course->decision() === SignOffDecision::GoesOn);

        return [
            'state' => $course->decision(),
            'cases' => count($read),
            'fixed' => max(TestCourse::LEAST, $tests[0]->fixedCases, $tests[1]->fixedCases),
        ];
    }

    /** @return list<array{string, int, int}> */
    private function rounds(Chance $chance, int $criterion): array
    {
        $out = [];
        for ($golfer = 0; $golfer < self::GOLFERS; $golfer++) {
            for ($case = 0; $case < self::CASES; $case++) {
                for ($reader = 0; $reader < self::READERS; $reader++) {
                    $right = $this->bar + ($this->good - $this->bar) * $chance->uniform();
                    [$hits, $calls] = $this->case($chance, $right, self::CALLS[$criterion]);
                    $out[] = ["g$golfer", $hits, $calls];
                }
            }
        }

        return $out;
    }

    /**
     * @param  array{int, int}  $calls  from and to
     * @return array{int, int} right calls, calls
     */
    private function case(Chance $chance, float $right, array $calls): array
    {
        $n = $chance->between(...$calls);
        $common = $chance->uniform() < $right;
        $hits = 0;
        for ($i = 0; $i < $n; $i++) {
            // With this chance each is as the case's common call: two are alike to ρ.
            $is = $chance->uniform() < sqrt($this->alike) ? $common : $chance->uniform() < $right;
            $hits += $is ? 1 : 0;
        }

        return [$hits, $n];
    }
}
