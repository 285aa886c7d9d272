<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Trace;

/** Tells from a live trace that a swing has just been made and is over. */
final readonly class SwingCatcher
{
    /** What is kept before address and after the finish, s. */
    private const BEFORE = 0.8;

    private const AFTER = 0.3;

    /** How long after impact a swing counts as over, s. */
    private const OVER = 1.1;

    /** What is looked at of who stood before a swing, and of what comes after its shift, s. */
    private const STOOD = 1.0;

    private const THROUGH = 2.5;

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
        foreach (Shifts::in($recent) as ['t' => $t, 'stood' => $stood]) {
            $part = $recent->between(max($after, $stood[0], $stood[1] - self::STOOD), min($end, $t + self::THROUGH));
            $found = StationsFromTrace::find($part);
            $im = $found?->times->t(Station::Impact);
            $ad = $found?->times->t(Station::Address);
            if ($im !== null && $ad !== null && $im > $after + self::OVER && $end - $im >= self::OVER) {
                return new self(
                    max($recent->t0, $ad - self::BEFORE),
                    min($end, ($found->times->t(Station::Finish) ?? $im + 0.8) + self::AFTER),
                    $im,
                );
            }
        }

        return null;
    }
}
