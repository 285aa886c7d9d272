<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\CoreException;
use Core\Number\Distribution;

/**
 * Whether somebody may be left alone with what is tested, decided case after case (Wald 1945): right in p1 of the calls
 * rather than in p0 only. All criteria must pass, so each may refuse a good reader with β/criteria only.
 *
 * After each whole case Λ += [y ln(p1/p0) + (k−y) ln((1−p1)/(1−p0))]/D with D = 1 + (k̄−1)ρ fixed beforehand, ρ being
 * how alike the calls of one case are. Signed off at Λ ≥ ln((1−β)/α), refused at Λ ≤ ln(β/(1−α)), and ended at 1.5
 * times the length of a fixed test. One case a golfer; nothing that was known before enters.
 */
final readonly class SignOff
{
    /** Of the fixed length: then it ends without a decision, and nobody is signed off. */
    private const LONGEST = 1.5;

    public float $upper;

    public float $lower;

    /** D */
    public float $designEffect;

    /** Independent calls that a test of fixed length takes. */
    public int $fixedCalls;

    /** Cases of that test. */
    public int $fixedCases;

    /**
     * @param  float  $bar  p0: who is right no more often must not be signed off
     * @param  float  $good  p1: who is right so often should be
     * @param  int  $criteria  how many such decisions must all pass
     * @param  float  $callsACase  k̄
     * @param  float  $alike  ρ in [0, 1], the upper 80 % of what the academy's data say
     *
     * @throws CoreException
     */
    public function __construct(
        public float $bar,
        public float $good,
        int $criteria = 1,
        public float $callsACase = 1.0,
        float $alike = 0.0,
        float $alpha = 0.05,
        float $beta = 0.10,
    ) {
        $inside = static fn (float $v): bool => ! is_nan($v) && $v > 0.0 && $v < 1.0;
        if (! $inside($bar) || ! $inside($good) || $good <= $bar || $criteria < 1 || $callsACase < 1.0) {
            throw PlanningException::because('sign-off');
        }
        $beta /= $criteria;
        $this->upper = log((1.0 - $beta) / $alpha);
        $this->lower = log($beta / (1.0 - $alpha));
        $this->designEffect = 1.0 + ($callsACase - 1.0) * max(0.0, min(1.0, $alike));
        $a = Distribution::normalQuantile(1.0 - $alpha) * sqrt($bar * (1.0 - $bar));
        $b = Distribution::normalQuantile(1.0 - $beta) * sqrt($good * (1.0 - $good));
        $this->fixedCalls = (int) ceil((($a + $b) / ($good - $bar)) ** 2);
        $this->fixedCases = (int) ceil($this->fixedCalls * $this->designEffect / $callsACase);
    }

    /** Λ of one whole case: so many calls right of so many. */
    public function step(int $right, int $calls): float
    {
        return ($right * log($this->good / $this->bar) +
            ($calls - $right) * log((1.0 - $this->good) / (1.0 - $this->bar))) / $this->designEffect;
    }

    /**
     * Λ of one call on a case of known difficulty, where cases are chosen for what they tell.
     *
     * @param  float  $difficulty  b in logits, 0 a middling case
     * @param  array{float, float}  $abilities  θ0 and θ1, which give p0 and p1 over the standard mix of cases
     */
    public static function stepAt(bool $right, float $difficulty, array $abilities): float
    {
        $chance = static fn (float $ability): float => 1.0 / (1.0 + exp(-($ability - $difficulty)));
        [$was, $is] = [$chance($abilities[0]), $chance($abilities[1])];

        return $right ? log($is / $was) : log((1.0 - $is) / (1.0 - $was));
    }

    /**
     * The ability in logits that is right in the given share over a mix of cases.
     *
     * @param  non-empty-list<float>  $difficulties
     */
    public static function ability(float $share, array $difficulties): float
    {
        [$low, $high] = [-30.0, 30.0];
        for ($i = 0; $i < 200; $i++) {
            $middle = ($low + $high) / 2.0;
            $sum = 0.0;
            foreach ($difficulties as $b) {
                $sum += 1.0 / (1.0 + exp(-($middle - $b)));
            }
            [$low, $high] = $sum / count($difficulties) < $share ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2.0;
    }

    /** What Λ after so many cases means. */
    public function decision(float $lambda, int $cases): SignOffDecision
    {
        return match (true) {
            $lambda >= $this->upper => SignOffDecision::SignedOff,
            $lambda <= $this->lower => SignOffDecision::Refused,
            $cases >= $this->mostCases() => SignOffDecision::Undecided,
            default => SignOffDecision::GoesOn,
        };
    }

    /**
     * How many cases a test takes on average (Wald): of a reader at the bar, and of a good one.
     *
     * @return array{float, float}
     */
    public function usualCases(): array
    {
        $alpha = (1.0 - exp($this->lower)) / (exp($this->upper) - exp($this->lower));
        $cases = fn (float $p, float $passes): float => ($passes * $this->upper + (1.0 - $passes) * $this->lower) /
            ($this->callsACase * ($p * $this->step(1, 1) + (1.0 - $p) * $this->step(0, 1)));

        return [$cases($this->bar, $alpha), $cases($this->good, $alpha * exp($this->upper))];
    }

    public function mostCases(): int
    {
        return (int) ceil(self::LONGEST * $this->fixedCases);
    }
}
