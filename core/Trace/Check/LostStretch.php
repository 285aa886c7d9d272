<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Side;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * Samples that were lost and not marked: the clock runs evenly on, but from one sample to the next the signals of both
 * feet leave their own courses together, and stay. Where nothing moves meanwhile a lost stretch cannot be told.
 */
final readonly class LostStretch implements Check
{
    /** How many times its own tremble a signal leaves its course by; noise alone reaches some three and a half. */
    private const LEAVES = 4.5;

    /** And so much of it is still there on the mean of three samples. */
    private const STAYS = 0.6;

    /** It is so many times what a sample brings before and behind: a course that turns sharply leaps by less. */
    private const BEYOND_SLOPES = 2.5;

    /** The weight of noise in a leap beyond the course, against that of a sample. */
    private const OF_A_SAMPLE = 1.8;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        // By group the farthest that any signal leaves its course, by sample.
        $groups = [];
        foreach (self::groups($trace) as $group => $names) {
            $groups[$group] = [];
            foreach ($names as $name) {
                foreach (self::leaps($trace->channels[$name]) as $i => $by) {
                    $groups[$group][$i] = max($by, $groups[$group][$i] ?? 0.0);
                }
            }
        }
        $best = null;
        foreach (array_shift($groups) ?? [] as $i => $by) {
            $both = min($by, ...array_map(static fn (array $of): float => $of[$i] ?? 0.0, array_values($groups)));
            if ($both > self::LEAVES && ($best === null || $both > $best[1])) {
                $best = [$i, $both];
            }
        }

        return $best === null ? [] : [new QualityFinding(
            'lost',
            'serious',
            Remark::of(Flaw::StretchLost, at_s: $trace->t0 + $best[0] / $trace->rateHz),
            QualityFinding::NULLED,
            // Nobody knows how long, so no moment on one side of it is where the clock says.
            Signal::ofTheGround(),
        )];
    }

    /**
     * Signals that a single foot's mishap, or a slipping cover, does not change together.
     *
     * @return list<list<string>> names of channels
     */
    private static function groups(Trace $trace): array
    {
        $names = array_keys($trace->channels);
        $like = static fn (string $pattern): array => array_values(array_filter(
            $names,
            static fn (string $n): bool => preg_match($pattern, $n) === 1,
        ));

        return match ($trace->device) {
            DeviceClass::Mat => [$like('/^lead_pct$/'), $like('/^cop[xy]_mm$/')],
            DeviceClass::Plate => [$like('/^fz_n$/'), $like('/^(f[xy]_n|cop[xy]_mm|mz_nm)$/')],
            DeviceClass::DualPlate => array_map(
                static fn (Side $side): array => $like("/^{$side->value}_(f[xyz]_n|mz_nm)$/"),
                Side::cases(),
            ),
        };
    }

    /**
     * Where a signal leaves its own course by more than LEAVES times its tremble.
     *
     * @param  list<float>  $v
     * @return array<int, float> how many times, by the first sample behind
     */
    private static function leaps(array $v): array
    {
        $n = count($v);
        $d = $sizes = [];
        for ($i = 3; $i + 2 < $n; $i++) {
            $slope = ($v[$i - 1] - $v[$i - 3] + $v[$i + 2] - $v[$i]) * 0.25;
            $d[$i] = $v[$i] - $v[$i - 1] - $slope;
            if ($i % 4 === 3 && ! is_nan($d[$i])) {
                $sizes[] = abs($d[$i]);
            }
        }
        sort($sizes);
        $tremble = max(
            // Of what trembles most: a part of a recording may be drawn, and not tremble at all.
            $sizes === [] ? 0.0 : $sizes[intdiv(9 * count($sizes), 10)] / 1.645,
            self::OF_A_SAMPLE * self::quantum($v) / sqrt(12.0),
        );
        $limit = self::LEAVES * $tremble;
        $out = [];
        foreach ($d as $i => $by) {
            if (($by <= $limit && $by >= -$limit) || $limit <= 0.0 || is_nan($by)) {
                continue;
            }
            [$came, $goes] = [($v[$i - 1] - $v[$i - 3]) / 2.0, ($v[$i + 2] - $v[$i]) / 2.0];
            $slope = ($came + $goes) / 2.0;
            $after = ($v[$i] + $v[$i + 1] + $v[$i + 2]) / 3.0;
            $before = ($v[$i - 1] + $v[$i - 2] + $v[$i - 3]) / 3.0;
            $stays = ($after - $before - 3.0 * $slope) * ($by > 0.0 ? 1.0 : -1.0);
            $least = is_nan($stays) ? 0.0 : min(abs($by), $stays / self::STAYS) / $tremble;
            if ($least > self::LEAVES && abs($by) > self::BEYOND_SLOPES * max(abs($came), abs($goes))) {
                $out[$i] = $least;
            }
        }

        return $out;
    }

    /**
     * The smallest step of a signal that is told in whole steps.
     *
     * @param  list<float>  $v
     */
    private static function quantum(array $v): float
    {
        $least = INF;
        for ($i = 1, $n = min(count($v), 400); $i < $n; $i++) {
            $step = abs($v[$i] - $v[$i - 1]);
            if ($step > 1e-9 && $step < $least) {
                $least = $step;
            }
        }

        return is_finite($least) ? $least : 0.0;
    }
}
