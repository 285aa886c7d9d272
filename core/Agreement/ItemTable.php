<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/**
 * The ratings of one item (or of several pooled) as packed columns of small integers, one column a rater. A row is
 * a unit: an item of a case that has at least one rating. Units of one case stand next to each other, cases in byte
 * order; cases are what is sampled. Count tables are made once and shared.
 */
final class ItemTable
{
    public const MISSING = -1;

    public readonly int $q;

    /** Number of units, and of those with two ratings or more. */
    public readonly int $units;

    public readonly int $paired;

    /** Number of cases that hold a unit. */
    public readonly int $cases;

    public readonly int $ratings;

    /** @var array<int, int> ratings by unit */
    public readonly array $r;

    /** @var array<int, int> ratings by unit × category */
    public readonly array $counts;

    /**
     * @param  list<string>  $categories  in the scale's order
     * @param  list<float>  $numbers  what the categories are as numbers; empty for names
     * @param  list<string>  $raters  bytewise
     * @param  list<list<int>>  $columns  category by rater and unit
     * @param  list<int>  $caseOf  rank of the case among all cases, by unit; never falling
     */
    public function __construct(
        public readonly Scale $scale,
        public readonly array $categories,
        public readonly array $numbers,
        public readonly array $raters,
        public readonly array $columns,
        public readonly array $caseOf,
    ) {
        $this->q = $q = count($categories);
        $this->units = $n = count($caseOf);
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
        $paired = 0;
        foreach ($r as $one) {
            $paired += $one >= 2 ? 1 : 0;
        }
        $this->counts = $counts;
        $this->r = $r;
        $this->paired = $paired;
        $this->ratings = array_sum($r);
        $this->cases = count(array_unique($caseOf));
    }

    /**
     * @param  list<string>  $items
     * @param  list<string>|null  $declared  the categories, if they are fixed
     * @param  string|null  $missing  a value to be taken as missing
     * @param  bool  $asNames  whether numbers are taken as mere names
     *
     * @throws CoreException when a rating lies outside the declared categories
     */
    public static function fromRatings(
        RatingSet $set,
        array $items,
        ?array $declared = null,
        ?string $missing = null,
        bool $asNames = false,
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
        $rows = [];
        $seen = $who = [];
        foreach ($items as $i => $item) {
            foreach ($rows[$i] = $set->first($item) as $row) {
                foreach ($row as $r => $v) {
                    if ($v > 0 && ! $skip[$v]) {
                        $seen[$v] = true;
                        $who[$r] = true;
                    }
                }
            }
        }
        $used = array_map(static fn (int $v): string => $names[$v], array_keys($seen));
        $cases = $set->cases();
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
        $caseOf = [];
        $empty = array_fill(0, count($raters), self::MISSING);
        foreach ($cases as $rank => $case) {
            $c = $set->caseIndex($case);
            foreach ($items as $i => $item) {
                $row = $rows[$i][$c] ?? [];
                $unit = $empty;
                $any = false;
                foreach ($row as $r => $v) {
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
                    $caseOf[] = $rank;
                }
            }
        }

        return new self($scale, $categories, $numbers, $raters, array_values($columns), $caseOf);
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

    /** Whether every rater rated every unit. */
    public function isComplete(): bool
    {
        return $this->ratings === $this->units * count($this->raters);
    }

    /** Whether all ratings of every unit are the same, decided by integers. */
    public function isPerfect(): bool
    {
        $first = array_fill(0, $this->units, self::MISSING);
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
