<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Curve;

/** How pressure runs between the feet, how hard both push down, and how they push against each other. */
final readonly class Pressing
{
    /**
     * @param  array<string, float>  $s  seconds by station code
     * @return array<string, Sampled>
     *
     * @throws CoreException
     */
    public static function curves(GolferSpec $spec, array $s, float $duration): array
    {
        $own = new Chance('pressing|'.$spec->seed);

        return [
            'share' => Sampled::rounded(new Curve(self::share($spec->plant, $own, $s)), $duration, 0.009),
            'total' => self::total($spec, $own, $s, $duration),
            'couple' => self::couple($spec->plant, $own, $s, $duration),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @return list<array{float, float}> time and lead share, %
     */
    private static function share(Plant $p, Chance $own, array $s): array
    {
        $back = $s['TP'] - $s['AD'];
        $setup = $p->pick('setup-bias', $own->normal(54.5, 1.0), 62.0, 70.0, 74.0);
        $peakLead = 100.0 - $p->pick('no-load', $own->normal(78.5, 1.6), 57.0, 50.5, 46.0);
        // Who drifts off the ball takes the pressure along.
        $peakLead = min($peakLead, $p->pick('sway', 100.0, 20.0, 14.0, 11.0));
        $peakLead = max($peakLead, $p->severity('chest-first') > 0 ? 31.0 : 0.0);
        $peakLead = max($peakLead, $p->pick('ahead-of-pressure', 0.0, 34.0, 41.0, 42.0));
        $peakAt = $p->pick('late-load', $own->normal(0.58, 0.02), 0.76, 0.91, 0.95);
        $leaves = $p->pick('lead-leg-leave', 0.0, 6.0, 15.0, 19.0);
        $peakLead -= 0.4 * $leaves;
        $peakT = $s['AD'] + $peakAt * $back;
        $early = $p->severity('early-lunge') > 0;
        $press = 0.32 * max(0.0, $setup - $peakLead);
        $wander = $own->normal(0.0, 0.007);
        $crossing =
            $s['TP'] +
            match (true) {
                $p->severity('late-recentre') > 0 => $p->pick('late-recentre', -0.02, 0.058, 0.096, 0.125) +
                    0.5 * $wander,
                $p->severity('late-load') > 0 => 0.012 + 0.5 * $wander,
                $early => -0.16 + $wander,
                $p->severity('jump-off-trail') > 0 => -0.068 + 0.5 * $wander,
                $p->severity('ahead-of-pressure') > 0 => -0.07 + 0.5 * $wander,
                $p->severity('chest-first') > 0 => -0.055 + $wander,
                default => 0.020 + $wander,
            };
        $top = $early ? $p->pick('early-lunge', 56.0, 66.0, 74.5, 80.0) : 0.0;
        $level = $p->pick('spin-out', $own->normal(66.2, 0.8), 60.0, 52.0, 50.8);
        $impact = $own->normal(82.5, 1.3);
        $through = $impact + $own->normal(1.5, 0.5);
        $impact = $p->pick('hang-back', $impact, 72.0, 62.0, 53.0);
        $impact = $p->pick('ahead-of-pressure', $impact, 86.0, 92.0, 93.0);
        // A body that stays behind is not borne by the lead foot alone.
        $impact = min($impact, $p->pick('head-back', 100.0, 77.0, 60.5, 57.0));
        $impact = min($impact, $p->pick('late-arrival', 100.0, 77.5, 71.0, 69.4));
        $level = max(min($level, $impact - 5.0), 50.8);
        if ($p->severity('hang-back') > 0) {
            $through = $impact + 2.5;
        }
        if ($p->severity('late-arrival') > 0) {
            $through = max($through, $impact + $p->pick('late-arrival', 0.0, 12.0, 21.5, 25.0));
        }
        if ($p->severity('head-back') > 0) {
            $through = min($through, $impact + 6.0);
        }
        if ($p->severity('thrown-back') > 0) {
            $through = min($through, $p->pick('thrown-back', $through, 78.0, 72.0, 69.0));
        }
        if ($p->severity('ahead-of-pressure') > 0) {
            $through = $impact + 1.0;
        }
        $dips = $p->severity('ahead-of-pressure') > 1 ? 0.0 : 9.0;
        $ends = $p->severity('hang-back') > 0 ? 82.0 : $own->normal(91.0, 0.9);
        $finish = $p->pick('fall-off', $ends, 80.0, 64.0, 52.0);
        if ($p->severity('late-recentre') > 0) {
            $level = min($level, $p->pick('late-recentre', 72.0, 66.0, 60.0, 57.0));
        }

        $level = $p->pick('ahead-of-pressure', $level, 59.0, 52.5, 51.5);
        $level = $p->severity('chest-first') > 0 ? max($level, 69.0) : $level;
        // Who stands up early does so on the lead leg.
        $level = $p->pick('early-rise', $level, 74.0, 79.0, 82.5);
        $knots = [
            [0.0, $setup], [$s['AD'], $setup],
            // The move away begins with a press of the lead foot.
            [$s['AD'] + 0.08, $setup + $press],
            [$s['AD'] + 0.18, $setup + 0.2 * $press],
            [
                max($s['AD'] + 0.24, min($s['TB'], $peakT - 0.08)),
                $setup - 0.5 * max(0.0, $setup - $peakLead) - 0.9 * $leaves,
            ],
            [$peakT, $peakLead],
        ];
        $stays = min(0.10 * $back, $crossing - $peakT - 0.20);
        if ($stays > 0.02) {
            $peakT += $stays;
            $knots[] = [$peakT, $peakLead + 0.8];
        }
        if ($peakLead < 49.0 && $crossing > $peakT + 0.02 && $p->severity('chest-first') <= 0.0) {
            if ($crossing - $peakT > 0.25) {
                $knots[] = [$crossing - 0.16, $peakLead + 3.5];
            }
            $knots[] = [$crossing, 50.0];
        }
        if ($top > 0.0) {
            $knots[] = [$s['TP'], $top];
            $level = max($level, $top + 4.0);
            $impact = max($impact, $level + 1.0);
        }
        if ($p->severity('jump-off-trail') > 0) {
            $knots[] = [$s['TP'], 52.5];
            $knots[] = [$s['TP'] + 0.05, $p->pick('jump-off-trail', 52.0, 49.0, 42.5, 39.5)];
        }
        if ($p->severity('chest-first') > 0) {
            // Held short of the half until the chest has opened.
            $knots[] = [$s['TP'] - 0.05, 46.2];
            $knots[] = [$s['TP'] + $p->pick('chest-first', 0.0, 0.006, 0.030, 0.046), 47.4];
        }
        if (end($knots)[0] < $s['LD'] - 0.012) {
            $knots[] = [$s['LD'], $level];
        }
        if ($p->severity('thrown-back') > 0) {
            // It came, and is lost again before the ball.
            $knots[] = [$s['IM'] - 0.045, $p->pick('thrown-back', $impact, 80.0, 78.3, 77.0)];
            $impact = min($impact, $p->pick('thrown-back', 100.0, 75.0, 67.6, 64.4));
        }
        $knots[] = [$s['IM'], $impact];
        if ($p->severity('late-arrival') > 0) {
            // Thrown forward after the ball, not at it.
            $knots[] = [$s['IM'] + 0.017, $impact + 0.8];
        }
        $knots[] = [$s['IM'] + ($p->severity('late-arrival') > 0 ? 0.046 : 0.055), $through];
        $knots[] = [$s['IM'] + 0.18, min($finish, $through - 0.9 * $dips)];
        $knots[] = [$s['IM'] + 0.48, min($finish, $through - $dips)];
        $knots[] = [$s['FI'] - 0.14, $finish];
        $knots[] = [$s['FI'] + 0.04, $finish];
        $knots[] = [$s['FI'] + 0.5, $finish - 4.0];

        // Faults that want opposite things at once meet somewhere: of two knots in one place the later named stands.
        $at = [];
        foreach ($knots as [$t, $share]) {
            $at[(int) round(100.0 * $t)] = [$t, $share];
        }
        ksort($at);

        return array_values($at);
    }

    /**
     * @param  array<string, float>  $s
     */
    private static function total(GolferSpec $spec, Chance $own, array $s, float $duration): Sampled
    {
        $p = $spec->plant;
        $down = $s['IM'] - $s['TP'];
        $back = $s['TP'] - $s['AD'];
        // A longer club is swung with a harder push.
        $ordinary = 152.0 + 0.15 * ($spec->clubMm - 1000.0) + max(-10.0, min(10.0, $own->normal(0.0, 5.0)));
        $rise = $p->pick('late-push', $ordinary, 127.0, 111.5, 106.0);
        $riseAt = $p->pick('late-push', $own->normal(0.060, 0.005), 0.02, -0.012, -0.025);
        $dip = $p->pick('late-push', $own->normal(83.0, 2.5), 88.0, 92.0, 95.0);
        $dip += $p->pick('trail-rise', 0.0, 4.0, 8.0, 9.0);
        $riseAt = $p->pick('spin-out', $p->pick('hang-back', $riseAt, 0.052, 0.042, 0.034), 0.050, 0.036, 0.034);
        $riseAt = $p->pick('early-rise', $riseAt, 0.106, 0.136, 0.148);
        $riseT = $s['IM'] - $riseAt;
        $hop = $p->severity('jump-off-trail') > 0 ? $p->pick('jump-off-trail', 99.0, 102.0, 106.0, 108.5) : null;
        $dipT = $s['TP'] + match (true) {
            $p->severity('early-rise') > 0 => 0.020,
            $hop !== null => 0.58 * $down,
            default => 0.36 * $down,
        };
        $up = max(-4.0, min(4.0, $own->normal(0.0, 2.0)));
        $end = max(36.0, min(80.0, $own->normal(58.0, 8.0)));

        return Lift::of(
            $duration,
            [
                [$s['AD'] + 0.26 * $back, 0.26 * $back, 0.26 * $back],
                [$s['AD'] + 0.70 * $back, 0.30 * $back, 0.30 * $back],
                [$dipT, 0.12, min(0.12, $riseT - $dipT + 0.01)],
                [$riseT, min(0.11, $riseT - $dipT + 0.01), 0.10],
                [$s['IM'] + 0.075, 0.08, 0.17],
                [$s['IM'] + 0.42, 0.22, 0.24],
                ...$hop === null ? [] : [[$s['TP'] + 0.045, 0.06, 0.06]],
            ],
            [[$dipT, $dip], [$riseT, $rise], ...$hop === null ? [] : [[$s['TP'] + 0.045, $hop]]],
            [[
                $s['TP'],
                8.0 + $up + $p->pick('lead-leg-leave', 0.0, 8.0, 20.0, 25.0),
                -80.0 + $p->pick('trail-rise', 0.0, 120.0, 240.0, 270.0),
            ], [$s['FI'] + 0.1, $end, 0.0]],
        );
    }

    /**
     * The push of the feet against each other, %BW: the trail foot's to the toes.
     *
     * @param  array<string, float>  $s
     *
     * @throws CoreException
     */
    private static function couple(Plant $p, Chance $own, array $s, float $duration): Sampled
    {
        $couple =
            $p->pick('weak-couple', $own->normal(14.0, 0.8), 6.0, 0.6, 0.0) +
            $p->pick('hang-back', 0.0, 0.5, 1.2, 2.6);

        return Sampled::rounded(
            new Curve([
                [0.0, 0.0],
                [$s['AD'], 0.0],
                [$s['TB'], -3.0],
                [$s['TP'], 2.0],
                [$s['LD'] + 0.005, $couple],
                [0.5 * ($s['LD'] + $s['IM']), 0.5 * $couple],
                [$s['IM'], 0.15 * $couple],
                [$s['ST'] + 0.08, 0.0],
                [$s['FI'], 0.0],
            ]),
            $duration,
            0.012,
        );
    }
}
