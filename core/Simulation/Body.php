<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\CoreException;
use Core\Motion\Curve;
use Core\Motion\Motion;
use Core\Motion\Vec3;
use Core\Trace\Foot;
use Core\Trace\Stance;

/**
 * The synthetic golfer's body: constant limb lengths, arms and legs closed by two-bone inverse
 * kinematics, feet that lift and spin about the ball of the foot. Where its pelvis goes and how its trunk leans is a
 * path that Balance finds. Stance frame, mm.
 *
 * @phpstan-type FootPose array{heading: Vec3, heel: Vec3, ankle: Vec3, ball: Vec3, toe: Vec3}
 */
final class Body
{
    private const TRAIL_FLARE = -9.0;

    /** How much of its length the trail arm is let out to, and how softly its elbow comes to that, mm. */
    private const TRAIL_ARM = 0.975;

    private const LEAD_ARM = 0.992;

    private const ELBOW = 27.0;

    /** How long after the club starts the hands go fully along with the chest, s. */
    private const STARTS = 0.24;

    /** @var array<string, float> segment lengths in mm */
    public readonly array $segments;

    public readonly Stance $stance;

    public readonly Path $path;

    private readonly Sampled $shaftPlane;

    /** Where the hands are when the club starts. */
    private readonly Vec3 $start;

    /**
     * @param  Path|null  $path  as meant by the score where there is none
     *
     * @throws CoreException
     */
    public function __construct(private readonly GolferSpec $spec, private readonly Score $score, ?Path $path = null)
    {
        $h = $spec->heightMm;
        $this->segments = [
            'thigh' => 0.245 * $h,
            'shank' => 0.243 * $h,
            'trunk' => 0.288 * $h,
            'neck' => 0.052 * $h,
            'head' => 0.075 * $h,
            'hip' => 0.052 * $h,
            'shoulder' => 0.108 * $h,
            'upper_arm' => 0.17 * $h,
            'forearm' => 0.158 * $h,
            'foot' => 0.152 * $h,
            'ankle' => 0.042 * $h,
            'club' => $spec->clubMm,
        ];
        $foot = $this->segments['foot'];
        $this->stance = new Stance(
            new Foot($spec->stanceMm / 2, 0.0, $foot, 0.38 * $foot, $score->leadFlare),
            new Foot(-$spec->stanceMm / 2, 0.0, $foot, 0.38 * $foot, self::TRAIL_FLARE),
        );
        $this->path = $path ?? Path::meant($spec, $score, $this->segments);
        $this->shaftPlane = $this->soled();
        $ad = $score->stations['AD'];
        $this->start = $this->reached($ad, $this->trunk($ad));
    }

    /** @throws CoreException */
    public function motion(float $rateHz): Motion
    {
        $points = [];
        $frames = (int) floor($this->score->duration * $rateHz) + 1;
        for ($i = 0; $i < $frames; $i++) {
            foreach ($this->pose($i / $rateHz) as $name => $v) {
                $points[$name][0][] = $v->x;
                $points[$name][1][] = $v->y;
                $points[$name][2][] = $v->z;
            }
        }

        return new Motion($rateHz, $points);
    }

    /**
     * From the feet up to the chest, and the way pelvis and spine point.
     *
     * @return array{lead: FootPose, trail: FootPose, across: Vec3, ahead: Vec3, pelvis: Vec3, spine: Vec3, chest: Vec3}
     */
    private function trunk(float $t): array
    {
        $s = $this->score;
        $l = $this->segments;
        $lead = $this->foot(
            1,
            $this->stance->lead,
            $s->at('lead_heel', $t),
            $s->at('lead_spin', $t),
            $s->at('lead_toe', $t),
        );
        $trail = $this->foot(-1, $this->stance->trail, $s->at('trail_heel', $t), $s->at('trail_spin', $t), 0.0);

        $turn = deg2rad($s->at('pelvis_turn', $t));
        $tilt = deg2rad($s->at('hips', $t));
        $across = new Vec3(cos($turn) * cos($tilt), -sin($turn) * cos($tilt), -sin($tilt));
        $ahead = new Vec3(sin($turn), cos($turn), 0.0);
        $pelvis = $this->path->pelvis($t);
        $lean = deg2rad($s->at('lean', $t) + $this->path->lean->at($t));
        // Shorter clubs are played from a deeper bend.
        $bend = deg2rad($s->at('bend', $t) + $this->path->bend->at($t) + 0.05 * (1000.0 - $l['club']));
        $spine = new Vec3(-sin($lean), sin($bend) * cos($lean), cos($bend) * cos($lean));

        return [
            'lead' => $lead,
            'trail' => $trail,
            'across' => $across,
            'ahead' => $ahead,
            'pelvis' => $pelvis,
            'spine' => $spine,
            'chest' => $pelvis->plus($spine, $l['trunk']),
        ];
    }

    /** @return array{lead: Vec3, trail: Vec3, facing: Vec3} shoulders, and the way the chest faces */
    private function shoulders(float $t, Vec3 $chest, Vec3 $spine): array
    {
        $side = (new Vec3(1.0, 0.0, 0.0))->plus($spine, -$spine->x)->unit();
        $ahead = $spine->cross($side);
        $turn = deg2rad($this->score->at('chest_turn', $t));
        $level = $side->times(cos($turn))->plus($ahead, -sin($turn));
        $tilt = deg2rad($this->score->at('tilt', $t));
        $across = $level->times(cos($tilt))->plus($spine, sin($tilt));

        return [
            'lead' => $chest->plus($across, $this->segments['shoulder']),
            'trail' => $chest->plus($across, -$this->segments['shoulder']),
            'facing' => $ahead->times(cos($turn))->plus($side, sin($turn)),
        ];
    }

    /** @return array<string, Vec3> */
    public function pose(float $t): array
    {
        $s = $this->score;
        $l = $this->segments;
        [
            'lead' => $lead,
            'trail' => $trail,
            'across' => $across,
            'ahead' => $ahead,
            'pelvis' => $pelvis,
            'spine' => $spine,
            'chest' => $chest,
        ] = $this->trunk($t);
        $leadHip = $pelvis->plus($across, $l['hip']);
        $trailHip = $pelvis->plus($across, -$l['hip']);
        $shaft = $this->shaft($t);
        $shoulders = $this->shoulders($t, $chest, $spine);
        ['lead' => $leadShoulder, 'trail' => $trailShoulder, 'facing' => $facing] = $shoulders;
        $hands = $this->hands($t, ['chest' => $chest, 'spine' => $spine]);
        $trailHand = $hands->plus($shaft, 75.0);

        $neck = $chest->plus($spine, $l['neck']);
        $up = $spine->times(0.55)->plus(new Vec3(0.0, 0.12, 0.45))->unit();
        $head = $neck->plus($up, $l['head']);
        $gaze = deg2rad($s->at('gaze', $t));
        $drop = 0.75 * cos($gaze);
        $nose = $head->plus((new Vec3(sin($gaze), cos($gaze) * 0.75, -$drop))->unit(), $l['head'] * 0.8);

        return [
            'pelvis' => $pelvis,
            'chest' => $chest,
            'neck' => $neck,
            'head' => $head,
            'nose' => $nose,
            'lead_hip' => $leadHip,
            'trail_hip' => $trailHip,
            'lead_knee' => self::bendTowards(
                $leadHip,
                $lead['ankle'],
                $l['thigh'],
                $l['shank'],
                $lead['heading']->plus($ahead, 0.7)->plus(new Vec3($s->at('knees_out', $t), 0.0, 0.0)),
            ),
            'trail_knee' => self::bendTowards(
                $trailHip,
                $trail['ankle'],
                $l['thigh'],
                $l['shank'],
                $trail['heading']->plus($ahead, 0.7)->plus(new Vec3(-$s->at('knees_out', $t), 0.0, 0.0)),
            ),
            'lead_ankle' => $lead['ankle'],
            'lead_heel' => $lead['heel'],
            'lead_ball' => $lead['ball'],
            'lead_toe' => $lead['toe'],
            'trail_ankle' => $trail['ankle'],
            'trail_heel' => $trail['heel'],
            'trail_ball' => $trail['ball'],
            'trail_toe' => $trail['toe'],
            'lead_shoulder' => $leadShoulder,
            'trail_shoulder' => $trailShoulder,
            'lead_elbow' => self::bendTowards(
                $leadShoulder,
                $hands,
                $l['upper_arm'],
                $l['forearm'],
                (new Vec3(0.5, -0.2, -1.0))->plus($facing, -0.3),
            ),
            'trail_elbow' => self::bendTowards(
                $trailShoulder,
                $trailHand,
                $l['upper_arm'],
                $l['forearm'],
                (new Vec3(-0.25, -0.1, -1.0))->plus($facing, -0.2),
            ),
            'lead_hand' => $hands,
            'trail_hand' => $trailHand,
            'grip' => $hands->plus($shaft, -50.0),
            'club_head' => $hands->plus($shaft, $l['club'] - 50.0),
        ];
    }

    /**
     * The slope of the shaft's plane through the swing, such that the club head meets the ground at AD and IM.
     *
     * @throws CoreException
     */
    private function soled(): Sampled
    {
        $more = [];
        foreach (['AD', 'IM'] as $code) {
            $t = $this->score->stations[$code];
            $meant = $this->score->at('shaft_plane', $t);
            $trunk = $this->trunk($t);
            $slope = $meant;
            for ($i = 0; $i < 6; $i++) {
                $shaft = self::inPlane(deg2rad($this->score->at('shaft', $t)), deg2rad($slope));
                $at = $this->shoulders($t, $trunk['chest'], $trunk['spine']);
                $hands = $this->arms($t, $at, $shaft);
                $hangs = ($this->segments['club'] - 50.0) * cos(deg2rad($this->score->at('shaft', $t)));
                $drop = ($hands->z - 14.0) / $hangs;
                $slope = rad2deg(asin(max(0.5, min(0.985, $drop))));
            }
            $more[$code] = $slope - $meant;
        }
        $s = $this->score->stations;
        $off = Sampled::rounded(
            new Curve([
                [$s['AD'], $more['AD']],
                [$s['TB'], 0.5 * $more['AD']],
                [$s['TP'], 0.0],
                [$s['LD'], 0.35 * $more['IM']],
                [$s['IM'], $more['IM']],
                [$s['IM'] + 0.02, $more['IM']],
                [$s['FI'], 0.0],
            ]),
            $this->score->duration,
            0.006,
        );

        return new Sampled(
            array_map(
                static fn (float $meant, float $more): float => $meant + $more,
                $this->score->curves['shaft_plane']->values,
                $off->values,
            ),
        );
    }

    /**
     * Where the hands are: on their arc, but as long as the club has not started where they are when it does. The body
     * stirs before the club, and the arms make up for it.
     *
     * @param  array{chest: Vec3, spine: Vec3, ...}  $trunk
     */
    private function hands(float $t, array $trunk): Vec3
    {
        $hands = $this->reached($t, $trunk);
        $start = $this->score->stations['AD'];
        if ($t >= $start + self::STARTS) {
            return $hands;
        }
        $stays = $t <= $start ? 1.0 : 0.5 * (1.0 + cos((M_PI * ($t - $start)) / self::STARTS));

        $hands = $hands->plus($this->reached($start, $trunk)->minus($this->start), -$stays);
        // As far as the lead arm is long.
        $shoulder = $this->shoulders($t, $trunk['chest'], $trunk['spine'])['lead'];
        $reach = $hands->minus($shoulder);
        $over = ($reach->length() - self::LEAD_ARM * ($this->segments['upper_arm'] + $this->segments['forearm'])) / 2.0;

        return $hands->plus($reach->unit(), -2.0 * $stays * ($over > 30.0 ? $over : log1p(exp($over))));
    }

    /**
     * Hands on the arc of the lead arm, as turned at a time, drawn round it gently until the trail arm reaches too.
     *
     * @param  array{chest: Vec3, spine: Vec3, ...}  $trunk
     */
    private function reached(float $turned, array $trunk): Vec3
    {
        return $this->arms($turned, $this->shoulders($turned, $trunk['chest'], $trunk['spine']), $this->shaft($turned));
    }

    /** @param  array{lead: Vec3, trail: Vec3, ...}  $shoulders */
    private function arms(float $t, array $shoulders, Vec3 $shaft): Vec3
    {
        $full = $this->segments['upper_arm'] + $this->segments['forearm'];
        $arm = self::inPlane(deg2rad($this->score->at('arm', $t)), deg2rad($this->score->at('arm_plane', $t)));
        $length = $full * $this->score->at('reach', $t);
        $hands = $shoulders['lead']->plus($arm, $length);
        for ($i = 0; $i < 5; $i++) {
            $reach = $hands->plus($shaft, 75.0)->minus($shoulders['trail']);
            $over = ($reach->length() - self::TRAIL_ARM * $full) / self::ELBOW;
            if ($over < -9.0) {
                break;
            }
            $off = self::ELBOW * ($over > 30.0 ? $over : log1p(exp($over)));
            $drawn = $hands->plus($reach->unit(), -$off)->minus($shoulders['lead']);
            $hands = $shoulders['lead']->plus($drawn->unit(), $length);
        }

        return $hands;
    }

    private function shaft(float $t): Vec3
    {
        return self::inPlane(deg2rad($this->score->at('shaft', $t)), deg2rad($this->shaftPlane->at($t)));
    }

    /** How far the further stretched leg is along its whole length, 0 to 1 (more would tear it). */
    public function stretch(float $t): float
    {
        $pose = $this->trunk($t);
        $whole = $this->segments['thigh'] + $this->segments['shank'];
        $most = 0.0;
        foreach (['lead' => 1.0, 'trail' => -1.0] as $side => $sign) {
            $hip = $pose['pelvis']->plus($pose['across'], $sign * $this->segments['hip']);
            $most = max($most, $hip->minus($pose[$side]['ankle'])->length() / $whole);
        }

        return $most;
    }

    /** @return FootPose */
    private function foot(int $side, Foot $foot, float $heelUp, float $spinDeg, float $toeUp): array
    {
        $length = $foot->lengthMm;
        $before = deg2rad($foot->heading());
        $start = new Vec3(sin($before), cos($before), 0.0);
        $middle = new Vec3($foot->xMm, $foot->yMm, 0.0);
        $now = deg2rad($foot->heading() + $spinDeg);
        $heading = new Vec3(sin($now), cos($now), 0.0);
        $pivot = $middle->plus($start, 0.22 * $length);
        $rear = 0.72 * $length;
        $lift = asin(min(0.97, $heelUp / $rear));
        $toeLift = asin(min(0.9, $toeUp / (0.28 * $length)));
        $back = $heading->times(-cos($lift))->plus(new Vec3(0.0, 0.0, sin($lift)));
        $upright = $heading->times(sin($lift))->plus(new Vec3(0.0, 0.0, cos($lift)));

        return [
            'heading' => $heading,
            'heel' => $pivot->plus($back, $rear),
            'ankle' => $pivot->plus($back, $rear - 0.24 * $length)->plus($upright, $this->segments['ankle']),
            'ball' => $pivot,
            'toe' => $pivot
                ->plus($heading, 0.28 * $length * cos($toeLift))
                ->plus(new Vec3(0.0, 0.0, 1.0), 0.28 * $length * sin($toeLift)),
        ];
    }

    /** Unit vector at an angle in a plane that contains the target line and slopes down toward the ball. */
    private static function inPlane(float $angle, float $slope): Vec3
    {
        return new Vec3(sin($angle), cos($angle) * cos($slope), -cos($angle) * sin($slope));
    }

    /** The middle joint of two bones between a and c, bent toward a direction (law of cosines). */
    public static function bendTowards(Vec3 $a, Vec3 $c, float $first, float $second, Vec3 $towards): Vec3
    {
        $line = $c->minus($a);
        $d = min($line->length(), $first + $second);
        $axis = $line->unit();
        $along = ($first * $first - $second * $second + $d * $d) / (2 * $d);
        $off = sqrt(max(0.0, $first * $first - $along * $along));
        $side = $towards->plus($axis, -$towards->dot($axis))->unit();

        return $a->plus($axis, $along)->plus($side, $off);
    }
}
