<?php

declare(strict_types=1);

namespace Core\Planning;

use Core\Chance\Chance;

/**
 * What each reader is shown of each case – film, trace, or both – so that the ways are compared within the same case
 * and the same reader. Cases are drawn within strata of how much is there, the fewest first, and numbered on through
 * all of them; readers are drawn in an order. Reader r is shown case c in way (c + r) mod 3: of any reader's cases, and
 * of any case's readers, no two ways' numbers differ by more than one, and each stratum is spread alike.
 */
final class Arms
{
    /** The ways, in the order they take turns. */
    public const CODES = ['both', 'film', 'trace'];

    private const STRATA = 3;

    /**
     * @template T of array-key
     *
     * @param  array<T, int>  $cases  by case, how many faults the key calls present in it
     * @param  list<int>  $readers
     * @return array<T, array<int, 'both'|'film'|'trace'>> by case and reader
     */
    public static function crossed(array $cases, array $readers, string $seed): array
    {
        sort($readers);
        $order = (new Chance("arms|readers|$seed"))->shuffled($readers);
        $out = [];
        foreach (self::through($cases, $seed) as $c => $case) {
            foreach ($order as $r => $reader) {
                $out[$case][$reader] = self::CODES[($c + $r) % count(self::CODES)];
            }
        }

        return $out;
    }

    /**
     * @template T of array-key
     *
     * @param  array<T, int>  $cases
     * @return list<T> stratum after stratum, each in a drawn order
     */
    private static function through(array $cases, string $seed): array
    {
        // Before they are ranked, so that cases with as much in them fall into strata by chance.
        ksort($cases);
        $drawn = (new Chance("arms|cases|$seed"))->shuffled(array_keys($cases));
        usort($drawn, static fn (int|string $a, int|string $b): int => $cases[$a] <=> $cases[$b]);
        $size = max(1, (int) ceil((float) count($drawn) / self::STRATA));
        $chance = new Chance("arms|strata|$seed");

        return array_merge(...array_map($chance->shuffled(...), array_chunk($drawn, $size)));
    }
}
