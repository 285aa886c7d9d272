<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Measurement\Evidence;
use Core\Measurement\Measured;
use Core\Measurement\Meter;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\StationTimes;

/**
 * What a bench may see: the true values of every measure over simulated golfers of both hands with three kinds of club,
 * each with one fault in turn, slight to dominant, and every thirtieth with none, as in the study of detection.
 */
final class Population
{
    private const POINTS_HZ = 240.0;

    private const SEVERITIES = [2, 3, 2, 3, 1];

    /**
     * @return array<string, float> true values by measure, with @ and the station where it has one
     *
     * @throws CoreException
     */
    public static function golfer(int $i, string $seed): array
    {
        $faults = Plant::FAULTS;
        $each = count($faults) + 1;
        $fault = $faults[$i % $each] ?? null;
        $severity = self::SEVERITIES[intdiv($i, $each) % count(self::SEVERITIES)];
        $plant = new Plant($fault === null ? [] : [$fault => $severity]);
        $swing = Swing::simulated(GolferSpec::ofStudy($seed, $i, $plant));
        [$trace, $motion] = $swing->truth(self::POINTS_HZ);
        $exact = StationTimes::fromTimes(array_map(
            static fn (StationTime $t): StationTime => new StationTime($t->t, 0.0, StationSource::File),
            $swing->stations->all(),
        ));
        $out = [];
        foreach (Meter::read(new Evidence($exact, $trace, $motion, $swing->stance), false)->all() as $key => $found) {
            foreach ($found instanceof Measured ? ['' => $found] : $found as $station => $m) {
                $value = $m->number();
                if ($value !== null) {
                    $out[$station === '' ? $key : "$key@$station"] = $value;
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float, float} the 1st, 50th and 99th percentile, between values
     */
    public static function percentiles(array $values): array
    {
        sort($values);
        $at = static function (float $p) use ($values): float {
            $x = $p * (count($values) - 1);
            $i = (int) $x;
            $next = $values[min(count($values) - 1, $i + 1)];

            return $values[$i] + ($x - $i) * ($next - $values[$i]);
        };

        return [$at(0.01), $at(0.5), $at(0.99)];
    }
}
