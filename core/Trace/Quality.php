<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Trace\Check\Check;
use Core\Trace\Check\Directions;
use Core\Trace\Check\FrozenChannels;
use Core\Trace\Check\Gaps;
use Core\Trace\Check\Hum;
use Core\Trace\Check\Places;
use Core\Trace\Check\Plausibility;
use Core\Trace\Check\Shares;
use Core\Trace\Check\Slips;
use Core\Trace\Check\SoftEnds;
use Core\Trace\Check\Steps;
use Core\Trace\Check\Upheld;
use Core\Trace\Check\Zeros;

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
        // A trace in the wrong unit, or the wrong way round, needs no second opinion on its mass or its places.
        $kinds = array_column($found, 'kind');
        $moot = array_merge(
            in_array('units', $kinds, true) ? ['mass', 'zero', 'outside', 'origin', 'reversed', 'hum', 'upheld'] : [],
            in_array('swapped', $kinds, true) ? ['outside', 'reversed'] : [],
            array_intersect(['origin', 'outside'], $kinds) === [] ? [] : ['reversed'],
            // What is lost of a force is known to lack.
            array_intersect(['saturated', 'stuck', 'dropped', 'foot-off'], $kinds) === [] ? [] : ['upheld'],
        );
        $found = array_filter($found, static fn (QualityFinding $f): bool => ! in_array($f->kind, $moot, true));
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
        return [
            new Plausibility,
            new Zeros,
            new Places,
            new Directions,
            new Shares,
            new Hum,
            new Gaps,
            new FrozenChannels,
            new SoftEnds,
            new Slips,
            new Steps,
            new Upheld,
        ];
    }
}
