<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Trace\Check\Check;
use Core\Trace\Check\FrozenChannels;
use Core\Trace\Check\Gaps;
use Core\Trace\Check\Plausibility;
use Core\Trace\Check\Slips;

/** Looks a trace over for faults of the instrument that would be read as technique. */
final class Quality
{
    /** @return list<QualityFinding> the gravest first */
    public static function findings(Trace $trace): array
    {
        $found = [];
        foreach (self::checks() as $check) {
            array_push($found, ...$check->of($trace));
        }
        // A trace in the wrong unit, or the wrong way round, needs no second opinion on its mass or its jumps.
        $kinds = array_column($found, 'kind');
        if (in_array('units', $kinds, true)) {
            $found = array_filter($found, static fn (QualityFinding $f): bool => $f->kind !== 'mass');
        }
        $rank = ['serious' => 0, 'warning' => 1, 'note' => 2];
        usort(
            $found,
            static fn (QualityFinding $a, QualityFinding $b): int => [$rank[$a->severity], $a->span[0] ?? 0.0] <=> [
                $rank[$b->severity],
                $b->span[0] ?? 0.0,
            ],
        );

        return $found;
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [new Plausibility, new Gaps, new FrozenChannels, new Slips];
    }
}
