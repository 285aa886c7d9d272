<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;

/**
 * The top of a swing: where the shaft's rate about the plane of the downswing changes sign. Where the shaft rests
 * there, the top is when it goes down; where the club is not seen there, in the middle of what is not seen.
 */
final readonly class Top
{
    /** Of its greatest height the shaft is up. */
    private const NEARLY = 0.9;

    /** As low as at its lowest it is within so much of that. */
    private const FLAT = 0.01;

    /** Half-widths of the windows that the rate is told by, s: the narrowest that noise allows. */
    private const WINDOWS = [0.02, 0.03, 0.045];

    private const WIDER = 1.5;

    /** What so much wider a window pulls a moment by tells, so many times, what this one has. */
    private const PULLED = 2.2;

    /** The noise's part of the ± that is allowed, s. */
    private const ALLOWED = 0.004;

    /** Slower than so much of its fastest the shaft rests, and it rests where it does for so long, s. */
    private const SLOW = 0.015;

    private const RESTS = 0.08;

    /** What is slower than so many standard deviations of the rate's noise cannot be told from rest. */
    private const NOISES = 2.5;

    /** Parts of the fastest rate by which its beginning is told. */
    private const BEGINS = [0.05, 0.2];

    /** How long the rate is looked at on either side of where the club is not seen, s. */
    private const EDGE = 0.03;

    private const SEEN_ALONG_THE_LINE = 0.03;

    private function __construct(public float $t, public float $uncertainty, public ?Remark $doubt = null)
    {
    }

    /**
     * @param  Series  $shaft  how far the club head is above the grip, mm
     * @param  \Closure(float): float  $noise  standard deviation of its slope by a window of this half-width, mm/s
     * @param  float  $from  where what belongs to the swing begins, s
     * @param  float  $fast  when the club is fastest, s
     *
     * @throws CoreException
     */
    public static function of(Motion $motion, Series $shaft, \Closure $noise, float $from, float $fast): ?self
    {
        if (! $motion->view->sees(Axis::X)) {
            return self::byHeight($shaft, $noise(self::WINDOWS[1]), $from, $fast);
        }
        [$found, $window] = [null, self::WINDOWS[0]];
        foreach (self::WINDOWS as $wide) {
            $window = $wide;
            $rate = self::turning($motion, $window, $fast);
            $found = self::reversal($rate, $noise($window), $from, $fast);
            if ($found === null) {
                return null;
            }
            if ($found->doubt !== null) {
                return $found;
            }
            if ($found->uncertainty <= self::ALLOWED) {
                break;
            }
        }
        $wider = self::reversal(self::turning($motion, self::WIDER * $window, $fast), $noise($window), $from, $fast);

        return new self($found->t, hypot($found->uncertainty, self::PULLED * (($wider->t ?? $found->t) - $found->t)));
    }

    /**
     * Where the view cannot see along the line, the shaft turns in a plane seen edge on: it stands highest on the way
     * back and once more on the way down, and lowest in between at the top. Of a smaller swing it stands highest there.
     *
     * @throws CoreException
     */
    private static function byHeight(Series $shaft, float $noise, float $from, float $fast): ?self
    {
        $highest = $shaft->highest($from, $fast);
        if ($highest === null) {
            return null;
        }
        $gap = self::gap($shaft, $from, $fast);
        if ($gap !== null) {
            return $gap;
        }
        $near = $shaft->minus(self::NEARLY * $highest->value);
        $up = Crossing::firstRise($near, $from, $fast);
        $down = Crossing::lastFall($near, $from, $fast);
        $lowest = $up === null || $down === null ? null : $shaft->lowest($up, $down);
        if ($lowest !== null && $lowest->value <= self::NEARLY * $highest->value) {
            $rises = $shaft->derivative(self::WINDOWS[1]);
            $again = $shaft->highest($lowest->t, $fast);
            $rest = self::rest($rises, $noise, $lowest->t, $again->t ?? $fast);

            // A dip that is as deep for long has its lowest place by chance.
            $dips = $shaft->minus($lowest->value + self::FLAT * $highest->value);
            $begins = Crossing::lastFall($dips, $from, $lowest->t) ?? $lowest->t;
            $ends = Crossing::firstRise($dips, $lowest->t, $fast) ?? $lowest->t;

            return new self(
                $rest->t ?? $lowest->t,
                max(self::SEEN_ALONG_THE_LINE, $rest->uncertainty ?? max($lowest->t - $begins, $ends - $lowest->t)),
                $rest?->doubt,
            );
        }
        $falls = $shaft->derivative(self::WINDOWS[1])->map(static fn (float $v): float => -$v);
        $found = self::reversal($falls, $noise, $from, $fast);

        // Near its highest it is seen to turn only by how it leaves it.
        return $found === null ? null : new self(
            $found->t,
            max(self::SEEN_ALONG_THE_LINE, $found->uncertainty, (($down ?? $found->t) - ($up ?? $found->t)) / 3.0),
            $found->doubt,
        );
    }

    /** The last stretch before the club is fastest in which it is not seen for long. */
    private static function gap(Series $shaft, float $from, float $fast): ?self
    {
        $ends = null;
        for ($i = (int) (($fast - $shaft->t0) * $shaft->rateHz); $i >= 0 && $shaft->time($i) >= $from; $i--) {
            $isSeen = ! is_nan($shaft->values[$i] ?? NAN);
            $ends = $isSeen ? $ends : $ends ?? $i + 1;
            if (! $isSeen || $ends === null) {
                continue;
            }
            $length = ($ends - $i) / $shaft->rateHz;
            if ($length > self::SEEN_ALONG_THE_LINE) {
                return new self(
                    $shaft->time($i) + $length / 2,
                    $length / 2,
                    Remark::of(Doubt::ClubNotSeen, gap_ms: 1000 * $length),
                );
            }
            $ends = null;
        }

        return null;
    }

    /**
     * The last time before the club is fastest that a rate turns to go down.
     *
     * @param  float  $noise  standard deviation of the rate
     *
     * @throws CoreException
     */
    private static function reversal(Series $rate, float $noise, float $from, float $fast): ?self
    {
        $first = max(1, (int) ceil(($from - $rate->t0) * $rate->rateHz));
        $unseen = null;
        for ($i = min((int) round(($fast - $rate->t0) * $rate->rateHz), count($rate->values) - 1); $i >= $first; $i--) {
            [$before, $now] = [$rate->values[$i - 1], $rate->values[$i]];
            if (is_nan($before)) {
                $unseen ??= $i;

                continue;
            }
            if (is_nan($now) && $unseen !== null && $before <= 0.0) {
                return self::unseen($rate, $i - 1, $unseen);
            }
            if ($now > 0.0 && $before <= 0.0) {
                $t = $rate->time($i - 1) + $before / ($before - $now) / $rate->rateHz;
                $faster = ($rate->at($t + 0.02) ?? $now) - ($rate->at($t - 0.02) ?? $before);

                return self::rest($rate, $noise, $t, $fast) ??
                    new self($t, 1.96 * $noise * 0.04 / max(1e-9, $faster));
            }
        }

        return null;
    }

    /**
     * The reversal lies between two samples that are far apart: on the cubic that goes on as the rate does at both.
     *
     * @throws CoreException
     */
    private static function unseen(Series $rate, int $last, int $first): self
    {
        [$a, $b] = [$rate->values[$last], $rate->values[$first]];
        $from = $rate->time($last);
        $gap = $rate->time($first) - $from;
        $before = ($a - ($rate->at($from - self::EDGE) ?? $a)) / self::EDGE * $gap;
        $after = (($rate->at($from + $gap + self::EDGE) ?? $b) - $b) / self::EDGE * $gap;
        $cubic = [];
        for ($i = 0; $i <= 20; $i++) {
            $u = $i / 20.0;
            $cubic[] = (2 * $u ** 3 - 3 * $u ** 2 + 1) * $a + ($u ** 3 - 2 * $u ** 2 + $u) * $before
                + (3 * $u ** 2 - 2 * $u ** 3) * $b + ($u ** 3 - $u ** 2) * $after;
        }

        return new self(
            Crossing::lastRise(new Series(20.0 / $gap, $cubic, $from), $from, $from + $gap) ?? $from + $gap / 2,
            0.25 * $gap,
            Remark::of(Doubt::ClubNotSeen, gap_ms: 1000 * $gap),
        );
    }

    /**
     * Null where the shaft does not rest there; where it does, the moment between what a steady acceleration and one
     * that grows would have it.
     *
     * @throws CoreException
     */
    private static function rest(Series $rate, float $noise, float $t, float $fast): ?self
    {
        $fastest = $rate->highest($t, $fast);
        if ($fastest === null) {
            return null;
        }
        $step = 1.0 / $rate->rateHz;
        $slow = max(self::SLOW * $fastest->value, self::NOISES * $noise);
        $isSlow = static fn (float $at): bool => abs($rate->at($at) ?? INF) < $slow;
        [$begins, $ends] = [$t, $t];
        while ($isSlow($begins - $step)) {
            $begins -= $step;
        }
        while ($ends < $fastest->t && $isSlow($ends)) {
            $ends += $step;
        }
        if ($ends - $begins < self::RESTS) {
            return null;
        }
        $early = Crossing::lastRise($rate->minus(self::BEGINS[0] * $fastest->value), $t - $step, $fastest->t);
        $late = Crossing::lastRise($rate->minus(self::BEGINS[1] * $fastest->value), $t - $step, $fastest->t);
        if ($early === null || $late === null) {
            return null;
        }
        $part = self::BEGINS[0] / self::BEGINS[1];
        $steady = $early - ($late - $early) * $part / (1.0 - $part);
        $grows = $early - ($late - $early) * sqrt($part) / (1.0 - sqrt($part));

        return new self(
            max($begins, ($steady + $grows) / 2.0),
            hypot(0.006, 0.6 * ($steady - $grows)),
            Remark::of(Doubt::RestsAtTheTop, rest_ms: 1000 * ($grows - $begins)),
        );
    }

    /**
     * How fast the shaft turns about the normal of the downswing, mm/s of the club head about the grip.
     *
     * @throws CoreException
     */
    private static function turning(Motion $motion, float $window, float $fast): Series
    {
        $d = $v = [];
        foreach (Axis::cases() as $axis) {
            if ($motion->view->sees($axis)) {
                $grip = $motion->coordinate('grip', $axis)->values;
                $line = new Series(
                    $motion->rateHz,
                    array_map(
                        static fn (float $a, float $b): float => $a - $b,
                        $motion->coordinate('club_head', $axis)->values,
                        $grip,
                    ),
                    $motion->t0,
                );
                $d[$axis->value] = $line->smoothed(StationsFromMotion::POSITION)->values;
                $v[$axis->value] = $line->derivative($window)->values;
            } else {
                $d[$axis->value] = $v[$axis->value] = array_fill(0, $motion->frames(), 0.0);
            }
        }
        $cross = [];
        foreach ($d[0] as $i => $x) {
            $length = sqrt($x * $x + $d[1][$i] ** 2 + $d[2][$i] ** 2);
            $cross[] = (new Vec3(
                $d[1][$i] * $v[2][$i] - $d[2][$i] * $v[1][$i],
                $d[2][$i] * $v[0][$i] - $x * $v[2][$i],
                $x * $v[1][$i] - $d[1][$i] * $v[0][$i],
            ))->times(1.0 / max(1.0, $length));
        }
        $at = (int) round(($fast - $motion->t0) * $motion->rateHz);
        $normal = new Vec3(0.0, 0.0, 0.0);
        for ($i = max(0, $at - (int) (0.06 * $motion->rateHz)); $i <= min(count($cross) - 1, $at); $i++) {
            $normal = $normal->plus($cross[$i]);
        }
        $normal = $normal->unit();

        return new Series(
            $motion->rateHz,
            array_map(static fn (Vec3 $c): float => $c->dot($normal), $cross),
            $motion->t0,
        );
    }
}
