<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Trace\Axis;
use Core\Trace\Series;

/** The top of a swing: where the shaft's rate about the plane of the downswing changes sign. */
final class Top
{
    /** Of its greatest height the shaft is up. */
    private const NEARLY = 0.9;

    /**
     * @param  Series  $shaft  how far the club head is above the grip, mm
     * @param  float  $from  where what belongs to the swing begins, s
     * @param  float  $fast  when the club is fastest, s
     *
     * @throws CoreException
     */
    public static function of(Motion $motion, Series $shaft, float $from, float $fast): ?float
    {
        return $motion->view->sees(Axis::X) ? self::byTurning($motion, $fast) : self::byHeight($shaft, $from, $fast);
    }

    /**
     * Where the view cannot see along the line, the shaft turns in a plane seen edge on: it stands highest on the way
     * back and once more on the way down, and lowest in between at the top.
     *
     * @throws CoreException
     */
    private static function byHeight(Series $shaft, float $from, float $fast): ?float
    {
        $highest = $shaft->highest($from, $fast);
        if ($highest === null) {
            return null;
        }
        $near = $shaft->minus(self::NEARLY * $highest->value);
        $up = Crossing::firstRise($near, $from, $fast);
        $down = Crossing::lastFall($near, $from, $fast);
        $lowest = $up === null || $down === null ? null : $shaft->lowest($up, $down);

        return $lowest === null || $lowest->value > self::NEARLY * $highest->value ? null : $lowest->t;
    }

    /**
     * The last change of sign, before the club is fastest, of the shaft's rate about the normal of the downswing.
     *
     * @throws CoreException
     */
    private static function byTurning(Motion $motion, float $fast): ?float
    {
        $d = $v = [];
        foreach (Axis::cases() as $axis) {
            if ($motion->view->sees($axis)) {
                $grip = $motion->coordinate('grip', $axis)->values;
                $line = new Series(
                    $motion->rateHz,
                    array_map(
                        static fn (float $a, float $b): float => $a - $b,
                        $motion->coordinate('club_head', $axis)->values,
                        $grip,
                    ),
                    $motion->t0,
                );
                $d[$axis->value] = $line->smoothed(StationsFromMotion::POSITION)->values;
                $v[$axis->value] = $line->derivative(StationsFromMotion::SPEED)->values;
            } else {
                $d[$axis->value] = $v[$axis->value] = array_fill(0, $motion->frames(), 0.0);
            }
        }
        $cross = [];
        foreach ($d[0] as $i => $x) {
            $cross[] = new Vec3(
                $d[1][$i] * $v[2][$i] - $d[2][$i] * $v[1][$i],
                $d[2][$i] * $v[0][$i] - $x * $v[2][$i],
                $x * $v[1][$i] - $d[1][$i] * $v[0][$i],
            );
        }
        $at = (int) round(($fast - $motion->t0) * $motion->rateHz);
        $normal = new Vec3(0.0, 0.0, 0.0);
        for ($i = max(0, $at - (int) (0.06 * $motion->rateHz)); $i <= min(count($cross) - 1, $at); $i++) {
            $normal = $normal->plus($cross[$i]);
        }
        $normal = $normal->unit();
        for ($i = min($at, count($cross) - 1); $i > 0; $i--) {
            $now = $cross[$i]->dot($normal);
            $before = $cross[$i - 1]->dot($normal);
            if ($now > 0.0 && $before <= 0.0) {
                return $motion->t0 + ($i - 1 + $before / ($before - $now)) / $motion->rateHz;
            }
        }

        return null;
    }
}
