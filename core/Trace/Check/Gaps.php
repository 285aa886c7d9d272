<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\Remark\Remark;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/** Missing samples, and a clock that did not tick evenly. */
final readonly class Gaps implements Check
{
    /** Over a gap of this length an extreme or a crossing can hide, s. */
    private const LONG = 0.03;

    /** Under this part of the whole load a foot has no centre of pressure to report, per cent. */
    private const UNLOADED = 6.0;

    public function of(Trace $trace): array
    {
        $gaps = [];
        foreach ($trace->channels as $name => $values) {
            if (! self::hasMissing($values)) {
                continue;
            }
            $excused = str_contains($name, 'cop') || str_contains($name, 'toe') ? self::load($trace, $name) : null;
            foreach (self::runs($values, $excused) as [$from, $to]) {
                $key = "$from-$to";
                $gaps[$key] ??= [$from, $to, []];
                $gaps[$key][2][] = $name;
            }
        }
        $out = $single = [];
        foreach ($gaps as [$from, $to, $names]) {
            $length = ($to - $from + 1) / $trace->rateHz;
            $long = $length >= self::LONG;
            // A single lost sample is bridged by its neighbours, unless there are many.
            if ($to === $from && ! $long) {
                $single[] = [$from, $names];

                continue;
            }
            $signals = self::signals($names, $trace);
            [$a, $b] = [$trace->t0 + ($from - 1) / $trace->rateHz, $trace->t0 + ($to + 1) / $trace->rateHz];
            $out[] = new QualityFinding(
                'dropped',
                $long ? 'serious' : 'warning',
                Remark::of(
                    Flaw::Gap,
                    channels: count($names) === count($trace->channels) ? [] : $names,
                    length_ms: 1000 * $length,
                    from_s: $a,
                ),
                $long ? QualityFinding::NULLED : QualityFinding::WIDENED,
                $signals,
                [$a, $b],
                1.5,
            );
        }
        if (count($single) > 0.01 * $trace->samples()) {
            $names = array_values(array_unique(array_merge(...array_column($single, 1))));
            $at = array_column($single, 0);
            $out[] = new QualityFinding(
                'dropped',
                'warning',
                Remark::of(Flaw::SingleSamples, channels: count($names) > 3 ? [] : $names, count: count($single)),
                QualityFinding::WIDENED,
                self::signals($names, $trace),
                [$trace->t0 + $at[0] / $trace->rateHz, $trace->t0 + $at[count($at) - 1] / $trace->rateHz],
                1.5,
            );
        }
        if ($trace->clockJitterS !== null && $trace->clockJitterS > 0.5 / $trace->rateHz) {
            $out[] = new QualityFinding(
                'jitter', 'warning',
                Remark::of(Flaw::UnevenClock, off_ms: 1000 * $trace->clockJitterS),
                QualityFinding::WIDENED,
                Signal::ofTheGround(),
                null,
                2.0,
                true,
            );
        }

        return $out;
    }

    /**
     * @param  list<string>  $names
     * @return list<Signal>
     */
    private static function signals(array $names, Trace $trace): array
    {
        $out = [];
        foreach ($names as $name) {
            foreach (Signal::ofChannel($name, $trace->device) as $signal) {
                $out[$signal->value] = $signal;
            }
        }

        return array_values($out);
    }

    /** @param  list<float>  $values */
    private static function hasMissing(array $values): bool
    {
        // One missing sample makes the sum missing, at the speed of the machine.
        return is_nan(array_sum($values));
    }

    /**
     * Load in per cent of the foot or feet whose centre of pressure a channel gives.
     *
     * @return list<float>|null
     */
    private static function load(Trace $trace, string $name): ?array
    {
        $weight = $trace->bodyWeightN() ?? 700.0;
        $side = Side::ofName($name);
        if ($side !== null) {
            $values = $trace->channels[$side->name('pct')] ?? null;
            $force = $trace->channels[$side->name('fz_n')] ?? null;

            return $values ??
                ($force === null ? null : array_map(static fn (float $v): float => (100.0 * $v) / $weight, $force));
        }
        $force = $trace->channels['fz_n'] ?? null;

        return $force === null ? null : array_map(static fn (float $v): float => 100.0 * $v / $weight, $force);
    }

    /**
     * @param  list<float>  $values
     * @param  list<float>|null  $load where the foot carries next to nothing, a missing place is no gap
     * @return list<array{int, int}>
     */
    private static function runs(array $values, ?array $load): array
    {
        $out = [];
        $start = null;
        $n = count($values);
        for ($i = 0; $i <= $n; $i++) {
            $missing = $i < $n && is_nan($values[$i]) && ($load === null || is_nan($load[$i])
                || $load[$i] >= self::UNLOADED);
            if ($missing) {
                $start ??= $i;
            } elseif ($start !== null) {
                $out[] = [$start, $i - 1];
                $start = null;
            }
        }

        return $out;
    }
}
