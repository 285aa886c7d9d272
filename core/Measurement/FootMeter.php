<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Crossing;
use Core\Motion\Station;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Side;
use Core\Trace\Signal;

/** The measures of which part of a foot carries, and of how the trail foot lets go. */
final readonly class FootMeter
{
    /** The part of its peak under which the trail foot counts as let go. */
    private const UNLOADED = 0.95;

    /** A foot that carries less, %, has no place of pressure worth the name; by the second it has been left. */
    private const CARRIES = 20.0;

    private const LEFT = 5.0;

    public function __construct(private Signals $signals)
    {
    }

    /**
     * @return array<string, Measured|array<string, Measured>>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            'toe_drift' => $this->lengthwise(Station::Top, Station::Impact),
            'heel_drift_back' => $this->lengthwise(Station::Address, Station::Top),
            ...$this->edge(),
            'lead_region' => $this->regions(),
            'trail_roll' => $this->roll(),
            ...$this->unload(),
            'trail_jump' => $this->jump(),
        ];
    }

    /**
     * How far the pressure moves along each foot between two stations: the mean of both, weighted by the shares at the
     * later one, % of foot length.
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
            $then = ($share->at($b->t) ?? NAN) / 100.0;
            if (is_nan($then)) {
                return Measured::none($unit, $this->signals->whyNot([$from, $to]));
            }
            $drift = $error = 0.0;
            foreach (['lead' => $then, 'trail' => 1.0 - $then] as $side => $part) {
                [$y0, $y1] = [$feet[$side]->at($a->t), $feet[$side]->at($b->t)];
                if ($y0 !== null && $y1 !== null) {
                    $drift += $part * ($y1 - $y0);
                    $error = hypot($error, $part * hypot($feet[$side]->timed($a), $feet[$side]->timed($b)));
                } elseif ($part > 0.1) {
                    return Measured::none($unit, $this->signals->whyNot([$from, $to]));
                }
                // A foot off the ground has no place of pressure and no say in the mean.
            }

            return Measured::value($unit, $drift, $error, $stations)
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
        $until = $tp === null || $sd === null ? null : $this->carriedUntil($tp->t, $sd->t);
        $down = $tp === null || $until === null ? null : $across?->series->highest($tp->t, $until);

        $isLet = $across !== null && $tp !== null && $sd !== null && $share !== null && $until === null;

        return [
            'edge_fraction' => $across === null || $peak === null || $at === null || $ad === null || $tp === null
                ? $none(Station::Address, Station::Top)
                : Measured::value($unit, $at, $across->level(), ['AD', 'TP'])->within($peak->t, $peak->t),
            'edge_fraction_down' => match (true) {
                $isLet => Measured::none($unit, Remark::of(Lack::UnloadedAtTop)),
                $across === null || $down === null || $tp === null || $sd === null => $none(
                    Station::Top,
                    Station::DownswingShaft,
                ),
                default => Measured::value($unit, $down->value, $across->level(), ['TP', 'SD'])
                    ->within($tp->t, $until ?? $sd->t),
            },
        ];
    }

    /**
     * Until when, of a span, the trail foot carries enough to have a place of pressure; null where it never does.
     *
     * @throws CoreException
     */
    private function carriedUntil(float $from, float $to): ?float
    {
        $share = $this->signals->share()?->series;
        $at = $share?->at($from);
        if ($share === null || $at === null || $at > 100.0 - self::CARRIES) {
            return null;
        }

        return min($to, $share->risesThrough(100.0 - self::CARRIES, $from, $to, 0.0) ?? $to);
    }

    /**
     * How far the pressure goes across the trail foot from impact until it has been left, or the finish.
     *
     * @throws CoreException
     */
    private function roll(): Measured
    {
        $unit = '% of foot width';
        $across = $this->signals->footCop(Side::Trail, false);
        $share = $this->signals->share();
        [$im, $fi] = [$this->signals->time(Station::Impact), $this->signals->time(Station::Finish)];
        $before = $im === null ? null : $across?->at($im->t);
        if ($across === null || $share === null || $im === null || $fi === null || $before === null) {
            return Measured::none($unit, match (true) {
                $this->signals->trace() === null => Remark::of(Lack::NoTrace),
                $across === null => Remark::of(Lack::FootCop),
                default => $this->signals->whyNot([Station::Impact, Station::Finish]),
            });
        }
        $left = $share->series->risesThrough(100.0 - self::LEFT, $im->t, $fi->t, 0.02) ?? $fi->t;
        $after = $across->at($left);
        if ($after === null || ($share->at($im->t) ?? 100.0) > 100.0 - self::LEFT) {
            return Measured::none($unit, Remark::of(Lack::TrailFootLeft));
        }

        return Measured::value($unit, $after - $before, hypot($across->noise, $across->timed($im)), ['IM', 'FI'])
            ->within($im->t, $left);
    }

    /**
     * @return array<string, Measured> at TP, LD, IM, FI
     *
     * @throws CoreException
     */
    private function regions(): array
    {
        $along = $this->signals->footCop(Side::Lead, true);
        $out = [];
        foreach ([Station::Top, Station::DownswingArm, Station::Impact, Station::Finish] as $station) {
            $time = $this->signals->time($station);
            $at = $time === null ? null : $along?->at($time->t);
            $out[$station->value] = $time === null || $at === null
                ? Measured::none('region', match (true) {
                    $this->signals->trace() === null => Remark::of(Lack::NoTrace),
                    $along === null => Remark::of(Lack::FootCop),
                    default => $this->signals->whyNot([$station]),
                })
                : Measured::word('region', $at > 100.0 / 6 ? 'toe' : ($at < -100.0 / 6 ? 'heel' : 'mid'), [
                    $station->value,
                ])->within($time->t, $time->t);
        }

        return $out;
    }

    /**
     * The last fall of the trail share below a part of its peak before the top, else the first after it: a later press
     * does not undo it. And how fast it falls from there.
     *
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function unload(): array
    {
        $share = $this->signals->share();
        $needed = [Station::Address, Station::Top, Station::DownswingArm, Station::Impact];
        [$ad, $tp, $ld, $im] = array_map($this->signals->time(...), $needed);
        $peak = $ad === null || $tp === null ? null : $share?->series->lowest($ad->t, $tp->t);
        $from = null;
        if ($share !== null && $peak !== null && $tp !== null && $im !== null) {
            $level = $share->series->minus(100.0 - self::UNLOADED * (100.0 - $peak->value));
            $from = Crossing::lastRise($level, $peak->t, $tp->t) ?? Crossing::firstRise($level, $tp->t, $im->t);
        }
        if ($share === null || $tp === null || $ld === null || $im === null || $peak === null || $from === null) {
            $reason = $this->signals->whyNoShare() ?? $this->signals->whyNot($needed);

            return ['unload_at' => Measured::none('ms', $reason), 'unload_rate' => Measured::none('%/s', $reason)];
        }
        $stations = ['AD', 'TP', 'LD', 'IM'];
        $at = Measured::value(
            'ms',
            1000 * ($tp->t - $from),
            1000 * hypot($tp->uncertainty, min(0.2, $share->crossing($from, false))),
            $stations,
            $share->derived,
        )->within($peak->t, max($from, $tp->t));
        $then = $share->at($from);
        $later = $share->at($ld->t);
        if ($from >= $ld->t - 1e-9 || $then === null || $later === null) {
            return ['unload_at' => $at, 'unload_rate' => Measured::none('%/s', Remark::of(Lack::NotLetGo))];
        }
        $span = $ld->t - $from;

        return [
            'unload_at' => $at,
            'unload_rate' => Measured::value(
                '%/s',
                ($then - $later) / $span,
                hypot($share->noise, $share->timed($ld)) / $span,
                $stations,
                $share->derived,
            )->within($from, $ld->t),
        ];
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
