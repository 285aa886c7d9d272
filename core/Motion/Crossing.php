<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\Trace\Series;

/** When a series passes zero, linear between samples; null where it does not in the span asked for. */
final class Crossing
{
    public static function firstRise(Series $s, float $from, float $to): ?float
    {
        return self::find($s, $from, $to, 1.0, true);
    }

    public static function lastRise(Series $s, float $from, float $to): ?float
    {
        return self::find($s, $from, $to, 1.0, false);
    }

    public static function firstFall(Series $s, float $from, float $to): ?float
    {
        return self::find($s, $from, $to, -1.0, true);
    }

    public static function lastFall(Series $s, float $from, float $to): ?float
    {
        return self::find($s, $from, $to, -1.0, false);
    }

    private static function find(Series $s, float $from, float $to, float $sign, bool $first): ?float
    {
        $found = null;
        $a = max(0, (int) floor(($from - $s->t0) * $s->rateHz));
        $b = min(count($s->values) - 2, (int) ceil(($to - $s->t0) * $s->rateHz));
        for ($i = $a; $i <= $b; $i++) {
            $u = $sign * $s->values[$i];
            $v = $sign * $s->values[$i + 1];
            if ($u <= 0.0 && $v > 0.0) {
                $t = $s->time($i) - $u / ($v - $u) / $s->rateHz;
                if ($t >= $from - 1e-9 && $t <= $to + 1e-9) {
                    $found = $t;
                    if ($first) {
                        return $found;
                    }
                }
            }
        }

        return $found;
    }
}
