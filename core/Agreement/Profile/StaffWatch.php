<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

/**
 * The weekly look at all readers together. Each is held against the mean of the others, so that one who turns seems to
 * move everybody else the other way, the more the fewer they are. So nobody has moved who has not moved whichever one
 * of the others is left out; and who has moved the farthest is set aside, and the others are held against one another
 * without them, until nobody who is left has moved.
 *
 * A question is what was said of it by each reader: whether right, and whether "present" was said, 1 or 0.
 *
 * @phpstan-type Question array<int, array{float, float}>
 */
final readonly class StaffWatch
{
    /** A question counts for a reader where so many others answered it. */
    private const OTHERS = 2;

    /**
     * @param  list<list<Question>>  $cases  in the order of reading, each with its questions
     * @return array<int, WeeklyWatch> by reader; who has too few cases, or nobody to be held against, is not in it
     */
    public static function of(array $cases, int|string $seed = 1, int $permutations = 9999): array
    {
        $out = [];
        $aside = [];
        do {
            $rest = [];
            foreach (self::units($cases, $aside) as $reader => $units) {
                $watch = WeeklyWatch::of($units, "$seed|$reader", $permutations);
                if ($watch !== null) {
                    $rest[$reader] = $watch->isBeyond()
                        ? self::whoeverIsLeftOut($watch, $reader, $cases, $aside, "$seed|$reader", $permutations)
                        : $watch;
                }
            }
            $farthest = null;
            foreach ($rest as $reader => $watch) {
                if ($watch->isBeyond() && ($farthest === null || $watch->reach() > $rest[$farthest]->reach())) {
                    $farthest = $reader;
                }
            }
            if ($farthest !== null) {
                $out[$farthest] = $rest[$farthest];
                $aside[$farthest] = true;
            }
        } while ($farthest !== null);

        return $out + $rest;
    }

    /**
     * The look that tells the least of a reader when one of the others is left out.
     *
     * @param  list<list<Question>>  $cases
     * @param  array<int, true>  $aside
     */
    private static function whoeverIsLeftOut(
        WeeklyWatch $found,
        int $reader,
        array $cases,
        array $aside,
        string $seed,
        int $permutations,
    ): WeeklyWatch {
        $others = [];
        foreach ($cases as $questions) {
            foreach ($questions as $said) {
                $others += isset($said[$reader]) ? $said : [];
            }
        }
        foreach (array_keys(array_diff_key($others, $aside, [$reader => true])) as $other) {
            $units = self::units($cases, $aside + [$other => true])[$reader] ?? [];
            $watch = WeeklyWatch::of($units, $seed, $permutations);
            // Too few to be held against without this one: whose move it is cannot be told.
            if ($watch === null) {
                return $found->unsaid();
            }
            $found = $watch->p > $found->p ? $watch : $found;
        }

        return $found;
    }

    /**
     * One a case: the sum over its questions of the reader's less the mean of the others'.
     *
     * @param  list<list<Question>>  $cases
     * @param  array<int, true>  $aside  readers who are held against nobody, and nobody against them
     * @return array<int, list<array{right: float, present: float}>> by reader
     */
    public static function units(array $cases, array $aside = []): array
    {
        $out = [];
        foreach ($cases as $questions) {
            $sums = [];
            foreach ($questions as $said) {
                $said = array_diff_key($said, $aside);
                $others = count($said) - 1;
                if ($others < self::OTHERS) {
                    continue;
                }
                $right = array_sum(array_column($said, 0));
                $present = array_sum(array_column($said, 1));
                foreach ($said as $reader => [$r, $p]) {
                    $sums[$reader] ??= ['right' => 0.0, 'present' => 0.0];
                    $sums[$reader]['right'] += $r - ($right - $r) / (float) $others;
                    $sums[$reader]['present'] += $p - ($present - $p) / (float) $others;
                }
            }
            foreach ($sums as $reader => $sum) {
                $out[$reader][] = $sum;
            }
        }

        return $out;
    }
}
