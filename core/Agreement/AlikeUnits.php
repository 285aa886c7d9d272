<?php

declare(strict_types=1);

namespace Core\Agreement;

/** Finds the units of a table that need to be looked at only once, by packing what was said of each into one word. */
final class AlikeUnits
{
    /** @return array{list<list<int>>, list<int>} as ItemTable::patterns() */
    public static function patterns(ItemTable $table): array
    {
        $base = count($table->raters) + 1;
        $fits = $base ** $table->q < 2 ** 62;
        $known = $patterns = $of = [];
        foreach (array_chunk($table->counts, max(1, $table->q)) as $counts) {
            $id = $fits ? 0 : implode(' ', $counts);
            if (is_int($id)) {
                foreach ($counts as $n) {
                    $id = $id * $base + $n;
                }
            }
            if (! isset($known[$id])) {
                $known[$id] = count($patterns);
                $patterns[] = $counts;
            }
            $of[] = $known[$id];
        }

        return [$patterns, $of];
    }

    /** @return array{ItemTable, list<int>} as ItemTable::rows(), of units that are their own clusters */
    public static function rows(ItemTable $table): array
    {
        $base = $table->q + 1;
        $ids = array_fill(0, $table->units, 0);
        $room = 1;
        foreach ($table->columns as $column) {
            if ($room > (2 ** 62) / (float) $base) {
                $known = [];
                foreach ($ids as $u => $id) {
                    $ids[$u] = $known[$id] ??= count($known);
                }
                $room = count($known);
            }
            foreach ($column as $u => $k) {
                $ids[$u] = $ids[$u] * $base + $k + 1;
            }
            $room *= $base;
        }
        $firsts = $times = [];
        foreach ($ids as $u => $id) {
            $firsts[$id] ??= $u;
            $times[$id] = ($times[$id] ?? 0) + 1;
        }
        $columns = [];
        foreach ($table->columns as $column) {
            $of = [];
            foreach ($firsts as $u) {
                $of[] = $column[$u];
            }
            $columns[] = $of;
        }
        $rows = new ItemTable(
            $table->scale,
            $table->categories,
            $table->numbers,
            $table->raters,
            $columns,
            array_keys(array_values($firsts)),
        );

        return [$rows, array_values($times)];
    }

    /** A table that holds alike units once, as if they were there once. */
    public static function once(ItemTable $table): ItemTable
    {
        return new ItemTable(
            $table->scale,
            $table->categories,
            $table->numbers,
            $table->raters,
            $table->columns,
            $table->clusterOf,
        );
    }

    /**
     * What was said of one item of cases that are their own clusters, alike units held once: counted without ever
     * holding a unit's ratings as numbers. Null where a rating lies outside the categories, or those are too many.
     *
     * @param  list<string>|null  $declared  the categories, if they are fixed
     * @param  string|null  $missing  a value to be taken as missing
     */
    public static function ofNames(RatingSet $set, string $item, ?array $declared, ?string $missing): ?ItemTable
    {
        $names = $set->valueNames();
        $sheet = $set->first($item);
        $rows = $seen = $who = [];
        foreach ($sheet->counted() as $row => $n) {
            $said = [];
            foreach ($sheet->read((string) $row) as $r => $v) {
                if ($v > 0 && $names[$v] !== $missing) {
                    $said[$r] = $v;
                    $seen[$v] = $names[$v];
                    $who[$r] = true;
                }
            }
            $rows[] = [$said, $n];
        }
        $categories = RatingSet::ordered($declared ?? array_values($seen));
        $code = array_flip($categories);
        if (count($categories) > 254 || array_diff($seen, $categories) !== []) {
            return null;
        }
        $raterNames = $set->raterNames();
        $raters = RatingSet::ordered(array_map(static fn (int $r): string => $raterNames[$r], array_keys($who)));
        $position = array_flip($raters);
        // By what was said, so that nothing depends on the order of the file.
        $times = [];
        foreach ($rows as [$said, $n]) {
            $text = str_repeat("\0", count($raters));
            foreach ($said as $r => $v) {
                $text[$position[$raterNames[$r]]] = chr($code[$names[$v]] + 1);
            }
            if ($said !== []) {
                $times["r$text"] = ($times["r$text"] ?? 0) + $n;
            }
        }
        ksort($times, SORT_STRING);
        $columns = array_fill(0, count($raters), []);
        foreach (array_keys($times) as $text) {
            foreach (array_keys($columns) as $g) {
                $columns[$g][] = ord($text[$g + 1]) - 1;
            }
        }

        return new ItemTable(
            Scale::Nominal,
            $categories,
            [],
            $raters,
            array_values($columns),
            array_keys(array_values($times)),
            null,
            false,
            array_values($times),
        );
    }
}
