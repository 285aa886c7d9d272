<?php

declare(strict_types=1);

namespace Core\Simulation;

use Core\Motion\Vec3;

/**
 * The synthetic golfer at one moment, to be put in other places: a foot, the body, the arms; limbs keep their lengths.
 */
final readonly class Pose
{
    /** @param  array<string, Vec3>  $points  as a Motion names them, mm in the stance's frame */
    public function __construct(public array $points)
    {
    }

    /** A foot set elsewhere, mm; the knee goes with it. */
    public function foot(string $side, float $dx, float $dy = 0.0, float $dz = 0.0): self
    {
        $by = new Vec3($dx, $dy, $dz);
        $points = $this->points;
        foreach (['heel', 'ball', 'toe', 'ankle'] as $name) {
            $points["{$side}_$name"] = $points["{$side}_$name"]->plus($by);
        }

        return (new self($points))->kneed($side, $this);
    }

    /** A heel lifted from the ground, the toes staying, mm. */
    public function heel(string $side, float $up, float $aside = 0.0): self
    {
        $points = $this->points;
        $points["{$side}_heel"] = $points["{$side}_heel"]->plus(new Vec3($aside, 0.3 * $up, $up));
        $points["{$side}_ankle"] = $points["{$side}_ankle"]->plus(new Vec3(0.6 * $aside, 0.35 * $up, 0.75 * $up));

        return (new self($points))->kneed($side, $this);
    }

    /** The body over other ground, the feet staying, mm. */
    public function body(float $dx, float $dy = 0.0, float $dz = 0.0): self
    {
        $points = $this->points;
        foreach ($points as $name => $p) {
            if (preg_match('/_(heel|ball|toe|ankle|knee)$/', $name) !== 1) {
                $points[$name] = $p->plus(new Vec3($dx, $dy, $dz));
            }
        }

        return (new self($points))->kneed('lead', $this)->kneed('trail', $this);
    }

    /** What is above the hips tipped along the target line, mm at the chest. */
    public function chest(float $dx): self
    {
        $points = $this->points;
        foreach ($points as $name => $p) {
            if (preg_match('/^(chest|neck|head|nose|.*_(shoulder|elbow|hand)|grip|club_head)$/', $name) === 1) {
                $points[$name] = $p->plus(new Vec3($dx, 0.0, 0.0));
            }
        }

        return new self($points);
    }

    /** The arms folded over the chest, no club. */
    public function folded(): self
    {
        $p = $this->points;
        unset($p['grip'], $p['club_head']);
        $ahead = $this->facing();
        foreach (['lead' => 'trail', 'trail' => 'lead'] as $side => $other) {
            $p["{$side}_hand"] = $p["{$other}_shoulder"]->plus($ahead, 95.0)->plus(new Vec3(0.0, 0.0, -45.0));
            $middle = $p["{$side}_shoulder"]->plus($p["{$side}_hand"]->minus($p["{$side}_shoulder"]), 0.38);
            $p["{$side}_elbow"] = $middle->plus($ahead, 95.0)->plus(new Vec3(0.0, 0.0, -170.0));
        }

        return new self($p);
    }

    /** The same, the club held over the shoulders. */
    public function clubAcross(): self
    {
        $p = $this->folded()->points;
        $ahead = $this->facing();
        $way = $p['lead_shoulder']->minus($p['trail_shoulder'])->unit();
        $middle = $p['lead_shoulder']->plus($p['trail_shoulder'])->times(0.5)->plus($ahead, 110.0);
        $p['grip'] = $middle->plus($way, -330.0);
        $p['club_head'] = $middle->plus($way, 560.0);

        return new self($p);
    }

    /** The arms hanging, no club. */
    public function empty(): self
    {
        $p = $this->points;
        unset($p['grip'], $p['club_head']);

        return new self($p);
    }

    /** Knees set apart or together, mm each. */
    public function knees(float $apart): self
    {
        $p = $this->points;
        $p['lead_knee'] = $p['lead_knee']->plus(new Vec3($apart, 0.0, 0.0));
        $p['trail_knee'] = $p['trail_knee']->plus(new Vec3(-$apart, 0.0, 0.0));

        return new self($p);
    }

    /** All of it moved, mm. */
    public function moved(float $dx): self
    {
        return new self(array_map(static fn (Vec3 $v): Vec3 => $v->plus(new Vec3($dx, 0.0, 0.0)), $this->points));
    }

    /** The way the chest faces. */
    private function facing(): Vec3
    {
        $across = $this->points['lead_shoulder']->minus($this->points['trail_shoulder']);
        $spine = $this->points['chest']->minus($this->points['pelvis']);

        return $spine->cross($across)->unit();
    }

    /** The knee between hip and ankle as they are now, bent the way it was. */
    private function kneed(string $side, self $was): self
    {
        $points = $this->points;
        [$hip, $knee, $ankle] = [$was->points["{$side}_hip"], $was->points["{$side}_knee"], $was->points["{$side}_ankle"]];
        $towards = $knee->minus($hip->plus($ankle)->times(0.5));
        $points["{$side}_knee"] = Body::bendTowards(
            $points["{$side}_hip"],
            $points["{$side}_ankle"],
            $knee->minus($hip)->length(),
            $ankle->minus($knee)->length(),
            $towards->length() > 1.0 ? $towards : new Vec3(0.0, 1.0, 0.0),
        );

        return new self($points);
    }
}
