<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * How a drill is prescribed: how much of it, what tells the student that it is right, when to go on and when to stop.
 */
final readonly class DrillPlan
{
    /**
     * @param  string  $dose  repetitions, sets, rehearsals to a ball
     * @param  string  $check  what the student can see or feel without a coach
     * @param  string  $pass  what allows the next rung
     * @param  string  $stop  what ends it for the day
     * @param  Rung  $from  the rung it begins on
     * @param  Rung  $to  the last it is taken to
     * @param  string  $ball  what the ball is likely to do meanwhile, and what to ignore
     * @param  string  $feels  what usually feels wrong at first
     * @param  array<string, array{bool, string}>  $lenses  by lens: whether it is used under it at all, and how or why
     *     not
     * @param  list<array{LimitRegion, ?LimitSide}>  $loads  what of a body it loads; a golfer's limit there speaks
     *     against it
     */
    public function __construct(
        public string $dose,
        public string $check,
        public string $pass,
        public string $stop,
        public Rung $from,
        public Rung $to,
        public string $ball,
        public string $feels,
        public array $lenses,
        public array $loads,
    ) {
    }

    /** Whether a golfer's limit lies where the drill loads a body. */
    public function loads(Limit $limit): bool
    {
        foreach ($this->loads as [$region, $side]) {
            if ($region === $limit->region && ($side === null || $limit->side === null || $side === LimitSide::Both
                || $limit->side === LimitSide::Both || $side === $limit->side)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Rung> from the first to the last */
    public function ladder(): array
    {
        $all = Rung::cases();
        $first = (int) array_search($this->from, $all, true);
        $last = (int) array_search($this->to, $all, true);

        return array_slice($all, $first, $last - $first + 1);
    }
}
