<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/**
 * The calls of a many-facet model in columns of numbers, with one facet set apart: the one with the most levels, whose
 * part of the Hessian is diagonal.
 */
final class FacetDesign
{
    /** @var list<list<string>> names of the levels, in byte order, by facet */
    public array $levels = [];

    /** Which facet is eliminated. */
    public readonly int $large;

    /** @var array<int, int> where a small facet's levels begin among the small ones; the mean stands last */
    public array $from = [];

    public readonly int $small;

    // By call, in lists of numbers: a round of forty readers has a hundred thousand.

    /** @var list<int> 1 right, 0 not */
    public array $right = [];

    /** @var list<int> its level of the large facet */
    public array $levelOf = [];

    /** @var list<int> which of the combinations of small levels */
    public array $combinationOf = [];

    /** @var list<list<int>> places of the small levels in the order of the facets, and of the mean */
    public array $combinations = [];

    /**
     * @param  iterable<array{bool, list<string>}>  $calls
     * @param  non-empty-list<string>  $names
     */
    public function __construct(iterable $calls, public readonly array $names)
    {
        $seen = array_fill(0, count($names), []);
        $columns = $seen;
        foreach ($calls as [$right, $levels]) {
            $this->right[] = $right ? 1 : 0;
            foreach ($levels as $f => $level) {
                $columns[$f][] = $seen[$f][$level] ??= count($seen[$f]);
            }
        }
        $places = [];
        foreach ($seen as $f => $numbers) {
            $called = array_map(strval(...), array_keys($numbers));
            asort($called, SORT_STRING);
            $this->levels[] = array_values($called);
            $places[$f] = array_flip(array_keys($called));
        }
        $sizes = array_map($this->size(...), array_keys($names));
        $this->large = (int) array_search(max($sizes), $sizes, true);
        $at = 0;
        foreach ($sizes as $f => $n) {
            if ($f !== $this->large) {
                $this->from[$f] = $at;
                $at += $n;
            }
        }
        $this->small = $at;
        $known = [];
        foreach ($this->right as $i => $_) {
            $this->levelOf[] = $places[$this->large][$columns[$this->large][$i]];
            $of = [];
            foreach ($this->from as $f => $start) {
                $of[] = $start + $places[$f][$columns[$f][$i]];
            }
            $of[] = $at;
            $number = $known[implode(' ', $of)] ??= count($known);
            $this->combinations[$number] ??= $of;
            $this->combinationOf[] = $number;
        }
    }

    public function calls(): int
    {
        return count($this->right);
    }

    public function rightCalls(): int
    {
        return array_sum($this->right);
    }

    /** How many levels a facet has. */
    public function size(int $facet): int
    {
        return count($this->levels[$facet]);
    }

    /**
     * In how many parts the design falls that share no level of these facets.
     *
     * @param  list<int>  $facets
     */
    public function parts(array $facets): int
    {
        $root = [];
        $find = static function (string $of) use (&$root): string {
            while (($root[$of] ??= $of) !== $of) {
                $root[$of] = $root[$root[$of]];
                $of = $root[$of];
            }

            return $of;
        };
        foreach (array_keys($this->right) as $i) {
            $first = null;
            foreach ($facets as $f) {
                $at = $find("$f|{$this->level($i, $f)}");
                $root[$at] = $first ??= $at;
            }
        }

        return count(array_unique(array_map($find, array_map(strval(...), array_keys($root)))));
    }

    /** Its level of a facet. */
    public function level(int $call, int $facet): int
    {
        if ($facet === $this->large) {
            return $this->levelOf[$call];
        }
        // The small facets stand in their order, without the large one.
        $at = $facet - ($facet > $this->large ? 1 : 0);

        return $this->combinations[$this->combinationOf[$call]][$at] - $this->from[$facet];
    }
}
