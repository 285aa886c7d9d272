<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/** The ratings of one item (or several pooled) as small integers: category by unit and rater. */
final class ItemRatings
{
    /** @var list<string> */
    public readonly array $categories;

    /** @var list<string> */
    public readonly array $raters;

    /** @var list<array<int, int>> per unit, category by rater index */
    private array $values = [];

    /** @var list<int> */
    private array $caseOf = [];

    private ?Units $units = null;

    /**
     * @param  list<string>  $items
     * @param  array<string, int>  $caseIndex
     * @param  list<string>|null  $declared
     *
     * @throws CoreException when a rating lies outside the declared categories
     */
    public function __construct(RatingSet $set, array $items, array $caseIndex, ?array $declared, ?string $missing)
    {
        $all = array_map(static fn (string $item): array => $set->first($item, $missing), $items);
        $seen = $raters = [];
        foreach ($all as $byCase) {
            foreach ($byCase as $byRater) {
                foreach ($byRater as $rater => [$value]) {
                    $seen[$value] = true;
                    $raters[$rater] = true;
                }
            }
        }
        $this->categories = $declared === null ? RatingSet::ordered(array_keys($seen)) : RatingSet::ordered($declared);
        $this->raters = RatingSet::ordered(array_keys($raters));
        $index = array_flip($this->categories);
        $who = array_flip($this->raters);
        foreach ($all as $i => $byCase) {
            uksort($byCase, static fn (int|string $a, int|string $b): int => strcmp((string) $a, (string) $b));
            foreach ($byCase as $case => $byRater) {
                $row = [];
                foreach ($byRater as $rater => [$value]) {
                    $row[$who[$rater]] = $index[$value] ?? throw new CoreException(sprintf("the value '%s' of case '%s'%s is not among --categories", $value, $case, $items[$i] === '' ? '' : " and item '{$items[$i]}'"));
                }
                $this->values[] = $row;
                $this->caseOf[] = $caseIndex[$case];
            }
        }
    }

    public function units(): Units
    {
        if ($this->units === null) {
            $zero = array_fill(0, count($this->categories), 0);
            $counts = [];
            foreach ($this->values as $row) {
                $count = $zero;
                foreach ($row as $k) {
                    $count[$k]++;
                }
                $counts[] = array_values($count);
            }
            $this->units = new Units(count($this->categories), $counts, $this->caseOf);
        }

        return $this->units;
    }

    /** @return list<array<int, int>> */
    public function byRater(): array
    {
        return $this->values;
    }

    /**
     * Every pair of raters, the first before the second bytewise, with their table.
     *
     * @return list<array{string, string, list<list<int>>}>
     */
    public function pairTables(): array
    {
        $q = count($this->categories);
        $m = count($this->raters);
        $zero = array_fill(0, $q, array_fill(0, $q, 0));
        $tables = [];
        foreach ($this->values as $row) {
            ksort($row);
            $raters = array_keys($row);
            foreach ($raters as $x => $a) {
                for ($y = $x + 1; $y < count($raters); $y++) {
                    $tables[$a * $m + $raters[$y]] ??= $zero;
                    $tables[$a * $m + $raters[$y]][$row[$a]][$row[$raters[$y]]]++;
                }
            }
        }
        $out = [];
        for ($a = 0; $a < $m; $a++) {
            for ($b = $a + 1; $b < $m; $b++) {
                $out[] = [$this->raters[$a], $this->raters[$b], array_values(array_map(array_values(...), $tables[$a * $m + $b] ?? $zero))];
            }
        }

        return $out;
    }
}
