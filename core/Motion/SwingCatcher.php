<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Trace;

/**
 * Tells from a live trace that a swing has just been made: loaded on the trail side, shifted fast to the lead side, and
 * over.
 */
final readonly class SwingCatcher
{
    /** What is kept before address and after the finish, s. */
    private const BEFORE = 0.8;

    private const AFTER = 0.3;

    /** How long after impact a swing counts as over, s. */
    private const OVER = 1.1;

    /** Points of share that wander while somebody stands at the ball. */
    private const STANDS = 8.0;

    private function __construct(public float $from, public float $to, public float $impact)
    {
    }

    /**
     * @param  Trace  $recent  the last ten seconds or so
     * @param  float  $after  only a swing whose impact lies later than this counts, s
     *
     * @throws CoreException
     */
    public static function look(Trace $recent, float $after): ?self
    {
        $end = $recent->t0 + $recent->duration();
        $start = max($recent->t0, $end - 5.5, $after + 0.4);
        if ($end - $start < 2.2) {
            return null;
        }
        $part = $recent->between($start, $end);
        $found = StationsFromTrace::find($part);
        $im = $found?->times->t(Station::Impact);
        $ad = $found?->times->t(Station::Address);
        $share = $part->leadShare()?->smoothed(0.03);
        if (
            $found === null ||
            $im === null ||
            $ad === null ||
            $share === null ||
            $im <= $after ||
            $end - $im < self::OVER ||
            $ad - $part->t0 < 0.15
        ) {
            return null;
        }
        $low = $share->lowest($ad, $im);
        $high = $share->highest($im - 0.1, min($end, $im + 0.3));
        // Before a swing somebody stands: a sway from foot to foot comes out of the one before.
        $all = $recent->leadShare()?->smoothed(0.03);
        $calm = [$all?->lowest($ad - 0.55, $ad - 0.05), $all?->highest($ad - 0.55, $ad - 0.05)];
        if ($calm[0] === null || $calm[1] === null || $calm[1]->value - $calm[0]->value > self::STANDS) {
            return null;
        }
        // A step from foot to foot is no swing: it neither loads nor shifts as far, nor as fast.
        if (
            $low === null ||
            $high === null ||
            $low->value > 46.0 ||
            $high->value < 58.0 ||
            $high->value - $low->value < 25.0
        ) {
            return null;
        }

        return new self(
            max($recent->t0, $ad - self::BEFORE),
            min($end, ($found->times->t(Station::Finish) ?? $im + 0.8) + self::AFTER),
            $im,
        );
    }
}
