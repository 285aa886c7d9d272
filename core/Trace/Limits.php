<?php

declare(strict_types=1);

namespace Core\Trace;

use Core\CoreException;

/**
 * What no instrument under a golfer gives: beyond these a number is damage, not a measurement. They are wide –
 * nothing
 * real is refused – and hold for every recording, whichever way it comes in.
 */
final class Limits
{
    /** By the end of a channel's name: the largest size of a value. */
    private const CHANNELS = ['_pct' => 1_000.0, '_n' => 50_000.0, '_nm' => 20_000.0, '_mm' => 20_000.0];

    /** Channels that are kept and ignored. */
    private const OTHER = 1e9;

    /** Body points and feet, mm. */
    public const PLACE_MM = 50_000.0;

    /** Times, from the start of a recording or to it, s. */
    public const TIME_S = 7_200.0;

    /** Slower ones are recordings whose times are told in milliseconds. */
    public const RATE_HZ = [0.02, 20_000.0];

    public const MASS_KG = [15.0, 300.0];

    /** What a person may state as a golfer's mass. */
    public const GOLFER_KG = [20.0, 250.0];

    /** The largest size of a value of a channel, in its unit. */
    public static function ofChannel(string $name): float
    {
        foreach (self::CHANNELS as $end => $limit) {
            if (str_ends_with($name, $end)) {
                return $limit;
            }
        }

        return self::OTHER;
    }

    /**
     * @param  list<float>  $values  NAN where a sample is missing
     * @param  string  $what  a code of core.trace.what, and which one of its kind
     *
     * @throws CoreException when one is infinite or beyond its limit
     */
    public static function check(array $values, float $limit, string $what, string $name): void
    {
        foreach ($values as $v) {
            // A missing sample compares false with everything.
            if ($v > $limit || $v < -$limit) {
                throw TraceException::because(
                    'beyond',
                    what: $what,
                    name: $name,
                    value: self::shown($v),
                    limit: number_format($limit),
                );
            }
        }
    }

    /** @throws CoreException when it is not finite or lies beyond the limits */
    public static function within(float $value, float $low, float $high, string $what): void
    {
        if (is_nan($value) || $value < $low || $value > $high) {
            throw TraceException::because(
                'outside',
                what: $what,
                value: self::shown($value),
                low: self::shown($low),
                high: self::shown($high),
            );
        }
    }

    private static function shown(float $v): string|TraceException
    {
        return match (true) {
            is_nan($v) => TraceException::because('no-number'),
            is_infinite($v) => TraceException::because($v > 0 ? 'infinity' : 'minus-infinity'),
            abs($v) >= 1e6 => sprintf('%.3g', $v),
            default => rtrim(rtrim(number_format($v, 3), '0'), '.'),
        };
    }
}
