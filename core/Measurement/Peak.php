<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Trace\Extreme;
use Core\Trace\Series;

/** Figures of a curve's peak or dip between two stations, as SmoothSignal::read() takes them. */
final class Peak
{
    /**
     * @param  int  $sign  1 for the largest, −1 for the smallest
     * @return \Closure(Series, Moments): ?Extreme
     */
    public static function between(string $from, string $to, int $sign): \Closure
    {
        return static fn (Series $c, Moments $t): ?Extreme => $c->peak($t->at($from), $t->at($to), $sign);
    }

    /**
     * @param  callable(Series, Moments): ?Extreme  $extreme
     * @return \Closure(Series, Moments): ?float
     */
    public static function value(callable $extreme): \Closure
    {
        return static fn (Series $c, Moments $t): ?float => $extreme($c, $t)?->value;
    }

    /**
     * How large it is in one direction, never less than nought.
     *
     * @param  callable(Series, Moments): ?Extreme  $extreme
     * @return \Closure(Series, Moments): ?float
     */
    public static function size(callable $extreme, int $sign): \Closure
    {
        return static function (Series $c, Moments $t) use ($extreme, $sign): ?float {
            $at = $extreme($c, $t);

            return $at === null ? null : max(0.0, $sign * $at->value);
        };
    }

    /**
     * How long before a station, ms.
     *
     * @param  callable(Series, Moments): ?Extreme  $extreme
     * @return \Closure(Series, Moments): ?float
     */
    public static function before(callable $extreme, string $station): \Closure
    {
        return static function (Series $c, Moments $t) use ($extreme, $station): ?float {
            $at = $extreme($c, $t);

            return $at === null ? null : 1000 * ($t->at($station) - $at->t);
        };
    }

    /**
     * When it is, as a part of the time from one station to another.
     *
     * @param  callable(Series, Moments): ?Extreme  $extreme
     * @return \Closure(Series, Moments): ?float
     */
    public static function part(callable $extreme, string $from, string $to): \Closure
    {
        return static function (Series $c, Moments $t) use ($extreme, $from, $to): ?float {
            $at = $extreme($c, $t);

            return $at === null ? null : ($at->t - $t->at($from)) / ($t->at($to) - $t->at($from));
        };
    }
}
