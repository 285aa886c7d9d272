<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Channels that repeat one value: at the end of their range (saturated) or anywhere else (stuck, or a stopped
 * clock). A live sensor trembles, so an exact repeat over a tenth of a second is no reading. A channel that
 * trembles nowhere – drawn, not measured – is only called stuck while its other foot goes on moving.
 */
final readonly class FrozenChannels implements Check
{
    private const STUCK = 0.1;

    private const SATURATED = 0.012;

    /** A sibling that changes by this part of its range while a channel stands still, gives it away. */
    private const MOVES = 0.10;

    /** A share told in steps of so much, %, may well stay for a while: then only places that stop as well tell. */
    private const COARSE = 0.3;

    public function of(Trace $trace): array
    {
        $stuck = $full = [];
        foreach ($trace->channels as $name => $values) {
            if (str_contains($name, 'cop') || str_contains($name, 'toe_pct')) {
                continue;
            }
            [$low, $high] = self::ends($values);
            if (is_nan($high - $low) || $high - $low < 1e-9) {
                continue;
            }
            $alive = self::trembles($values, $high - $low);
            $isCoarse = str_ends_with($name, '_pct') && self::grain($values) >= self::COARSE;
            foreach (self::runs($values, (int) max(4, ceil(self::SATURATED * $trace->rateHz))) as [$from, $to]) {
                $seconds = ($to - $from) / $trace->rateHz;
                $atEnd =
                    ! str_ends_with($name, '_pct') &&
                    ($values[$from] === $high || $values[$from] === $low) &&
                    abs($values[$from]) > 0.3 * max(abs($high), abs($low));
                if ($alive && $atEnd) {
                    $full[$name][] = [$from, $to];
                } elseif (
                    $seconds >= self::STUCK &&
                    abs($values[$from]) > 1e-6 &&
                    ($isCoarse
                        ? self::placesStop($trace, $from, $to)
                        : $alive || self::siblingMoves($trace, $name, $from, $to)) &&
                    ! self::isLegalEnd($name, $values[$from])
                ) {
                    $stuck[$name][] = [$from, $to];
                }
            }
        }

        return [
            ...self::findings($trace, $full, 'saturated', Flaw::Saturated),
            ...self::findings($trace, $stuck, 'stuck', Flaw::Stuck),
        ];
    }

    /** All of a foot's pressure on one side is a true reading, however long it lasts. */
    private static function isLegalEnd(string $name, float $value): bool
    {
        return str_ends_with($name, '_pct') && ($value <= 0.5 || $value >= 99.5);
    }

    /**
     * @param  array<string, list<array{int, int}>>  $runs
     * @return list<QualityFinding>
     */
    private static function findings(Trace $trace, array $runs, string $kind, Flaw $flaw): array
    {
        // Channels that stop together stopped for one reason.
        $spans = [];
        foreach ($runs as $name => $all) {
            foreach ($all as [$from, $to]) {
                foreach ($spans as $key => [$a, $b, $names]) {
                    if ($from <= $b && $to >= $a) {
                        $spans[$key] = [min($a, $from), max($b, $to), [...$names, $name]];

                        continue 2;
                    }
                }
                $spans[] = [$from, $to, [$name]];
            }
        }
        $out = [];
        foreach ($spans as [$from, $to, $names]) {
            $signals = [];
            foreach ($names as $name) {
                foreach (Signal::ofChannel($name, $trace->device) as $signal) {
                    $signals[$signal->value] = $signal;
                }
            }
            [$a, $b] = [$trace->t0 + $from / $trace->rateHz, $trace->t0 + $to / $trace->rateHz];
            $channels = count($names) > 3 ? [] : array_values(array_unique($names));
            $out[] = new QualityFinding(
                $kind,
                'serious',
                Remark::of($flaw, channels: $channels, from_s: $a, to_s: $b),
                QualityFinding::NULLED,
                array_values($signals),
                [$a, $b],
            );
        }

        return $out;
    }

    /**
     * The smallest step between two neighbouring values.
     *
     * @param  list<float>  $values
     */
    private static function grain(array $values): float
    {
        $grain = INF;
        for ($i = 1, $n = count($values); $i < $n; $i++) {
            $d = abs($values[$i] - $values[$i - 1]);
            if ($d > 1e-9 && $d < $grain) {
                $grain = $d;
            }
        }

        return $grain;
    }

    /** Whether for a while no centre of pressure moves, of those that tremble; where none does, nothing tells. */
    private static function placesStop(Trace $trace, int $from, int $to): bool
    {
        $places = array_filter($trace->channels, static function (array $values, string $name): bool {
            [$low, $high] = self::ends($values);

            return str_contains($name, 'cop') && $high > $low && self::trembles($values, $high - $low);
        }, ARRAY_FILTER_USE_BOTH);
        if ($places === []) {
            return false;
        }
        $long = 0;
        for ($i = $from + 1; $i <= $to; $i++) {
            foreach ($places as $values) {
                if ($values[$i] !== $values[$i - 1]) {
                    $long = -1;
                    break;
                }
            }
            if (++$long >= self::STUCK * $trace->rateHz) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<float>  $values */
    private static function trembles(array $values, float $range): bool
    {
        $seconds = [];
        $n = count($values);
        $step = max(1, intdiv($n, 400));
        for ($i = 1; $i < $n - 1; $i += $step) {
            $d = abs($values[$i - 1] - 2 * $values[$i] + $values[$i + 1]);
            if (! is_nan($d)) {
                $seconds[] = $d;
            }
        }
        sort($seconds);

        return $seconds !== [] && $seconds[intdiv(count($seconds), 2)] > 2e-4 * $range;
    }

    /**
     * @param  list<float>  $values
     * @return list<array{int, int}> first and last index of each run of equal values of at least $least steps
     */
    private static function runs(array $values, int $least): array
    {
        $out = [];
        $start = 0;
        $n = count($values);
        for ($i = 1; $i <= $n; $i++) {
            if ($i < $n && $values[$i] === $values[$start]) {
                continue;
            }
            if ($i - 1 - $start >= $least) {
                $out[] = [$start, $i - 1];
            }
            $start = $i;
        }

        return $out;
    }

    private static function siblingMoves(Trace $trace, string $name, int $from, int $to): bool
    {
        $side = Side::ofName($name);
        $other = $side === null ? '' : $side->other()->name(substr($name, strlen($side->name(''))));
        if ($trace->device === DeviceClass::Plate || ! isset($trace->channels[$other])) {
            return false;
        }
        [$low, $high] = self::ends($trace->channels[$other]);
        [$from, $to] = self::ends(array_slice($trace->channels[$other], $from, $to - $from + 1));

        return $high > $low && $to - $from > self::MOVES * ($high - $low);
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float} smallest and largest; [INF, −INF] where all are missing
     */
    private static function ends(array $values): array
    {
        if ($values !== [] && ! is_nan(array_sum($values))) {
            return [min($values), max($values)];
        }
        [$low, $high] = [INF, -INF];
        foreach ($values as $v) {
            if (! is_nan($v)) {
                $low = min($low, $v);
                $high = max($high, $v);
            }
        }

        return [$low, $high];
    }
}
