<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\Trace\Check\Check;
use Core\Trace\Check\Directions;
use Core\Trace\Check\FrozenChannels;
use Core\Trace\Check\Gaps;
use Core\Trace\Check\Hum;
use Core\Trace\Check\LostStretch;
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
    /** A channel goes on at the latest so long after it stood still, s. */
    private const ON = 0.03;

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
            // What stood still leaps when it goes on; a mat sees one foot's mishap in the other foot's share as well.
            array_intersect(['stuck', 'saturated'], $kinds) !== []
                || ($trace->device === DeviceClass::Mat && array_intersect(['foot-off', 'slipped'], $kinds) !== [])
                ? ['lost'] : [],
            // What is lost of a force is known to lack.
            array_intersect(['saturated', 'stuck', 'dropped', 'lost', 'foot-off'], $kinds) === [] ? [] : ['upheld'],
        );
        $stuck = array_filter($found, static fn (QualityFinding $f): bool => $f->kind === 'stuck');
        $found = array_filter($found, static fn (QualityFinding $f): bool => ! in_array($f->kind, $moot, true)
            && ! ($f->kind === 'foot-off' && self::followsOn($f, ...$stuck)));
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

    /** Whether it is what comes of a channel that stood still and then goes on from where it would be. */
    private static function followsOn(QualityFinding $step, QualityFinding ...$stuck): bool
    {
        foreach ($stuck as $still) {
            if ($step->span !== null && $still->span !== null && $step->span[0] >= $still->span[0]
                && $step->span[0] <= $still->span[1] + self::ON) {
                return true;
            }
        }

        return false;
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
            new LostStretch,
            new FrozenChannels,
            new SoftEnds,
            new Slips,
            new Steps,
            new Upheld,
        ];
    }
}
