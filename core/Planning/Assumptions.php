<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Chance\Chance;
use Core\CoreException;

/**
 * What is expected of a study before it is made: a fault is present in a share of the cases, and each rater calls it
 * rightly with one and the same probability, present or not, independently of the others given the case.
 *
 * The accuracy s follows from the agreement A that two raters are expected to reach, A = s² + (1 − s)², so that
 * s = (1 + √(2A − 1))/2. Raters who differ in how readily they call, or cases of very different difficulty,
 * make real
 * intervals wider than this says; a pilot shows by how much.
 */
final readonly class Assumptions
{
    public float $accuracy;

    /**
     * @param  float  $prevalence  share of cases in which the fault is present, in (0, 1)
     * @param  float  $agreement  share of pairs of raters that say the same, in [0.5, 1)
     * @param  int  $raters  ≥ 2
     * @param  float  $missing  share of ratings that will be missing, in [0, 0.9]
     * @param  int  $swings  cases a golfer
     * @param  float  $alike  correlation of the fault within golfers, in [0, 1]
     *
     * @throws CoreException when one lies elsewhere
     */
    public function __construct(
        public float $prevalence,
        public float $agreement,
        public int $raters,
        public float $missing = 0.0,
        public int $swings = 1,
        public float $alike = 0.0,
    ) {
        match (true) {
            is_nan($prevalence) || $prevalence <= 0.0
                || $prevalence >= 1.0 => throw PlanningException::because('prevalence'),
            is_nan($agreement) || $agreement < 0.5
                || $agreement >= 1.0 => throw PlanningException::because('agreement'),
            $raters < 2 || $raters > 200 => throw PlanningException::because('raters'),
            is_nan($missing) || $missing < 0.0 || $missing > 0.9 => throw PlanningException::because('missing'),
            $swings < 1 || $swings > 100 => throw PlanningException::because('swings'),
            is_nan($alike) || $alike < 0.0 || $alike > 1.0 => throw PlanningException::because('alike'),
            default => null,
        };
        $this->accuracy = (1 + sqrt(2 * $agreement - 1)) / 2;
    }

    /**
     * The same with another agreement.
     *
     * @throws CoreException when it lies outside [0.5, 1)
     */
    public function agreeing(float $agreement): self
    {
        return new self($this->prevalence, $agreement, $this->raters, $this->missing, $this->swings, $this->alike);
    }

    /**
     * So many cases by golfers: with the chance √ρ a swing shows what its golfer mostly does.
     *
     * @return array{list<int>, list<int>} whether the fault is there (1, 0), and the golfer of each case
     */
    public function golfers(int $cases, Chance $chance): array
    {
        $truth = $golfers = [];
        $habit = 0;
        for ($i = 0; $i < $cases; $i++) {
            if ($i % $this->swings === 0) {
                $habit = $chance->uniform() < $this->prevalence ? 1 : 0;
            }
            $own = $chance->uniform() < sqrt($this->alike);
            $truth[] = $own ? $habit : ($chance->uniform() < $this->prevalence ? 1 : 0);
            $golfers[] = intdiv($i, $this->swings);
        }

        return [$truth, $golfers];
    }

    /**
     * How likely each number of "present" among all raters of a case is.
     *
     * @return list<float> by number, 0 to the raters
     */
    public function counts(): array
    {
        $m = $this->raters;
        $out = [];
        $ways = 1.0;
        for ($k = 0; $k <= $m; $k++) {
            $s = $this->accuracy;
            $out[] =
                $ways *
                ($this->prevalence * $s ** $k * (1 - $s) ** ($m - $k) +
                    (1 - $this->prevalence) * (1 - $s) ** $k * $s ** ($m - $k));
            $ways *= (float) ($m - $k) / ($k + 1);
        }

        return $out;
    }

    /** Share of all ratings that say "present". */
    public function called(): float
    {
        return $this->prevalence * $this->accuracy + (1 - $this->prevalence) * (1 - $this->accuracy);
    }
}
