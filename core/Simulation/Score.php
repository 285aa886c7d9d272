<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Chance\Chance;
use Core\CoreException;
use Core\Motion\Curve;
use Core\Motion\Station;

/**
 * What one golfer does in one swing, as curves over time: when the stations fall, where pelvis and chest
 * go, how the lead share runs. Body and ground are both built from it, so they tell the same story.
 *
 * Faults bend the curves to the far side of the codebook's bands; the golfer's own variation is drawn
 * once, in a fixed order, so that planting a fault changes nothing else.
 */
final readonly class Score
{
    /** @var array<string, float> seconds by station code */
    public array $stations;

    /** @var array<string, Curve> */
    public array $curves;

    public float $duration;

    /** How far the lead foot points toward the target, degrees. */
    public float $leadFlare;

    /** @throws CoreException */
    public function __construct(GolferSpec $spec)
    {
        $c = new Chance('score|'.$spec->seed);
        $p = $spec->plant;

        $back = $c->normal(0.86, 0.05);
        $down = $c->normal(0.255, 0.015);
        $ad = 0.8;
        $tp = $ad + $back;
        $im = $tp + $down;
        $s = $this->stations = [
            'AD' => $ad,
            'TB' => $ad + 0.40 * $back,
            'LB' => $ad + 0.60 * $back,
            'TP' => $tp,
            'LD' => $tp + 0.57 * $down,
            'SD' => $tp + 0.79 * $down,
            'IM' => $im,
            'ST' => $im + 0.075,
            'FI' => $im + 0.72 + $c->normal(0.0, 0.02),
        ];
        $this->duration = $s['FI'] + 0.6;

        $this->curves = [
            ...$this->pressure($p, $c, $s),
            ...$this->body($p, $c, $s),
            ...$this->feet($p, $c, $s),
        ];
        $this->leadFlare = $p->pick('locked-feet', $c->normal(21.5, 1.2), 11.5, 5.0, 1.5);
    }

    public function at(string $curve, float $t): float
    {
        return $this->curves[$curve]->at($t);
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, Curve>
     *
     * @throws CoreException
     */
    private function pressure(Plant $p, Chance $c, array $s): array
    {
        $back = $s['TP'] - $s['AD'];
        $setup = $p->pick('setup-bias', $c->normal(52.0, 1.2), 62.0, 70.0, 74.0);
        $peakLead = 100.0 - $p->pick('no-load', $c->normal(73.0, 2.0), 57.0, 50.5, 46.0);
        $peakAt = $p->pick('late-load', $c->normal(0.58, 0.02), 0.76, 0.91, 0.95);
        $peakT = $s['AD'] + $peakAt * $back;
        $early = $p->severity('early-lunge') > 0;
        $wander = $c->normal(0.0, 0.012);
        $crossing =
            $s['TP'] +
            match (true) {
                $p->severity('late-recentre') > 0 => [0.0, 0.058, 0.096, 0.125][$p->severity('late-recentre')] +
                    0.3 * $wander,
                $p->severity('late-load') > 0 => 0.012 + 0.3 * $wander,
                $early => -0.16 + $wander,
                $p->severity('jump-off-trail') > 0 => -0.068 + 0.3 * $wander,
                $p->severity('ahead-of-pressure') > 0 => 0.046 + 0.3 * $wander,
                default => -0.032 + $wander,
            };
        $top = $p->pick('early-lunge', 0.0, 66.0, 74.5, 80.0);
        $level = $p->pick('spin-out', $c->normal(71.0, 1.6), 60.0, 52.0, 50.8);
        $impact = $c->normal(85.5, 1.5);
        $through = $impact + $c->normal(3.0, 0.6);
        $impact = $p->pick('hang-back', $impact, 72.0, 62.0, 53.0);
        $impact = min($impact, $p->pick('late-arrival', 100.0, 77.5, 71.5, 69.8));
        $level = max(min($level, $impact - 5.0), 50.8);
        if ($p->severity('hang-back') > 0) {
            $through = $impact + 2.5;
        }
        if ($p->severity('late-arrival') > 0) {
            $through = max($through, $impact + [0.0, 11.0, 19.5, 24.0][$p->severity('late-arrival')]);
        }
        $finish = $p->pick('fall-off', $p->severity('hang-back') > 0 ? 82.0 : $c->normal(92.0, 1.0), 80.0, 64.0, 52.0);
        if ($p->severity('late-recentre') > 0) {
            $level = min($level, [0.0, 66.0, 60.0, 57.0][$p->severity('late-recentre')]);
        }

        $level = $p->pick('ahead-of-pressure', $level, 60.0, 54.5, 53.5);
        // Who stands up early does so on the lead leg.
        $level = $p->pick('early-rise', $level, 74.0, 79.0, 82.5);
        $knots = [
            [0.0, $setup], [$s['AD'], $setup],
            [min($s['TB'], $peakT - 0.08), $setup - 0.55 * max(0.0, $setup - $peakLead)],
            [$peakT, $peakLead],
        ];
        if ($peakLead < 49.0 && $crossing > $peakT + 0.02) {
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
            $knots[] = [$s['TP'] + 0.05, $p->pick('jump-off-trail', 0.0, 49.0, 42.5, 39.5)];
        }
        if ($p->severity('chest-first') > 0) {
            $knots[] = [max($s['TP'], end($knots)[0] + 0.012), 51.6];
            $knots[] = [$s['TP'] + $p->pick('chest-first', 0.0, 0.036, 0.060, 0.078), 52.6];
        }
        if (end($knots)[0] < $s['LD'] - 0.012) {
            $knots[] = [$s['LD'], $level];
        }
        $knots[] = [$s['IM'], $impact];
        if ($p->severity('late-arrival') > 0) {
            // Thrown forward after the ball, not at it.
            $knots[] = [$s['IM'] + 0.024, $impact + 1.0];
        }
        $knots[] = [$s['IM'] + ($p->severity('late-arrival') > 0 ? 0.064 : 0.055), $through];
        $knots[] = [$s['FI'], $finish];
        $knots[] = [$s['FI'] + 0.5, $finish - 4.0];

        $rise = $p->pick('late-push', $c->normal(150.0, 4.0), 127.0, 111.5, 106.0);
        $riseAt = $p->pick('late-push', $c->normal(0.062, 0.005), 0.02, -0.012, -0.025);
        $dip = $p->pick('late-push', $c->normal(84.0, 2.5), 88.0, 92.0, 95.0);
        $riseAt = $p->pick('spin-out', $p->pick('hang-back', $riseAt, 0.052, 0.042, 0.034), 0.050, 0.036, 0.034);
        $riseAt = $p->pick('early-rise', $riseAt, 0.106, 0.136, 0.148);
        $hop = $p->pick('jump-off-trail', 0.0, 102.0, 106.0, 108.5);
        $dipT = $s['TP'] + match (true) {
            $p->severity('early-rise') > 0 => 0.028,
            $hop > 0.0 => 0.58 * ($s['IM'] - $s['TP']),
            default => 0.42 * ($s['IM'] - $s['TP']),
        };
        $twist = $c->normal(0.95, 0.08) * ($p->severity('spin-out') > 0 ? 1.25 : 1.0);
        $couple =
            $p->pick('weak-couple', $c->normal(12.5, 0.9), 8.0, 4.2, 3.0) +
            [0.0, 0.5, 1.2, 2.6][$p->severity('hang-back')];

        return [
            'share' => new Curve($knots),
            'total' => new Curve([
                [0.0, 100.0],
                [$s['AD'], 100.0],
                [$s['LB'], 104.0],
                [$s['TP'] - 0.05, 101.0],
                ...$hop > 0.0 ? [[$s['TP'] + 0.05, $hop]] : [],
                [$dipT, $dip],
                [$s['IM'] - $riseAt, $rise],
                [$s['IM'] + 0.1, 74.0],
                [$s['IM'] + 0.26, 104.0],
                [$s['FI'] - 0.1, 100.0],
                [$s['FI'] + 0.5, 100.0],
            ]),
            // Free moment under both feet together, N·m per kg, opening positive.
            'twist' => new Curve([
                [0.0, 0.0],
                [$s['AD'], 0.0],
                [$s['TB'], -0.25],
                [$s['LB'], -0.1],
                [$s['TP'] + 0.08, $twist],
                [$s['IM'], 0.35],
                [$s['ST'] + 0.08, -0.5],
                [$s['FI'], 0.0],
            ]),
            // Opposed forward and backward push of the feet, %BW.
            'couple' => new Curve([
                [0.0, 0.0],
                [$s['AD'], 0.0],
                [$s['TB'], -3.0],
                [$s['TP'], 2.0],
                [$s['LD'] + 0.02, $couple],
                [$s['IM'], 0.5 * $couple],
                [$s['ST'] + 0.05, 0.0],
                [$s['FI'], 0.0],
            ]),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, Curve>
     *
     * @throws CoreException
     */
    private function body(Plant $p, Chance $c, array $s): array
    {
        $own = $c->normal(0.0, 1.0);
        $swayLB = $p->pick('sway', -5.5 + $own, -15.0, -22.0, -27.0) + ($p->severity('no-load') > 0 ? 6.0 : 0.0);
        $swayTP = $p->severity('sway') > 0 ? $swayLB - 1.0 : ($p->severity('late-load') > 0 ? -9.0 : -2.5 + $own);
        $hang = [0.0, 4.0, 8.0, 12.0][$p->severity('hang-back')] + [0.0, 2.0, 4.0, 6.0][$p->severity('late-recentre')];
        $lunge = [0.0, 6.0, 11.0, 15.0][$p->severity('early-lunge')];
        $late = [0.0, 4.0, 7.0, 9.0][$p->severity('late-arrival')];
        $fall = [0.0, 9.0, 20.0, 28.0][$p->severity('fall-off')];
        $spin = (float) $p->severity('spin-out');
        $coil = $p->severity('sway') > 0 ? 8.0 * $p->severity('sway') : 0.0;
        $up = [0.0, 8.0, 16.0, 22.0][$p->severity('late-push')];
        $ahead = [0.0, 11.0, 24.0, 30.0][$p->severity('ahead-of-pressure')];
        $apart = [0.0, 0.45, 1.0, 1.5][$p->severity('knee-part')];
        $slide = [0.0, 8.0, 18.0, 23.0][$p->severity('slide')];
        $shut = [0.0, 10.0, 23.0, 29.0][$p->severity('slide')];
        $rise = [0.0, 58.0, 98.0, 122.0][$p->severity('early-rise')];

        return [
            // Pelvis centre toward the target, % of stance width.
            'pelvis_x' => self::through($s, [
                0.0,
                -2.5 + 0.3 * ($swayLB + 5.5),
                $swayLB,
                $swayTP + 0.5 * $lunge + 0.5 * $ahead,
                9.0 - $hang - $spin + $lunge + $ahead + 0.3 * $slide,
                13.0 - $hang - $spin + $lunge + $ahead + 0.6 * $slide,
                16.0 - $hang - 0.5 * $late + 0.6 * $lunge + 0.7 * $ahead + $slide,
                18.0 - $hang + 0.4 * $ahead + $slide,
                29.0 - 0.5 * $hang - $fall + 0.2 * $slide,
            ]),
            // Chest centre relative to the pelvis: lean of the trunk toward the trail side, degrees.
            'lean' => self::through($s, [
                4.0,
                3.0,
                0.5 - [0.0, 2.0, 4.0, 6.0][$p->severity('no-load')],
                -1.5 - 0.4 * $lunge + ($p->severity('no-load') > 0 ? -3.0 : 0.0),
                5.0 - 0.55 * $lunge + 0.25 * $hang - 0.18 * $ahead + 0.12 * $slide,
                10.0 - 0.6 * $lunge + 0.3 * $hang,
                15.0 - 0.5 * $lunge + 0.8 * $hang + 0.2 * $late,
                17.0 + 0.7 * $hang - 0.4 * $late,
                7.0 + 0.7 * $fall + 0.3 * $hang,
            ]),
            // Trunk inclination toward the ball, degrees from upright.
            'bend' => self::through($s, [
                36.0,
                36.0,
                35.0,
                34.5,
                35.0,
                35.0 - 0.05 * $rise,
                34.0 - 0.08 * $rise,
                31.0 - 0.05 * $rise,
                4.0,
            ]),
            'pelvis_y' => self::through($s, [
                -105.0,
                -106.0,
                -108.0,
                -109.0 + 0.04 * $rise,
                -111.0 + 0.42 * $rise,
                -112.5 + 0.68 * $rise,
                -115.0 + $rise,
                -114.0 + 1.3 * $rise,
                -40.0 + 0.4 * $rise,
            ]),
            // Height of the hips below a straight leg, mm.
            'squat' => self::through($s, [
                52.0,
                54.0,
                56.0,
                52.0,
                66.0 + 0.3 * $up,
                60.0 + 0.7 * $up,
                34.0 + $up,
                20.0 + $up,
                14.0,
            ]),
            'pelvis_turn' => self::through($s, [
                0.0,
                -14.0,
                -30.0 + 0.6 * $coil,
                -44.0 + $coil,
                -14.0 + 4.0 * $spin,
                10.0 + 5.0 * $spin - 0.5 * $shut,
                37.0 + 4.0 * $spin - $shut,
                55.0 - $shut,
                92.0 - 0.5 * $fall,
            ]),
            'chest_turn' => self::through(
                $s,
                [
                    -2.0,
                    -34.0,
                    -66.0 + 0.6 * $coil,
                    -92.0 + $coil,
                    -54.0 + 3.0 * $spin,
                    -24.0 + 3.0 * $spin,
                    20.0 - 0.4 * $hang,
                    50.0,
                    106.0 - 0.5 * $fall,
                ],
                match (true) {
                    // Who unwinds first is turned back fully a little before the shaft reverses; who jumps, a little
                    // after.
                    $p->severity('chest-first') > 0 => [[$s['TP'] - 0.035, -92.0 + $coil], [$s['TP'], -91.0 + $coil]],
                    $p->severity('jump-off-trail') > 0 => [[$s['TP'] + 0.062, -91.5 + $coil]],
                    default => [],
                },
            ),
            // Lead arm and shaft about their planes, degrees; 0 hangs down, ±90 is level.
            'arm' => self::through($s, [-13.0, -48.0, -90.0, -121.0, -90.0, -47.0, -9.0, 46.0, 166.0]),
            'arm_plane' => self::through($s, [75.0, 66.0, 56.0, 53.0, 57.0, 63.0, 70.0, 62.0, 66.0]),
            'reach' => self::through($s, [0.985, 0.985, 0.98, 0.965, 0.985, 0.985, 0.99, 0.98, 0.56]),
            'shaft' => self::through($s, [-3.0, -90.0, -168.0, -258.0, -214.0, -90.0, -4.0, 90.0, 292.0]),
            'shaft_plane' => self::through($s, [57.0, 56.0, 58.0, 60.0, 57.0, 54.0, 58.5, 56.0, 48.0]),
            // How far the knees are pushed apart, as a sideways part of the direction they bend in.
            'knees_out' => self::through($s, [
                0.0,
                0.0,
                0.0,
                0.0,
                -0.12 + 0.6 * $apart,
                -0.28 + 1.2 * $apart,
                -0.2 + 0.7 * $apart,
                0.0,
                0.0,
            ]),
            'gaze' => self::through($s, [0.0, -4.0, -8.0, -12.0, -8.0, -5.0, 0.0, 10.0, 86.0]),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @return array<string, Curve>
     *
     * @throws CoreException
     */
    private function feet(Plant $p, Chance $c, array $s): array
    {
        $own = $c->normal(6.0, 1.2);
        $spin = $p->pick('spin-out', $own, 19.0, 33.0, 42.0);
        $heel = $p->severity('hang-back') > 0 ? 12.0 : 42.0;
        $fall = $p->severity('fall-off') > 0;
        $pop = [0.0, 8.0, 23.0, 32.0][$p->severity('heel-pop')];
        $edge = $c->normal(5.0, 2.0);
        $roll = [0.0, 19.0, 36.0, 42.0][$p->severity('outer-edge')];
        $toes = [0.0, 13.0, 25.0, 31.0][$p->severity('toe-dive')] - [0.0, 10.0, 20.0, 26.0][$p->severity('heel-fall')];

        return [
            // Heel heights in mm; heading change in degrees, toes toward the target positive.
            'trail_heel' => self::through($s, [
                0.0,
                0.0,
                0.0,
                0.0,
                2.0 + $pop,
                9.0 + 1.2 * $pop,
                $heel + 0.6 * $pop,
                $heel + 40.0 + 0.4 * $pop,
                $fall ? 70.0 : 158.0,
            ]),
            'trail_spin' => self::through($s, [
                0.0,
                0.0,
                0.0,
                0.0,
                0.25 * $spin,
                0.6 * $spin,
                $spin,
                $spin + 8.0,
                $fall ? $spin + 14.0 : 52.0,
            ]),
            'lead_heel' => self::through($s, [0.0, 2.0, 10.0, 14.0, 0.0, 0.0, 0.0, 0.0, 0.0]),
            'lead_spin' => self::through($s, [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 2.0, 10.0]),
            'lead_toe' => self::through($s, [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, $fall ? 30.0 : 0.0]),
            // COP along each foot, % of foot length from the middle, toes positive.
            'trail_cop' => self::through($s, [
                2.0,
                0.0,
                -6.0,
                -6.0,
                4.0,
                12.0 + 0.2 * $toes,
                22.0 + 0.4 * $toes,
                26.0 + 0.3 * $toes,
                34.0,
            ]),
            // Across the trail foot, % of its width, outer edge positive.
            'trail_edge' => self::through($s, [
                0.0,
                3.0 + 0.5 * $roll,
                $edge + $roll,
                $edge - 1.0 + $roll,
                -3.0 + 0.5 * $roll,
                -7.0 + 0.3 * $roll,
                -10.0,
                -8.0,
                0.0,
            ]),
            'lead_cop' => self::through($s, [
                2.0,
                4.0,
                8.0,
                6.0,
                4.0 + 0.3 * $toes,
                0.0 + 0.7 * $toes,
                -8.0 + $toes,
                -12.0 + 0.8 * $toes,
                -14.0 + 0.3 * $toes,
            ]),
        ];
    }

    /**
     * @param  array<string, float>  $s
     * @param  list<float>  $values  one per station
     * @param  list<array{float, float}>  $more  knots between stations; one at a station's time replaces it
     *
     * @throws CoreException
     */
    private static function through(array $s, array $values, array $more = []): Curve
    {
        $at = [];
        foreach (Station::cases() as $i => $station) {
            $at[sprintf('%.6f', $s[$station->value])] = [$s[$station->value], $values[$i]];
        }
        foreach ($more as [$t, $value]) {
            $at[sprintf('%.6f', $t)] = [$t, $value];
        }
        $knots = array_values($at);
        usort($knots, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new Curve($knots);
    }
}
