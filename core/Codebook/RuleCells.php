<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measured;
use Core\Measurement\Measurements;

/**
 * Every way in which the values of a few measures can lie to the thresholds of rules over them: on each threshold,
 * between two, below the lowest and above the highest. What holds in none of these cells holds for no values at all.
 */
final class RuleCells
{
    /** Beyond so many cells the rules are more than anybody can follow; the first ones are looked at. */
    private const MOST = 60_000;

    /**
     * @param  list<Rule>  $rules
     * @param  array<string, array{float, float}>  $bands  where given, values lie inside them, and a number without a
     *     band is not known
     * @return iterable<array{array<string, float|string>, Measurements}> the values by measure or measure@STATION
     */
    public static function of(array $rules, ?array $bands = null): iterable
    {
        $axes = [];
        foreach ($rules as $rule) {
            foreach ($rule->conditions() as $c) {
                $name = $c->measure->value.($c->station === null ? '' : "@$c->station");
                $axes[$name][] = $c->threshold;
            }
        }
        $values = [];
        foreach ($axes as $name => $thresholds) {
            $some = is_string($thresholds[0])
                ? [...array_unique($thresholds), '']
                : self::along(array_map(floatval(...), $thresholds), $bands === null ? null : $bands[$name] ?? []);
            if ($some !== []) {
                $values[$name] = array_values($some);
            }
        }
        $count = array_product(array_map(count(...), $values));
        for ($i = 0; $i < min($count, self::MOST); $i++) {
            $at = [];
            $rest = $i;
            foreach ($values as $name => $some) {
                $at[$name] = $some[$rest % count($some)];
                $rest = intdiv($rest, count($some));
            }
            yield [$at, self::measured($at)];
        }
    }

    /**
     * @param  non-empty-list<float>  $thresholds
     * @param  array{float, float}|array{}|null  $band  empty: there is none, and nothing is known of it
     * @return list<float>
     */
    private static function along(array $thresholds, ?array $band): array
    {
        if ($band === []) {
            return [];
        }
        $points = array_values(array_unique([...$thresholds, ...$band ?? []]));
        sort($points);
        $step = max(1.0, 0.1 * (end($points) - $points[0]));
        $out = [$points[0] - $step];
        foreach ($points as $i => $point) {
            $out[] = $point;
            $out[] = isset($points[$i + 1]) ? ($point + $points[$i + 1]) / 2.0 : $point + $step;
        }

        return $band === null
            ? $out
            : array_values(array_filter($out, static fn (float $v): bool => $v >= $band[0] && $v <= $band[1]));
    }

    /** @param  array<string, float|string>  $values */
    private static function measured(array $values): Measurements
    {
        $whole = $at = [];
        foreach ($values as $name => $v) {
            [$key, $station] = array_pad(explode('@', $name), 2, null);
            $m = is_string($v) ? Measured::word('', $v) : Measured::value('', $v, 0.0);
            if ($station === null) {
                $whole[$key] = $m;
            } else {
                $at[$key][$station] = $m;
            }
        }

        return new Measurements([...$whole, ...$at]);
    }
}
