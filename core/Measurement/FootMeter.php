<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Signal;

/** The measures of which part of a foot carries, and of how the trail foot lets go. */
final readonly class FootMeter
{
    /** "Falls below for good": the share of its peak under which the trail force counts as let go. */
    private const UNLOADED = 0.95;

    public function __construct(private Signals $signals)
    {
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            'toe_drift' => $this->lengthwise(Station::Top, Station::Impact),
            'heel_drift_back' => $this->lengthwise(Station::Address, Station::Top),
            ...$this->edge(),
            'lead_region' => $this->region(),
            ...$this->unload(),
            'trail_jump' => $this->jump(),
        ];
    }

    /**
     * How far the pressure moves along the feet between two stations, share-weighted mean of both, % of foot length.
     *
     * @throws CoreException
     */
    private function lengthwise(Station $from, Station $to): Measured
    {
        $unit = '% of foot length';
        $trace = $this->signals->trace();
        [$a, $b] = [$this->signals->time($from), $this->signals->time($to)];
        if ($trace === null || $a === null || $b === null) {
            return Measured::none(
                $unit,
                $trace === null ? Remark::of(Lack::NoTrace) : $this->signals->whyNot([$from, $to]),
            );
        }
        $stations = [$from->value, $to->value];
        $feet = [
            'lead' => $this->signals->footCop(Side::Lead, true),
            'trail' => $this->signals->footCop(Side::Trail, true),
        ];
        $share = $this->signals->share();
        if ($share !== null && $feet['lead'] !== null && $feet['trail'] !== null) {
            $means = $noises = [];
            foreach ([$a, $b] as $time) {
                $part = ($share->at($time->t) ?? NAN) / 100.0;
                $lead = $feet['lead']->at($time->t);
                $trail = $feet['trail']->at($time->t);
                // A foot off the ground has no place of pressure and no say in the mean.
                if ($lead === null && $part < 0.1) {
                    $lead = 0.0;
                }
                if ($trail === null && $part > 0.9) {
                    $trail = 0.0;
                }
                if ($lead === null || $trail === null || is_nan($part)) {
                    return Measured::none($unit, $this->signals->whyNot([$from, $to]));
                }
                $means[] = $part * $lead + (1.0 - $part) * $trail;
                $noises[] = hypot($part * $feet['lead']->timed($time), (1.0 - $part) * $feet['trail']->timed($time));
            }

            return Measured::value($unit, $means[1] - $means[0], hypot($noises[0], $noises[1]), $stations)
                ->between($a->t, $b->t)
                ->from(Signal::FootCop, Signal::Share);
        }
        $y = $this->signals->cop(Axis::Y);
        $stance = $this->signals->evidence->stance ?? $trace->stance;
        if ($y === null || $stance === null) {
            return Measured::none($unit, Remark::of(Lack::FeetPlaces));
        }
        $corrected = [];
        foreach ([$a, $b] as $time) {
            $value = $y->at($time->t);
            $part = ($share?->at($time->t) ?? 50.0) / 100.0;
            if ($value === null) {
                return Measured::none($unit, $this->signals->whyNot([$from, $to]));
            }
            // Where the net would lie by the shares alone is the stance's own offset, not a drift.
            $corrected[] = $value - ($part * $stance->lead->yMm + (1.0 - $part) * $stance->trail->yMm);
        }
        $per = 100.0 / (($stance->lead->lengthMm + $stance->trail->lengthMm) / 2);

        return Measured::value(
            $unit,
            $per * ($corrected[1] - $corrected[0]),
            2.0 * $per * hypot($y->timed($a), $y->timed($b)),
            $stations,
        )
            ->between($a->t, $b->t)
            ->from(Signal::Cop, Signal::Share)
            ->indirectly(Proxy::NetCop);
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function edge(): array
    {
        $unit = '% of foot width';
        $across = $this->signals->footCop(Side::Trail, false);
        $share = $this->signals->share();
        [$ad, $tp, $sd] = [
            $this->signals->time(Station::Address),
            $this->signals->time(Station::Top),
            $this->signals->time(Station::DownswingShaft),
        ];
        $none = fn (Station ...$needed): Measured => Measured::none(
            $unit,
            match (true) {
                $this->signals->trace() === null => Remark::of(Lack::NoTrace),
                $across === null => Remark::of(Lack::FootCop),
                default => $this->signals->whyNot(array_values($needed)),
            },
        );
        $peak = $ad === null || $tp === null ? null : $share?->series->lowest($ad->t, $tp->t);
        $at = $peak === null ? null : $across?->at($peak->t);
        $down = $tp === null || $sd === null ? null : $across?->series->highest($tp->t, $sd->t);

        return [
            'edge_fraction' => $across === null || $peak === null || $at === null || $ad === null || $tp === null
                ? $none(Station::Address, Station::Top)
                : Measured::value($unit, $at, $across->level(), ['AD', 'TP'])->within($peak->t, $peak->t),
            'edge_fraction_down' => $across === null || $down === null || $tp === null || $sd === null
                ? $none(Station::Top, Station::DownswingShaft)
                : Measured::value($unit, $down->value, $across->level(), ['TP', 'SD'])->within($tp->t, $sd->t),
        ];
    }

    /** @throws CoreException */
    private function region(): Measured
    {
        $im = $this->signals->time(Station::Impact);
        $along = $this->signals->footCop(Side::Lead, true);
        $at = $im === null ? null : $along?->at($im->t);
        if ($im === null || $at === null) {
            return Measured::none('region', match (true) {
                $this->signals->trace() === null => Remark::of(Lack::NoTrace),
                $along === null => Remark::of(Lack::FootCop),
                default => $this->signals->whyNot([Station::Impact]),
            });
        }

        return Measured::word('region', $at > 100.0 / 6 ? 'toe' : ($at < -100.0 / 6 ? 'heel' : 'mid'), ['IM'])->within(
            $im->t,
            $im->t,
        );
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function unload(): array
    {
        [$signal, $slopeUnit, $why] = $this->trailLoad();
        [$ad, $tp, $ld, $im] = array_map($this->signals->time(...), [
            Station::Address,
            Station::Top,
            Station::DownswingArm,
            Station::Impact,
        ]);
        $needed = [Station::Address, Station::Top, Station::DownswingArm, Station::Impact];
        $peak = $ad === null || $tp === null ? null : $signal?->series->highest($ad->t, $tp->t);
        $from =
            $peak === null || $im === null
                ? null
                : $signal?->series->lastAbove(self::UNLOADED * $peak->value, $peak->t, $im->t);
        if ($signal === null || $tp === null || $ld === null || $im === null || $peak === null || $from === null) {
            $reason = $why ?? $this->signals->whyNot($needed);

            return ['unload_at' => Measured::none('ms', $reason), 'unload_rate' => Measured::none($slopeUnit, $reason)];
        }
        $stations = ['AD', 'TP', 'LD', 'IM'];
        $at = Measured::value(
            'ms',
            1000 * ($tp->t - $from),
            1000 * hypot($tp->uncertainty, min(0.2, $signal->crossing($from, false))),
            $stations,
        )->within($peak->t, $im->t);
        $then = $signal->at($from);
        $later = $signal->at($ld->t);
        if ($from >= $ld->t - 1e-9 || $then === null || $later === null) {
            return ['unload_at' => $at, 'unload_rate' => Measured::none($slopeUnit, Remark::of(Lack::NotLetGo))];
        }
        $span = $ld->t - $from;

        return [
            'unload_at' => $at,
            'unload_rate' => Measured::value(
                $slopeUnit,
                ($later - $then) / $span,
                hypot($signal->noise, $signal->timed($ld)) / $span,
                $stations,
            )->within($from, $ld->t),
        ];
    }

    /**
     * @return array{SmoothSignal|null, string, Remark|null} the trail foot's load, the unit of its slope, why there is
     * none
     *
     * @throws CoreException
     */
    private function trailLoad(): array
    {
        $force = $this->signals->footForce(Side::Trail);
        if ($force !== null) {
            return [$force, '%BW/s', null];
        }
        if ($this->signals->device() === \Core\Trace\DeviceClass::Mat && $this->signals->share() !== null) {
            $share = $this->signals->trace()?->leadShare();
            $d = $this->signals->device();
            $trail = $share?->map(static fn (float $v): float => 100.0 - $v);

            return [
                $trail instanceof Series ? new SmoothSignal($trail, $d->shareNoise(), $d->shareOffset(), $d) : null,
                '%/s',
                null,
            ];
        }

        return [null, '%BW/s', $this->signals->whyNoForce(false)];
    }

    /**
     * Largest trail vertical force from top to lead arm level, over its value at the top.
     *
     * @throws CoreException
     */
    private function jump(): Measured
    {
        $force = $this->signals->footForce(Side::Trail);
        [$tp, $ld] = [$this->signals->time(Station::Top), $this->signals->time(Station::DownswingArm)];
        $top = $tp === null ? null : $force?->at($tp->t);
        $high = $tp === null || $ld === null ? null : $force?->series->highest($tp->t, $ld->t);
        if ($force === null || $tp === null || $ld === null || $top === null || $high === null || $top < 3.0) {
            return Measured::none(
                'ratio',
                $this->signals->whyNoForce(false) ??
                    ($top !== null && $top < 3.0
                        ? Remark::of(Lack::UnloadedAtTop)
                        : $this->signals->whyNot([Station::Top, Station::DownswingArm])),
            );
        }
        $ratio = max($top, $high->value) / $top;

        return Measured::value(
            'ratio',
            $ratio,
            $ratio * hypot($force->noise / max($top, $high->value), $force->timed($tp) / $top),
            ['TP', 'LD'],
        )->within($tp->t, $ld->t);
    }
}
