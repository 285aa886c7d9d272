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
}
