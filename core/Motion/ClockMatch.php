<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Series;

/**
 * A clock found from what two clocks saw, and how well: the film's or the body points' against the trace's.
 * Uncertainties are 95 % half-widths.
 */
final readonly class ClockMatch
{
    private const RATE = 250.0;

    /** A peak of correlation below this matches nothing. */
    private const LEAST_CORRELATION = 0.4;

    public function __construct(
        public Clock $clock,
        public float $uncertaintyS,
        public string $by,
        public ?float $driftUncertaintyPpm = null,
        public ?float $correlation = null,
    ) {
    }

    /** From the same impact seen in both: the frame in which the ball goes, and its moment in the trace. */
    public static function byImpact(StationTime $film, StationTime $trace): self
    {
        return new self(new Clock($trace->t - $film->t), hypot($film->uncertainty, $trace->uncertainty), 'impact');
    }

    /**
     * From a signal both clocks saw, such as the acceleration of the body's centre and the net push of the ground:
     * the lag at the peak of their normalised cross-correlation, refined by a parabola through the three values about
     * it. Its uncertainty is the half-width over which the correlation stays within what its noise can do.
     *
     * @param  float  $maxLagS  how far apart the clocks may be, s
     * @return self|null null where nothing correlates
     *
     * @throws CoreException
     */
    public static function byCorrelation(Series $film, Series $trace, float $maxLagS = 1.5): ?self
    {
        $a = self::prepared($film);
        $b = self::prepared($trace);
        $lags = (int) round($maxLagS * self::RATE);
        $start = (int) round(($film->t0 - $trace->t0) * self::RATE);
        $best = null;
        $most = 0.0;
        $at = [];
        for ($lag = -$lags; $lag <= $lags; $lag++) {
            [$r, $shared] = self::correlation($a, $b, $lag + $start);
            $at[$lag] = $r;
            // Where most of what moved lies outside the overlap, the rest agrees by chance.
            if ($r !== null && $r * $shared > $most) {
                $best = $lag;
                $most = $r * $shared;
            }
        }
        $peak = $best === null ? null : $at[$best];
        // At the end of the search it is no peak.
        if ($best === null || $peak === null || abs($best) === $lags || $peak < self::LEAST_CORRELATION) {
            return null;
        }
        $before = $at[$best - 1] ?? $peak;
        $after = $at[$best + 1] ?? $peak;
        $bend = $before - 2 * $peak + $after;
        $shift = $bend < -1e-12 ? 0.5 * ($before - $after) / $bend : 0.0;
        // What is not shared is noise; it moves the peak by as much as flattens the correlation by its own part.
        $width = sqrt((1.0 - $peak + 1e-4) * 0.02 / max(1e-6, -$bend)) / self::RATE;

        return new self(
            new Clock(($best + max(-0.5, min(0.5, $shift))) / self::RATE),
            max(1.0 / $film->rateHz, 1.0 / $trace->rateHz, 1.5 * $width),
            'correlation',
            correlation: $peak,
        );
    }

    /**
     * From several events seen in both, for long takes: least squares of the difference on time.
     *
     * @param  list<array{float, float}>  $events  time by film and by trace, s
     * @param  float  $uncertaintyS  of one event
     *
     * @throws CoreException
     */
    public static function byEvents(array $events, float $uncertaintyS): self
    {
        $n = count($events);
        if ($n < 2) {
            throw MotionException::because('drift-few');
        }
        $t = array_sum(array_column($events, 0)) / $n;
        $d = array_sum(array_map(static fn (array $e): float => $e[1] - $e[0], $events)) / $n;
        $sxx = $sxy = 0.0;
        foreach ($events as [$film, $trace]) {
            $sxx += ($film - $t) ** 2;
            $sxy += ($film - $t) * ($trace - $film - $d);
        }
        if ($sxx <= 0.0) {
            throw MotionException::because('drift-at-once');
        }
        $slope = $sxy / $sxx;

        return new self(
            new Clock($d - $slope * ($t - $events[0][0]), 1e6 * $slope, $events[0][0]),
            $uncertaintyS / sqrt($n),
            'events',
            (1e6 * $uncertaintyS) / sqrt($sxx),
        );
    }

    /**
     * @return list<float> at the common rate, without its slow course, of unit variance; missing samples are 0
     *
     * @throws CoreException
     */
    private static function prepared(Series $series): array
    {
        $even = $series->resampled(self::RATE);
        $slow = $even->smoothed(0.6)->values;
        $values = array_map(
            static fn (float $v, float $s): float => is_nan($v - $s) ? 0.0 : $v - $s,
            $even->values,
            $slow,
        );
        $power = sqrt(array_sum(array_map(static fn (float $v): float => $v * $v, $values)) / max(1, count($values)));

        return $power > 0.0 ? array_map(static fn (float $v): float => $v / $power, $values) : $values;
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return array{float|null, float} over what overlaps, and how much of both lies in the overlap, 0 to 1
     */
    private static function correlation(array $a, array $b, int $lag): array
    {
        $from = max(0, -$lag);
        $to = min(count($a), count($b) - $lag);
        if ($to - $from < self::RATE / 2) {
            return [null, 0.0];
        }
        $ab = $aa = $bb = 0.0;
        for ($i = $from; $i < $to; $i++) {
            $x = $a[$i];
            $y = $b[$i + $lag];
            $ab += $x * $y;
            $aa += $x * $x;
            $bb += $y * $y;
        }

        return $aa > 0.0 && $bb > 0.0
            ? [$ab / sqrt($aa * $bb), sqrt(($aa / count($a)) * ($bb / count($b)))]
            : [null, 0.0];
    }
}
