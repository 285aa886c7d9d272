<?php

declare(strict_types=1);

namespace Core\Trace\Check;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\DeviceClass;
use Core\Trace\Flaw;
use Core\Trace\QualityFinding;
use Core\Trace\Series;
use Core\Trace\Signal;
use Core\Trace\Trace;

/**
 * A share that steps from one sample to the next out of its own course and stays: too small for a foot that leaves the
 * device whole, too sudden for a body.
 */
final readonly class Steps implements Check
{
    /** Points of share within so long, s, beyond the course before and after. */
    private const LEAST = 6.0;

    private const WITHIN = 0.008;

    /** And so many times its own tremble. */
    private const TREMBLES = 8.0;

    /** Larger ones are a whole foot's. */
    private const LARGEST = 15.0;

    /** @throws CoreException */
    public function of(Trace $trace): array
    {
        $share = $trace->device === DeviceClass::Plate ? self::alongTarget($trace) : $trace->leadShare();
        if ($share === null || $share->rateHz < 50.0) {
            return [];
        }
        $k = max(1, (int) floor(self::WITHIN * $share->rateHz));
        $v = $share->values;
        $n = count($v);
        $limit = max(self::LEAST, self::TREMBLES * self::tremble($v));
        $best = null;
        for ($i = 3 * $k; $i + 4 * $k < $n; $i++) {
            $step = $v[$i + $k] - $v[$i];
            if (is_nan($step) || abs($step) <= $limit) {
                continue;
            }
            $around = [$v[$i] - $v[$i - $k], $v[$i - $k] - $v[$i - 2 * $k], $v[$i + 2 * $k] - $v[$i + $k],
                $v[$i + 3 * $k] - $v[$i + 2 * $k]];
            $own = ($step > 0.0 ? 1.0 : -1.0) * array_sum($around) / count($around);
            $stays = min(abs($v[$i + 3 * $k] - $v[$i]), abs($v[$i + 2 * $k] - $v[$i - $k]));
            $beyond = abs($step) - max(0.0, $own);
            if ($beyond > $limit && $stays > 0.6 * abs($step) && ($best === null || $beyond > $best[1])) {
                $best = [$i, $beyond, $step];
            }
        }
        if ($best === null || abs($best[2]) > self::LARGEST) {
            return [];
        }

        return [new QualityFinding(
            'foot-off',
            'serious',
            Remark::of(Flaw::ShareSteps, at_s: $share->time($best[0]), step_percent: abs($best[2])),
            QualityFinding::NULLED,
            $trace->device === DeviceClass::Mat
                ? [Signal::Share, Signal::Cop, Signal::FootCop]
                : [Signal::Share, Signal::Total, Signal::FootForce, Signal::Horizontal, Signal::Cop, Signal::FootCop,
                    Signal::Twist],
            // Nobody knows which side of the step is right.
            [$share->time($best[0] - $k), $share->end()],
        )];
    }

    /**
     * A single plate's share by the place along the target line alone: a leap along y is the centre's, not a foot's.
     *
     * @throws CoreException
     */
    private static function alongTarget(Trace $trace): ?Series
    {
        $stance = $trace->stance;
        $span = $stance === null ? 0.0 : $stance->lead->xMm - $stance->trail->xMm;

        return $stance === null ? null : $trace->series('copx_mm')?->map(
            static fn (float $x): float => 100.0 * ($x - $stance->trail->xMm) / $span,
        );
    }

    /**
     * Standard deviation of a sample about its own course, from third differences.
     *
     * @param  list<float>  $v
     */
    private static function tremble(array $v): float
    {
        $all = [];
        for ($i = 3, $n = count($v); $i < $n; $i++) {
            $d = abs($v[$i] - 3.0 * $v[$i - 1] + 3.0 * $v[$i - 2] - $v[$i - 3]);
            if (! is_nan($d)) {
                $all[] = $d;
            }
        }
        sort($all);

        return $all === [] ? 0.0 : $all[intdiv(count($all), 2)] / (0.6745 * sqrt(20.0));
    }
}
