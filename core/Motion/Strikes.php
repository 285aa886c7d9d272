<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;

/**
 * Each time the club head comes down, passes its lowest place fast and goes up again: as many swings does a recording
 * of body points hold. A waggle is too slow for it, a takeaway comes from no height.
 */
final class Strikes
{
    /** How far above that place the club head is before and after, mm, within so long, s. */
    private const RISES = 180.0;

    private const WITHIN = 0.25;

    /** No swing at a ball passes it slower, mm/s, nor slower than so much of the fastest. */
    private const LEAST = 3500.0;

    private const OF_FASTEST = 0.2;

    /** Two swings lie at least so far apart, s. */
    private const APART = 1.2;

    /**
     * @return list<array{t: float, speed: float}> seconds and mm/s in the axes the view sees, in order of time
     *
     * @throws CoreException
     */
    public static function in(Motion $motion): array
    {
        $height = $motion->coordinate('club_head', Axis::Z)->smoothed(0.03);
        $speed = $motion->speed('club_head', StationsFromMotion::SPEED);
        $reach = max(2, (int) round(self::WITHIN * $motion->rateHz));
        $values = $height->values;
        $found = [];
        for ($i = 1, $last = count($values) - 2; $i <= $last; $i++) {
            if ($values[$i] > $values[$i - 1] || $values[$i] >= $values[$i + 1]) {
                continue;
            }
            $before = $height->highest($height->time($i - $reach), $height->time($i));
            $after = $height->highest($height->time($i), $height->time($i + $reach));
            if ($after === null || $before === null || min($before->value, $after->value) - $values[$i] < self::RISES) {
                continue;
            }
            $t = $height->time($i);
            $fastest = $speed->highest($t - 0.12, $t + 0.12);
            if ($fastest !== null && $fastest->value >= self::LEAST) {
                $found[] = ['t' => $t, 'speed' => $fastest->value];
            }
        }

        return self::apart($found);
    }

    /**
     * The fastest first: what lies close to a faster one belongs to it.
     *
     * @param  list<array{t: float, speed: float}>  $found
     * @return list<array{t: float, speed: float}>
     */
    private static function apart(array $found): array
    {
        usort($found, static fn (array $a, array $b): int => $b['speed'] <=> $a['speed']);
        $kept = [];
        foreach ($found as $one) {
            $near = array_filter($kept, static fn (array $k): bool => abs($k['t'] - $one['t']) < self::APART);
            if ($near === [] && $one['speed'] >= self::OF_FASTEST * $found[0]['speed']) {
                $kept[] = $one;
            }
        }
        usort($kept, static fn (array $a, array $b): int => $a['t'] <=> $b['t']);

        return $kept;
    }
}
