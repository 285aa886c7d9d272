<?php

declare(strict_types=1);

namespace Core\Training;

use Core\Planning\SignOff;
use Core\Planning\SignOffDecision;

/**
 * How a test stands after the cases read so far: each criterion by its own sequence, which ends where it first crosses
 * a line and is not looked at again. Signed off where all are; refused where one is.
 */
final readonly class TestCourse
{
    /** Nothing is decided on fewer cases, each of another golfer, however many calls they hold. */
    public const LEAST = 4;

    /**
     * @param  list<SignOff>  $tests  of each criterion
     * @param  list<float>  $lambda
     * @param  list<SignOffDecision>  $decisions
     * @param  list<array{int, int}>  $counted  right calls and all, as far as each went
     * @param  list<int>  $cases  that had a call for each
     */
    private function __construct(
        public array $tests,
        public array $lambda,
        public array $decisions,
        public array $counted,
        public array $cases,
    ) {
    }

    /**
     * @param  list<SignOff>  $tests
     * @param  list<list<array{int, int}>>  $read  case after case, for each criterion the right calls and all
     */
    public static function of(array $tests, array $read): self
    {
        $lambda = array_fill(0, count($tests), 0.0);
        $decisions = array_fill(0, count($tests), SignOffDecision::GoesOn);
        $counted = array_fill(0, count($tests), [0, 0]);
        $cases = array_fill(0, count($tests), 0);
        foreach ($read as $case) {
            foreach ($tests as $i => $test) {
                [$right, $calls] = $case[$i];
                if ($decisions[$i] !== SignOffDecision::GoesOn || $calls === 0) {
                    continue;
                }
                $lambda[$i] += $test->step($right, $calls);
                $counted[$i] = [$counted[$i][0] + $right, $counted[$i][1] + $calls];
                $cases[$i]++;
                // A likelihood ratio keeps its promise wherever it is first looked at (Ville 1939).
                $decisions[$i] = $cases[$i] < self::LEAST
                    ? SignOffDecision::GoesOn
                    : $test->decision($lambda[$i], $cases[$i]);
            }
        }

        return new self(
            $tests,
            array_values($lambda),
            array_values($decisions),
            array_values($counted),
            array_values($cases),
        );
    }

    public function decision(): SignOffDecision
    {
        $has = fn (SignOffDecision $d): bool => in_array($d, $this->decisions, true);

        return match (true) {
            $has(SignOffDecision::Refused) => SignOffDecision::Refused,
            $has(SignOffDecision::Undecided) => SignOffDecision::Undecided,
            $has(SignOffDecision::GoesOn) => SignOffDecision::GoesOn,
            default => SignOffDecision::SignedOff,
        };
    }

    /**
     * How much a case would tell: its calls for criteria that are still open, each in parts of what its test takes.
     *
     * @param  list<int>  $calls  for each criterion
     */
    public function tells(array $calls): float
    {
        $sum = 0.0;
        foreach ($this->tests as $i => $test) {
            if ($this->decisions[$i] === SignOffDecision::GoesOn) {
                $sum += $calls[$i] / $test->designEffect / $test->fixedCalls;
            }
        }

        return $sum;
    }
}
