<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\Tracked;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\DeviceClass;

/**
 * The measures of which way over the ground something goes: 0 straight to the target, +90 toward the ball, −90 away
 * from it, ±180 away from the target.
 */
final readonly class WayMeter
{
    /** A shorter way has no direction, mm. */
    private const SHORTEST = 20.0;

    /** A heel counts as lifted from here, mm. */
    private const LIFTED = 15.0;

    private Views $views;

    public function __construct(private Signals $signals)
    {
        $this->views = $signals->evidence->views;
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            'heel_direction' => $this->heel(),
            'trail_knee_way' => $this->knee(),
            'cop_direction' => $this->pressure(),
        ];
    }

    /**
     * From where the trail heel was at its first 1.5 cm of lift to where it is at impact.
     *
     * @throws CoreException
     */
    private function heel(): Measured
    {
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $z = $this->views->coordinate('trail_heel', Axis::Z);
        $rest = $ad === null ? null : $z?->series->mean($ad->t - 0.1, $ad->t + 0.02);
        if ($z === null || $ad === null || $im === null || $rest === null) {
            return $this->none($z !== null, [Station::Address, Station::Impact]);
        }
        $smooth = $z->series->smoothed(0.02);
        $lifts = $smooth->risesThrough($rest + self::LIFTED, $ad->t, $im->t, 0.02);
        if ($lifts === null || $lifts >= $im->t) {
            return Measured::none('degrees', Remark::of(Lack::TrailHeelStaysDown));
        }
        $speed = max(20.0, abs(Tracked::speedOf($smooth, $lifts)));
        $from = new StationTime($lifts, min(0.02, 0.4 * $z->noise() / $speed), $im->source);

        return $this->way(
            $this->views->coordinate('trail_heel', Axis::X),
            $this->views->coordinate('trail_heel', Axis::Y),
            $from,
            $im,
            ['AD', 'IM'],
        );
    }

    /** @throws CoreException */
    private function knee(): Measured
    {
        [$tp, $im] = [$this->signals->time(Station::Top), $this->signals->time(Station::Impact)];
        $at = fn (Axis $axis): ?Tracked => ($series = $this->views->in(View::Points, 'trail_knee', $axis)) === null
            ? null
            : new Tracked($series, View::Points, $this->views->noise(View::Points));
        if ($tp === null || $im === null) {
            return $this->none(true, [Station::Top, Station::Impact]);
        }

        return $this->way($at(Axis::X), $at(Axis::Y), $tp, $im, ['TP', 'IM']);
    }

    /** @param  list<string>  $stations */
    private function way(?Tracked $x, ?Tracked $y, StationTime $from, StationTime $to, array $stations): Measured
    {
        if ($x === null || $y === null) {
            return $this->none(false, []);
        }
        $d = [];
        foreach ([$x, $y] as $of) {
            [$a, $b] = [$of->at($from->t), $of->at($to->t)];
            if ($a === null || $b === null) {
                return Measured::none('degrees', Remark::of(Lack::NotCovered));
            }
            $d[] = $b - $a;
        }
        /** @var array{float, float} $d */
        $speeds = [];
        foreach ([$from, $to] as $end) {
            $speeds[] = [$x->speed($end->t), $y->speed($end->t)];
        }

        return $this->direction($d, [M_SQRT2 * $x->noise(), M_SQRT2 * $y->noise()], $speeds, [$from, $to], $stations);
    }

    /** @throws CoreException */
    private function pressure(): Measured
    {
        [$tp, $ld] = [$this->signals->time(Station::Top), $this->signals->time(Station::DownswingArm)];
        [$x, $y] = [$this->signals->cop(Axis::X), $this->signals->cop(Axis::Y)];
        if ($x === null || $y === null) {
            return Measured::none('degrees', Remark::of(Lack::NoTrace));
        }
        $d = [];
        foreach ([$x, $y] as $of) {
            [$a, $b] = [$tp === null ? null : $of->at($tp->t), $ld === null ? null : $of->at($ld->t)];
            $d[] = $a === null || $b === null ? null : $b - $a;
        }
        if ($tp === null || $ld === null || $d[0] === null || $d[1] === null) {
            return Measured::none('degrees', $this->signals->whyNot([Station::Top, Station::DownswingArm]));
        }
        $speeds = [];
        foreach ([$tp, $ld] as $end) {
            $speeds[] = [$x->slope()->at($end->t) ?? 0.0, $y->slope()->at($end->t) ?? 0.0];
        }

        return $this->direction(
            [$d[0], $d[1]],
            [M_SQRT2 * $x->noise, hypot(M_SQRT2 * $y->noise, $this->exchanged($d[0]))],
            $speeds,
            [$tp, $ld],
            ['TP', 'LD'],
        );
    }

    /**
     * The net of two plates lies between two centres with an error each: as load goes from one to the other, so does
     * which error it has, mm.
     */
    private function exchanged(float $along): float
    {
        $trace = $this->signals->trace();
        $width = ($this->signals->evidence->stance ?? $trace?->stance)?->widthMm() ?? 450.0;

        return $trace?->device === DeviceClass::DualPlate
            ? M_SQRT2 * $trace->constantErrors()->copMm * abs($along) / $width
            : 0.0;
    }

    /**
     * Only what lies across the way turns it: noise, and how fast each end goes across it times its time's error.
     *
     * @param  array{float, float}  $d  the way along x and y, mm
     * @param  array{float, float}  $noise  half-widths of it
     * @param  list<array{float, float}>  $speeds  at its ends, mm/s
     * @param  array{StationTime, StationTime}  $ends
     * @param  list<string>  $stations
     */
    private function direction(array $d, array $noise, array $speeds, array $ends, array $stations): Measured
    {
        $long = hypot($d[0], $d[1]);
        if ($long < self::SHORTEST) {
            return Measured::none('degrees', Remark::of(Lack::TooShortAWay));
        }
        [$cos, $sin] = [$d[0] / $long, $d[1] / $long];
        $error = hypot($sin * $noise[0], $cos * $noise[1]);
        foreach ($ends as $i => $end) {
            $error = hypot($error, ($cos * $speeds[$i][1] - $sin * $speeds[$i][0]) * $end->uncertainty);
        }

        return Measured::value('degrees', rad2deg(atan2($d[1], $d[0])), min(180.0, rad2deg($error / $long)), $stations)
            ->between($ends[0]->t, $ends[1]->t);
    }

    /** @param  list<Station>  $needed */
    private function none(bool $isHeld, array $needed): Measured
    {
        return Measured::none('degrees', match (true) {
            $this->views->motions === [] => Remark::of(Lack::NoPoints),
            ! $isHeld => Remark::of(Lack::BothViews),
            default => $this->signals->whyNot($needed),
        });
    }
}
