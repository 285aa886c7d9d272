<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Agreement\Figure;
use Core\Remark\Remark;

/** What a round cannot say, from how it was held and what came of it: its report states each. */
final class RoundLimits
{
    /** Fewer make a figure for others like them rough. */
    private const READERS = 8;

    private const GOLFERS = 15;

    private const PANEL = 5;

    private const REPEATS = 10;

    /** Share of calls that were "cannot tell" from which on it is said. */
    private const ABSTAINED = 0.1;

    /**
     * @param  int  $questions  of the key, scored or not
     * @return list<Remark> the people first, then cases, key, readings, and single faults
     */
    public static function of(RoundFacts $facts, RoundSummary $r, int $questions): array
    {
        $left = $r->leftOut;
        $hard = $left['contested'] ?? 0;
        $abstained = $facts->calls === 0 ? 0.0 : (float) array_sum($r->cannotTell) / $facts->calls;

        return array_values(array_filter([
            self::when($facts->readers < self::READERS, Limitation::FewReaders, readers: $facts->readers),
            self::when($facts->golfers < self::GOLFERS, Limitation::FewGolfers, golfers: $facts->golfers),
            self::when($facts->members === 0, Limitation::NoKey),
            self::when(
                $facts->members > 0 && $facts->members < self::PANEL,
                Limitation::SmallPanel,
                members: $facts->members,
            ),
            self::when($hard > 0, Limitation::HardestLeftOut, entries: $hard, of: $questions),
            self::when(($left['conflict'] ?? 0) > 0, Limitation::Conflicts, entries: $left['conflict'] ?? 0),
            self::when(
                ($left['not observable'] ?? 0) > 0,
                Limitation::NotShown,
                entries: $left['not observable'] ?? 0,
            ),
            self::when(($left['exposed'] ?? 0) > 0, Limitation::Exposed, readings: $left['exposed'] ?? 0),
            self::when(
                $facts->handedIn < $facts->dealt,
                Limitation::Missing,
                missing: $facts->dealt - $facts->handedIn,
                dealt: $facts->dealt,
            ),
            self::when($abstained >= self::ABSTAINED, Limitation::CannotTell, percent: round(100.0 * $abstained)),
            ...self::repeats($facts),
            self::when($facts->arms < 2, Limitation::OneWayShown),
            ...self::thin($r),
        ]));
    }

    /** @return list<Remark|null> */
    private static function repeats(RoundFacts $facts): array
    {
        return $facts->repeats === 0 ? [Remark::of(Limitation::NoRepeats)] : [
            self::when($facts->repeats < self::REPEATS, Limitation::FewRepeats, cases: $facts->repeats),
            self::when(! $facts->waited, Limitation::Remembered),
        ];
    }

    /** @return list<Remark|null> */
    private static function thin(RoundSummary $r): array
    {
        $thin = array_filter(
            $r->items,
            static fn (ItemSummary $i): bool => ! ($i->specific['present'] ?? null) instanceof Figure ||
                $i->specific['present']->isThin($i->cases),
        );

        return [self::when($thin !== [], Limitation::ThinFaults, thin: count($thin), faults: count($r->items))];
    }

    private static function when(bool $holds, Limitation $what, int|float ...$with): ?Remark
    {
        return $holds ? Remark::of($what, ...$with) : null;
    }
}
