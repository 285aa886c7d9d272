<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/**
 * The ratings of one item (or of several pooled) as packed columns of small integers, one column a rater. A row is
 * a unit: an item of a case that has at least one rating. Clusters of cases – one golfer's – are what is sampled; a
 * case is its own where nothing else is said. Units of one cluster stand next to each other, clusters and the cases in
 * them in byte order. Count tables are made once and shared.
 */
final class ItemTable
{
    public const MISSING = -1;

    public readonly int $q;

    /** Number of units, and of those with two ratings or more. */
    public readonly int $units;

    public readonly int $paired;

    /** Number of cases that hold a unit, and of clusters. */
    public readonly int $cases;

    public readonly int $clusters;

    /** Whether clusters may hold several units: then no figure may take its units for independent. */
    public readonly bool $grouped;

    public readonly int $ratings;

    /** @var array<int, int> ratings by unit */
    public readonly array $r;

    /** @var array<int, int> ratings by unit × category */
    public readonly array $counts;

    /** @var array{list<list<int>>, list<int>}|null as patterns() */
    private ?array $patterns = null;

    /** @var array{self, list<int>}|null as rows() */
    private ?array $rows = null;

    /**
     * @param  list<string>  $categories  in the scale's order
     * @param  list<float>  $numbers  what the categories are as numbers; empty for names
     * @param  list<string>  $raters  bytewise
     * @param  list<list<int>>  $columns  category by rater and unit
     * @param  list<int>  $clusterOf  rank of the cluster among all clusters, by unit; never falling
     * @param  int|null  $cases  as many as clusters where null
     * @param  bool|null  $grouped  where null, whether there are fewer clusters than units
     * @param  list<int>|null  $times  how often each unit is there, where units that are alike – each its own cluster –
     *     are held once: the numbers of units, cases, clusters and ratings count them all
     */
    public function __construct(
        public readonly Scale $scale,
        public readonly array $categories,
        public readonly array $numbers,
        public readonly array $raters,
        public readonly array $columns,
        public readonly array $clusterOf,
        ?int $cases = null,
        ?bool $grouped = null,
        public readonly ?array $times = null,
    ) {
        $this->q = $q = count($categories);
        $n = count($clusterOf);
        $counts = $scale->isCategorical() ? array_fill(0, $n * $q, 0) : [];
        $r = array_fill(0, $n, 0);
        foreach ($columns as $column) {
            if ($counts !== []) {
                foreach ($column as $u => $k) {
                    if ($k >= 0) {
                        $counts[$u * $q + $k]++;
                        $r[$u]++;
                    }
                }
            } else {
                foreach ($column as $u => $k) {
                    $r[$u] += $k >= 0 ? 1 : 0;
                }
            }
        }
        $paired = $ratings = 0;
        foreach ($r as $u => $one) {
            $there = $times[$u] ?? 1;
            $paired += $one >= 2 ? $there : 0;
            $ratings += $there * $one;
        }
        $this->counts = $counts;
        $this->r = $r;
        $this->paired = $paired;
        $this->ratings = $ratings;
        $this->units = $times === null ? $n : array_sum($times);
        $this->clusters = $times === null ? self::distinct($clusterOf) : $this->units;
        $this->cases = $cases ?? $this->clusters;
        $this->grouped = $grouped ?? $this->clusters < $this->units;
    }

    /** @param  list<int>  $rising */
    private static function distinct(array $rising): int
    {
        $n = 0;
        $last = null;
        foreach ($rising as $v) {
            $n += $v === $last ? 0 : 1;
            $last = $v;
        }

        return $n;
    }

    /**
     * @param  list<string>  $items
     * @param  list<string>|null  $declared  the categories, if they are fixed
     * @param  string|null  $missing  a value to be taken as missing
     * @param  bool  $asNames  whether numbers are taken as mere names
     * @param  bool|null  $grouped  where null, whether several items are pooled or clusters hold several cases
     *
     * @throws CoreException when a rating lies outside the declared categories
     */
    public static function fromRatings(
        RatingSet $set,
        array $items,
        ?array $declared = null,
        ?string $missing = null,
        bool $asNames = false,
        ?bool $grouped = null,
    ): self {
        $scale = $asNames ? Scale::Nominal : $set->scale;
        $names = array_map(
            static fn (string $name): string => $asNames && Scale::decimal($name) !== null
                ? Scale::text((float) $name)
                : $name,
            $set->valueNames(),
        );
        $skip = [];
        foreach ($names as $v => $name) {
            $skip[$v] = $v === 0 || $name === $missing;
        }
        $sheets = [];
        $seen = $who = [];
        foreach ($items as $i => $item) {
            $sheets[$i] = $set->first($item);
            foreach ($sheets[$i]->rows() as $row) {
                foreach ($sheets[$i]->read($row) as $r => $v) {
                    if ($v > 0 && ! $skip[$v]) {
                        $seen[$v] = true;
                        $who[$r] = true;
                    }
                }
            }
        }
        $used = array_map(static fn (int $v): string => $names[$v], array_keys($seen));
        [$categories, $numbers, $index] = self::categories($scale, array_values(array_unique($used)), $declared);
        $code = [];
        foreach ($seen as $v => $_) {
            $code[$v] = $index[self::id($scale, $names[$v])] ?? null;
        }
        $raterNames = $set->raterNames();
        $raters = RatingSet::ordered(array_map(static fn (int $r): string => $raterNames[$r], array_keys($who)));
        $position = array_flip($raters);
        $at = [];
        foreach ($who as $r => $_) {
            $at[$r] = $position[$raterNames[$r]];
        }
        $columns = array_fill(0, count($raters), []);
        $clusterOf = [];
        $empty = array_fill(0, count($raters), self::MISSING);
        $cases = 0;
        foreach ($set->inClusters() as [$case, $rank]) {
            $c = $set->caseIndex($case);
            $held = count($clusterOf);
            foreach ($items as $i => $item) {
                $unit = $empty;
                $any = false;
                foreach ($sheets[$i]->row($c) as $r => $v) {
                    if ($v > 0 && ! $skip[$v]) {
                        $unit[$at[$r]] =
                            $code[$v] ??
                            throw AgreementException::because(
                                $item === '' ? 'not-a-category' : 'item-not-a-category',
                                value: $names[$v],
                                case: $case,
                                item: $item,
                            );
                        $any = true;
                    }
                }
                if ($any) {
                    foreach ($unit as $g => $k) {
                        $columns[$g][] = $k;
                    }
                    $clusterOf[] = $rank;
                }
            }
            $cases += count($clusterOf) > $held ? 1 : 0;
        }

        return new self(
            $scale,
            $categories,
            $numbers,
            $raters,
            array_values($columns),
            $clusterOf,
            $cases,
            $grouped ?? (count($items) > 1 || $set->isClustered()),
        );
    }

    /**
     * @param  list<string>  $used
     * @param  list<string>|null  $declared
     * @return array{list<string>, list<float>, array<int|string, int>} names, numbers, and position by id
     *
     * @throws CoreException
     */
    private static function categories(Scale $scale, array $used, ?array $declared): array
    {
        if ($scale === Scale::Nominal) {
            $names = RatingSet::ordered($declared ?? $used);

            return [$names, [], array_flip($names)];
        }
        $numbers = [];
        foreach ($declared ?? $used as $name) {
            $v =
                Scale::decimal($name) ??
                throw AgreementException::because('category-number', name: $name);
            $numbers[self::id($scale, $name)] = $v;
        }
        asort($numbers, SORT_NUMERIC);

        return [
            array_values(array_map(Scale::text(...), $numbers)),
            array_values($numbers),
            array_flip(array_keys($numbers)),
        ];
    }

    /** Why its chance-corrected figures are undefined, where they are. */
    public function whyUndefined(): Undefined
    {
        return match (true) {
            $this->paired === 0 => Undefined::NoPairs,
            $this->q === 1 => Undefined::OneCategory,
            default => Undefined::AllRatingsSame,
        };
    }

    /** What two spellings of the same value share. */
    private static function id(Scale $scale, string $value): string
    {
        return $scale === Scale::Nominal ? $value : 'n'.Scale::text((float) $value);
    }

    /** Position of a value among the categories, or null. */
    public function code(string $value): ?int
    {
        $name =
            $this->scale === Scale::Nominal
                ? $value
                : (Scale::decimal($value) === null
                    ? $value
                    : Scale::text((float) $value));
        $at = array_search($name, $this->categories, true);

        return $at === false ? null : $at;
    }

    /**
     * Units that were given the same categories equally often are of one pattern.
     *
     * @return array{list<list<int>>, list<int>} ratings by category of each pattern, and the pattern of each unit
     */
    public function patterns(): array
    {
        return $this->patterns ??= AlikeUnits::patterns($this);
    }

    /**
     * Units that every rater called the same, once: a million ratings of ten raters hold a thousand of them. Where
     * units of a cluster are sampled together each stays as it is.
     *
     * @return array{self, list<int>} the different ones, each its own cluster, and how often each is there
     */
    public function rows(): array
    {
        return $this->rows ??= match (true) {
            $this->times !== null => [AlikeUnits::once($this), $this->times],
            $this->grouped || $this->clusters < $this->units => [$this, array_fill(0, $this->units, 1)],
            default => AlikeUnits::rows($this),
        };
    }

    /** The same without one rater's ratings; units of which nothing is left stay, empty. */
    public function without(int $rater): self
    {
        [$raters, $columns] = [$this->raters, $this->columns];
        unset($raters[$rater], $columns[$rater]);

        return new self(
            $this->scale,
            $this->categories,
            $this->numbers,
            array_values($raters),
            array_values($columns),
            $this->clusterOf,
            $this->cases,
            $this->grouped,
            $this->times,
        );
    }

    /** Whether every rater rated every unit. */
    public function isComplete(): bool
    {
        return $this->ratings === $this->units * count($this->raters);
    }

    /** Whether all ratings of every unit are the same, decided by integers. */
    public function isPerfect(): bool
    {
        $first = array_fill(0, count($this->r), self::MISSING);
        foreach ($this->columns as $column) {
            foreach ($column as $u => $k) {
                if ($k >= 0) {
                    if ($first[$u] < 0) {
                        $first[$u] = $k;
                    } elseif ($first[$u] !== $k) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /** How many categories occur. */
    public function occurring(): int
    {
        $seen = [];
        foreach ($this->columns as $column) {
            foreach ($column as $k) {
                $seen[$k] = true;
            }
        }
        unset($seen[self::MISSING]);

        return count($seen);
    }
}
