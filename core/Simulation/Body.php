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
 * kinematics, feet that lift and spin about the ball of the foot. Stance frame, mm.
 *
 * @phpstan-type FootPose array{heading: Vec3, heel: Vec3, ankle: Vec3, ball: Vec3, toe: Vec3}
 */
final class Body
{
    private const TRAIL_FLARE = -9.0;

    /** @var array<string, float> segment lengths in mm */
    public readonly array $segments;

    public readonly Stance $stance;

    private Curve $shaftPlane;

    /** @throws CoreException */
    public function __construct(private readonly GolferSpec $spec, private readonly Score $score)
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
        $this->shaftPlane = $this->soled();
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

    /** The body's centre of mass: the pelvis weighs 0.55, the chest 0.45. */
    public function centre(float $t): Vec3
    {
        $trunk = $this->trunk($t);

        return $trunk['pelvis']->times(0.55)->plus($trunk['chest'], 0.45);
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
        $across = new Vec3(cos($turn), -sin($turn), 0.0);
        $ahead = new Vec3(sin($turn), cos($turn), 0.0);
        $pelvis = new Vec3(
            $s->at('pelvis_x', $t) / 100.0 * $this->spec->stanceMm,
            $s->at('pelvis_y', $t),
            $l['thigh'] + $l['shank'] + $l['ankle'] - $s->at('squat', $t),
        );
        $pelvis = $this->withinReach($pelvis, $across, $lead['ankle'], $trail['ankle']);
        $lean = deg2rad($s->at('lean', $t));
        // Shorter clubs are played from a deeper bend.
        $bend = deg2rad($s->at('bend', $t) + 0.05 * (1000.0 - $l['club']));
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
        $side = (new Vec3(1.0, 0.0, 0.0))->plus($spine, -$spine->x)->unit();
        $down = new Vec3(
            $spine->y * $side->z - $spine->z * $side->y,
            $spine->z * $side->x - $spine->x * $side->z,
            $spine->x * $side->y - $spine->y * $side->x,
        );
        $down = $down->z > 0.0 || $down->y < 0.0 ? $down->times(-1.0) : $down;
        $chestTurn = deg2rad($s->at('chest_turn', $t));
        $shoulders = $side->times(cos($chestTurn))->plus($down, -sin($chestTurn));
        $facing = $down->times(cos($chestTurn))->plus($side, sin($chestTurn));
        $leadShoulder = $chest->plus($shoulders, $l['shoulder']);
        $trailShoulder = $chest->plus($shoulders, -$l['shoulder']);

        $shaft = self::inPlane(deg2rad($s->at('shaft', $t)), deg2rad($this->shaftPlane->at($t)));
        $hands = $this->hands($t, $leadShoulder, $trailShoulder, $shaft);
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
    private function soled(): Curve
    {
        $slopes = [];
        foreach ($this->score->stations as $code => $t) {
            $slope = $this->score->at('shaft_plane', $t);
            if ($code === 'AD' || $code === 'IM') {
                for ($i = 0; $i < 6; $i++) {
                    $this->shaftPlane = new Curve([[0.0, $slope], [1.0, $slope]]);
                    $hands = $this->pose($t)['lead_hand'];
                    $drop =
                        ($hands->z - 14.0) /
                        (($this->segments['club'] - 50.0) * cos(deg2rad($this->score->at('shaft', $t))));
                    $slope = rad2deg(asin(max(0.5, min(0.985, $drop))));
                }
            }
            $slopes[] = [$t, $slope];
        }

        return new Curve($slopes);
    }

    /**
     * Hands on the arc of the lead arm, drawn in until both arms reach them.
     */
    private function hands(float $t, Vec3 $leadShoulder, Vec3 $trailShoulder, Vec3 $shaft): Vec3
    {
        $full = $this->segments['upper_arm'] + $this->segments['forearm'];
        $arm = self::inPlane(deg2rad($this->score->at('arm', $t)), deg2rad($this->score->at('arm_plane', $t)));
        $hands = $leadShoulder->plus($arm, $full * $this->score->at('reach', $t));
        $most = 0.992 * $full;
        for ($i = 0, $drawn = true; $drawn && $i < 40; $i++) {
            $drawn = false;
            foreach ([[$leadShoulder, 0.0], [$trailShoulder, 75.0]] as [$shoulder, $alongShaft]) {
                $reach = $hands->plus($shaft, $alongShaft)->minus($shoulder);
                if ($reach->length() > $most) {
                    $hands = $shoulder->plus($reach->unit(), $most)->plus($shaft, -$alongShaft);
                    $drawn = true;
                }
            }
        }

        return $hands;
    }

    /** Lowers the pelvis until neither leg is overstretched. */
    private function withinReach(Vec3 $pelvis, Vec3 $across, Vec3 $leadAnkle, Vec3 $trailAnkle): Vec3
    {
        $most = 0.996 * ($this->segments['thigh'] + $this->segments['shank']);
        foreach ([[$leadAnkle, 1.0], [$trailAnkle, -1.0]] as [$ankle, $sign]) {
            $hip = $pelvis->plus($across, $sign * $this->segments['hip']);
            $flat = hypot($hip->x - $ankle->x, $hip->y - $ankle->y);
            $highest = $ankle->z + sqrt(max(0.0, $most * $most - $flat * $flat));
            if ($hip->z > $highest) {
                $pelvis = new Vec3($pelvis->x, $pelvis->y, $highest);
            }
        }

        return $pelvis;
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
    private static function bendTowards(Vec3 $a, Vec3 $c, float $first, float $second, Vec3 $towards): Vec3
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
