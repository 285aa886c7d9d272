<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;

/**
 * A learner of another kind than the program takes people for: each fault is known or not to a degree, answers slip and
 * are guessed, each answer whose truth is told brings a part of what is missing, and what was learnt fades toward where
 * it began.
 */
final class SlippingLearner
{
    private const SLIP = 0.08;

    private const GUESS = 0.5;

    private const LEARNS = 0.16;

    /** Part of what was learnt that is left after a day. */
    private const LEFT = 0.985;

    /** @var array<string, float> how far each fault is known, 0 to 1 */
    public array $knows;

    /** @param  array<string, float>  $began  by fault */
    public function __construct(private readonly array $began, private readonly Chance $chance)
    {
        $this->knows = $began;
    }

    /** How likely a right answer is, over all faults alike. */
    public function chance(): float
    {
        return array_sum(array_map(self::right(...), $this->knows)) / max(1, count($this->knows));
    }

    public function answers(string $fault, bool $taught = true): bool
    {
        $right = $this->chance->uniform() < self::right($this->knows[$fault]);
        if ($taught) {
            $this->knows[$fault] += self::LEARNS * (1.0 - $this->knows[$fault]);
        }

        return $right;
    }

    public function sleeps(float $days = 1.0): void
    {
        foreach ($this->knows as $fault => $knows) {
            $this->knows[$fault] = $this->began[$fault] + ($knows - $this->began[$fault]) * self::LEFT ** $days;
        }
    }

    private static function right(float $knows): float
    {
        return $knows * (1.0 - self::SLIP) + (1.0 - $knows) * self::GUESS;
    }
}
