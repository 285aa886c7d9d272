<?php

declare(strict_types=1);

namespace Core\Agreement;

/**
 * The rated units of one item (or of all items pooled) as counts: per unit how many raters chose each
 * category. A unit belongs to a case; cases are what is sampled, so a case's units stay together.
 *
 * Only units with at least one rating are held.
 */
final readonly class Units
{
    public int $units;

    /** Units with two ratings or more. */
    public int $paired;

    /** Cases that hold a unit. */
    public int $cases;

    /**
     * @param  int  $q  number of categories
     * @param  list<list<int>>  $counts  per unit, per category
     * @param  list<int>  $caseOf  per unit, the index of its case in byte order of all cases
     */
    public function __construct(public int $q, public array $counts, public array $caseOf)
    {
        $this->units = count($counts);
        $paired = 0;
        foreach ($counts as $row) {
            $paired += array_sum($row) >= 2 ? 1 : 0;
        }
        $this->paired = $paired;
        $this->cases = count(array_unique($caseOf));
    }

    /** @return list<int> how many ratings fall in each category */
    public function totals(): array
    {
        $out = array_fill(0, $this->q, 0);
        foreach ($this->counts as $row) {
            foreach ($row as $k => $n) {
                $out[$k] += $n;
            }
        }

        return array_values($out);
    }

    public function ratings(): int
    {
        return array_sum($this->totals());
    }

    /** How many categories occur at all. */
    public function occurring(): int
    {
        return count(array_filter($this->totals()));
    }
}
