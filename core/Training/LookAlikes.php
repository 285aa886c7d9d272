<?php

declare(strict_types=1);

namespace Core\Training;

/** Faults that are taken for one another, by the keys of the standard codebook. */
final class LookAlikes
{
    /** Each pair once. */
    public const PAIRS = [
        ['late-recentre', 'early-lunge'],
        ['late-recentre', 'late-load'],
        ['hang-back', 'thrown-back'],
        ['hang-back', 'head-back'],
        ['spin-out', 'chest-first'],
        ['chest-first', 'ahead-of-pressure'],
        ['early-lunge', 'ahead-of-pressure'],
        ['sway', 'outer-edge'],
        ['outer-edge', 'roll-down'],
        ['jump-off-trail', 'trail-rise'],
        ['heel-pop', 'toe-dive'],
        ['toe-dive', 'heel-fall'],
        ['slide', 'hang-back'],
        ['late-arrival', 'late-push'],
        ['early-rise', 'trail-rise'],
        ['thrown-back', 'fall-off'],
    ];

    /**
     * @param  list<string>  $keys  of the faults of a codebook
     * @return list<array{string, string}> those pairs of which it has both
     */
    public static function among(array $keys): array
    {
        return array_values(array_filter(
            self::PAIRS,
            static fn (array $pair): bool => array_diff($pair, $keys) === [],
        ));
    }

    /** What knowing a pair apart is called. */
    public static function skill(string $one, string $other): string
    {
        return "$one or $other";
    }
}
