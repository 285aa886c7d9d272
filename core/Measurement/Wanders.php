<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Trace\DeviceClass;
use Core\Trace\Noise;
use Core\Trace\Series;

/** What a signal may be off by over time, beside a constant error and noise. */
final class Wanders
{
    /** Standing ends so long before address, s. */
    private const BEFORE = 0.05;

    private const RATE_HZ = 50.0;

    /**
     * What a signal may be off by over time, half-widths: its zero wanders to either side of the recording's middle, by
     * no more than standing shows and the device class may; and on a single plate the feet press elsewhere.
     *
     * @param  float  $point  how much a point of share is in the signal's unit
     * @return list<Series>
     *
     * @throws CoreException
     */
    public static function of(
        Series $raw,
        Noise $sensor,
        DeviceClass $device,
        Jitter $jitter,
        float $point,
    ): array {
        $begins = $jitter->begins();
        $most = $point * $device->wander();
        $seen = $begins === null ? null : $sensor->wanders($raw, $raw->t0, $begins - self::BEFORE);
        $rate = min($most, $seen ?? $most);
        $middle = 0.5 * ($raw->t0 + $raw->end());
        $out = [self::course($raw, static fn (float $t): float => $rate * ($t - $middle))];
        foreach ($device->feetElsewhere() as $points) {
            $knots = [];
            foreach ($points as $code => $off) {
                if ($jitter->told->has($code)) {
                    $knots[] = [$jitter->told->at($code), $off * $point];
                }
            }
            $out[] = self::course($raw, static fn (float $t): float => self::between($knots, $t));
        }

        return $out;
    }

    /**
     * @param  callable(float): float  $of  a time
     *
     * @throws CoreException
     */
    private static function course(Series $raw, callable $of): Series
    {
        $n = (int) (($raw->end() - $raw->t0) * self::RATE_HZ) + 2;

        return new Series(
            self::RATE_HZ,
            array_map(static fn (int $i): float => $of($raw->t0 + $i / self::RATE_HZ), range(0, $n - 1)),
            $raw->t0,
        );
    }

    /** @param  list<array{float, float}>  $knots  times in order, and values; the ends go on as they are */
    private static function between(array $knots, float $t): float
    {
        $value = $knots[0][1] ?? 0.0;
        foreach ($knots as $i => [$at, $v]) {
            if ($t < $at) {
                $before = $knots[$i - 1] ?? null;

                return $before === null ? $v : $before[1] + ($v - $before[1]) * ($t - $before[0]) / ($at - $before[0]);
            }
            $value = $v;
        }

        return $value;
    }
}
