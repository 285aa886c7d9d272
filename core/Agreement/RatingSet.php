<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\CoreException;

/**
 * Who said what of which item in which case. A rater may rate a case once per occasion; an empty value is
 * a missing rating. Cases, raters, items and nominal values are ordered bytewise.
 */
final class RatingSet
{
    /** @var array<string, array<string, array<string, array<string, array{string, ?float}>>>> item, case, rater, occasion */
    private array $ratings = [];

    /** @var array<string, array<string, string>> item ('' serves all), case → key value */
    private array $key = [];

    /** @throws CoreException when the rater has rated this item of this case on this occasion before */
    public function add(string $case, string $item, string $rater, string $value, string $occasion = '1', ?float $confidence = null): void
    {
        if (isset($this->ratings[$item][$case][$rater][$occasion])) {
            throw new CoreException(sprintf("rater '%s' has already rated case '%s'%s on occasion '%s'", $rater, $case, $item === '' ? '' : " for item '$item'", $occasion));
        }
        $this->ratings[$item][$case][$rater][$occasion] = [$value, $confidence];
    }

    /** @throws CoreException when the key already has a value here */
    public function addKey(string $case, string $item, string $value): void
    {
        if (isset($this->key[$item][$case])) {
            throw new CoreException(sprintf("the key already has a value for case '%s'%s", $case, $item === '' ? '' : " and item '$item'"));
        }
        $this->key[$item][$case] = $value;
    }

    public function isEmpty(): bool
    {
        return $this->ratings === [];
    }

    public function hasKey(): bool
    {
        return $this->key !== [];
    }

    /** @return list<string> */
    public function items(): array
    {
        return self::ordered(array_keys($this->ratings));
    }

    /** @return list<string> all cases of all items */
    public function cases(): array
    {
        $cases = [];
        foreach ($this->ratings as $byCase) {
            $cases += array_fill_keys(array_keys($byCase), true);
        }

        return self::ordered(array_keys($cases));
    }

    public function keyFor(string $item, string $case): ?string
    {
        $value = $this->key[$item][$case] ?? $this->key[''][$case] ?? null;

        return $value === '' ? null : $value;
    }

    /**
     * The ratings of one item that count: first occasion, not missing.
     *
     * @param  string|null  $missing  a value to be taken as missing
     * @return array<string, array<string, array{string, ?float}>> by case and rater
     */
    public function first(string $item, ?string $missing = null): array
    {
        $out = [];
        foreach ($this->ratings[$item] ?? [] as $case => $byRater) {
            foreach ($byRater as $rater => $byOccasion) {
                $rating = $byOccasion[self::ordered(array_keys($byOccasion), true)[0]];
                if ($rating[0] !== '' && $rating[0] !== $missing) {
                    $out[(string) $case][(string) $rater] = $rating;
                }
            }
        }

        return $out;
    }

    /**
     * Pairs of first and second occasion of those who rated twice.
     *
     * @return array<string, list<array{string, string}>> by rater
     */
    public function repeats(string $item, ?string $missing = null): array
    {
        $out = [];
        foreach ($this->ratings[$item] ?? [] as $byRater) {
            foreach ($byRater as $rater => $byOccasion) {
                if (count($byOccasion) < 2) {
                    continue;
                }
                [$one, $two] = self::ordered(array_keys($byOccasion), true);
                $pair = [$byOccasion[$one][0], $byOccasion[$two][0]];
                if (! in_array('', $pair, true) && ! in_array($missing, $pair, true)) {
                    $out[(string) $rater][] = $pair;
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<int|string>  $keys
     * @return list<string> bytewise, or as numbers where all are
     */
    public static function ordered(array $keys, bool $numbers = false): array
    {
        $keys = array_map(strval(...), $keys);
        if ($numbers && array_filter($keys, static fn (string $k): bool => ! is_numeric($k)) === []) {
            sort($keys, SORT_NUMERIC);
        } else {
            sort($keys, SORT_STRING);
        }

        return $keys;
    }
}
