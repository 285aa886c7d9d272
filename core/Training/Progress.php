<?php

declare(strict_types=1);

namespace Core\Training;

/**
 * How what one person knows came about: the estimate as it stood week by week, and as it will stand without practice.
 */
final readonly class Progress
{
    /** Beyond so many standard errors of both ends a change is more than their doubt: two sides, four times in five. */
    private const Z = 1.2816;

    /** Weeks without practice that are looked ahead. */
    public const AHEAD = 4;

    private const WEEK = 7.0;

    /**
     * @param  list<Skill>  $then  from the first week looked at to today
     * @param  Skill  $ahead  in so many weeks, if nothing is practised
     */
    private function __construct(public array $then, public Skill $ahead)
    {
    }

    /**
     * @param  list<Answer>  $answers  in the order in which they were given
     * @param  list<string>  $faults
     * @param  float  $today  in the days of the answers
     * @param  int  $weeks  back
     * @param  int  $step  weeks between two points
     * @return array<string, self> by fault
     */
    public static function of(array $answers, array $faults, float $today, int $weeks, int $step): array
    {
        $then = [];
        for ($back = $weeks; $back >= 0; $back -= $step) {
            $day = $today - self::WEEK * $back;
            $known = array_values(array_filter($answers, static fn (Answer $a): bool => $a->day <= $day));
            foreach (Learner::skills($known, $faults, $day) as $fault => $skill) {
                $then[$fault][] = $skill;
            }
        }
        $ahead = Learner::skills($answers, $faults, $today + self::WEEK * self::AHEAD);

        $out = [];
        foreach ($then as $fault => $of) {
            $out[$fault] = new self($of, $ahead[$fault]);
        }

        return $out;
    }

    public function now(): Skill
    {
        return $this->then[count($this->then) - 1];
    }

    /** More than the doubt of both ends: up or down; null where it cannot be said, or nothing was answered since. */
    public function moved(): ?bool
    {
        $first = $this->then[0];
        $now = $this->now();
        if ($now->answers === $first->answers || $first->answers === 0) {
            return null;
        }
        $by = $now->logit - $first->logit;

        return abs($by) > self::Z * hypot($first->se, $now->se) ? $by > 0.0 : null;
    }
}
