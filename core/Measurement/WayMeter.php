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
        $speed = max(20.0, (new Tracked($smooth, $z->view))->speed($lifts));
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
            : new Tracked($series, View::Points);
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
        $long = hypot($d[0], $d[1]);
        $error = max(
            hypot($x->uncertainty($from), $x->uncertainty($to)),
            hypot($y->uncertainty($from), $y->uncertainty($to)),
        );

        return $this->direction($d[0], $d[1], $long, $error, $stations, $from->t, $to->t);
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
        $error = max(hypot($x->timed($tp), $x->timed($ld)), hypot($y->timed($tp), $y->timed($ld)));

        return $this->direction($d[0], $d[1], hypot($d[0], $d[1]), $error, ['TP', 'LD'], $tp->t, $ld->t);
    }

    /** @param  list<string>  $stations */
    private function direction(
        float $dx,
        float $dy,
        float $long,
        float $error,
        array $stations,
        float $from,
        float $to,
    ): Measured {
        return $long < self::SHORTEST
            ? Measured::none('degrees', Remark::of(Lack::TooShortAWay))
            : Measured::value(
                'degrees',
                rad2deg(atan2($dy, $dx)),
                min(180.0, rad2deg($error / $long)),
                $stations,
            )->between($from, $to);
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
