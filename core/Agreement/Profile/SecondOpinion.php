<?php

declare(strict_types=1);

namespace Core\Agreement\Profile;

use Core\Agreement\ItemTable;
use Core\Agreement\Scale;

/**
 * Beside a panel's majority: how likely a fault is there in each case if members differ in how often they err (Dawid &
 * Skene 1979, each with rates of their own). It is told and never the key: where members copy one school it believes
 * the school.
 */
final class SecondOpinion
{
    /** With fewer cases each member's rates are guesses. */
    private const CASES = 8;

    private const STARTS = 5;

    /**
     * @param  array<int, array<int, bool>>  $calls  whether it is there, by case and member; of who could not tell none
     * @return array<int, float> how likely it is there, by case; none where the classes cannot be told apart
     */
    public static function of(array $calls): array
    {
        $calls = array_filter($calls, static fn (array $said): bool => $said !== []);
        ksort($calls);
        $members = [];
        $occur = [];
        foreach ($calls as $said) {
            foreach ($said as $member => $there) {
                $members[$member] = true;
                $occur[(int) $there] = true;
            }
        }
        if (count($calls) < self::CASES || count($members) < 3 || count($occur) < 2) {
            return [];
        }
        ksort($members);
        $columns = [];
        foreach (array_keys($members) as $member) {
            $columns[] = array_map(
                static fn (array $said): int => isset($said[$member]) ? (int) $said[$member] : ItemTable::MISSING,
                array_values($calls),
            );
        }
        $fit = DawidSkene::fit(new ItemTable(
            Scale::Nominal,
            ['absent', 'present'],
            [],
            array_map(strval(...), array_keys($members)),
            $columns,
            range(0, count($calls) - 1),
        ), self::STARTS);
        if ($fit === null || ! $fit->converged || ! $fit->separated) {
            return [];
        }
        $out = [];
        foreach (array_keys($calls) as $unit => $case) {
            $out[$case] = $fit->posterior[$unit][1];
        }

        return $out;
    }
}
