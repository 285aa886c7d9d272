<?php

declare(strict_types=1);

namespace Core\Planning;

/**
 * What a set of cases holds, counted as cases come and go, and how far that is from what is wanted: squares of what
 * each fault lacks in present and absent, a quarter of the squares of what it has too much, and of what each trait
 * lacks or has too much of its share.
 */
final class Tally
{
    private int $size = 0;

    /** @var array<string, int> how often each fault is present */
    private array $present;

    /** @var array<string, int> and absent */
    private array $absent;

    /** What the faults cost, in quarters: whole, so that it may be added up in any order. */
    private int $quarters = 0;

    /** @var array<string, int> what one more of each would add to that */
    private array $ifPresent = [];

    /** @var array<string, int> */
    private array $ifAbsent = [];

    /** @var array<string, array<string, int>> by trait and value */
    private array $traits = [];

    /**
     * @param  int  $wanted  how often each fault is to be present
     * @param  int  $absentWanted  how often it is to be absent
     * @param  list<string>  $faults
     * @param  array<string, array<string, float>>  $shares  by trait and value
     */
    public function __construct(
        private readonly int $wanted,
        private readonly int $absentWanted,
        array $faults,
        private readonly array $shares,
    ) {
        $this->present = $this->absent = array_fill_keys($faults, 0);
        foreach ($faults as $fault) {
            $this->quarters += $this->ofPresent(0) + $this->ofAbsent(0);
            $this->weigh($fault);
        }
    }

    public function add(Candidate $c): void
    {
        $this->count($c, 1);
    }

    public function remove(Candidate $c): void
    {
        $this->count($c, -1);
    }

    private function count(Candidate $c, int $by): void
    {
        $this->size += $by;
        foreach (array_intersect_key($c->faults, $this->present) as $fault => $is) {
            $this->quarters -= $this->ofPresent($this->present[$fault]) + $this->ofAbsent($this->absent[$fault]);
            if ($is) {
                $this->present[$fault] += $by;
            } else {
                $this->absent[$fault] += $by;
            }
            $this->quarters += $this->ofPresent($this->present[$fault]) + $this->ofAbsent($this->absent[$fault]);
            $this->weigh($fault);
        }
        foreach ($c->allTraits as $trait => $value) {
            $this->traits[$trait][$value] = ($this->traits[$trait][$value] ?? 0) + $by;
        }
    }

    private function weigh(string $fault): void
    {
        [$present, $absent] = [$this->present[$fault], $this->absent[$fault]];
        $this->ifPresent[$fault] = $this->ofPresent($present + 1) - $this->ofPresent($present);
        $this->ifAbsent[$fault] = $this->ofAbsent($absent + 1) - $this->ofAbsent($absent);
    }

    private function ofPresent(int $n): int
    {
        return $n < $this->wanted ? 4 * ($this->wanted - $n) ** 2 : ($n - $this->wanted) ** 2;
    }

    private function ofAbsent(int $n): int
    {
        return 4 * max(0, $this->absentWanted - $n) ** 2;
    }

    public function cost(): float
    {
        return $this->withTraits($this->quarters, $this->size, []);
    }

    /** What it would cost with one more. */
    public function costWith(Candidate $c): float
    {
        $quarters = $this->quarters;
        foreach ($c->faults as $fault => $is) {
            $quarters += ($is ? $this->ifPresent[$fault] ?? 0 : $this->ifAbsent[$fault] ?? 0);
        }

        return $this->withTraits($quarters, $this->size + 1, $c->allTraits);
    }

    /** @param  array<string, string>  $more  traits of one more */
    private function withTraits(int $quarters, int $size, array $more): float
    {
        $cost = 0.25 * $quarters;
        foreach ($this->shares as $trait => $values) {
            $one = $more[$trait] ?? null;
            $of = $this->traits[$trait] ?? [];
            $count = max(1, count($values));
            foreach ($values as $value => $share) {
                $n = ($of[$value] ?? 0) + ($one === (string) $value ? 1 : 0);
                $cost += 0.5 * ($n - $share * $size) ** 2 / $count;
            }
        }

        return $cost;
    }
}
