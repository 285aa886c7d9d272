<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Crossing;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;
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

    /** How far apart along themselves two feet may press, % of their length, 95 %. */
    private const FEET_DIFFER = 24.0;

    /** What a trail foot still presses at the top, %BW, to be compared with. */
    private const PRESSES = 3.0;

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
            $drift = $error = $apart = 0.0;
            foreach (['lead' => $then, 'trail' => 1.0 - $then] as $side => $part) {
                [$y0, $y1] = [$feet[$side]->at($a->t), $feet[$side]->at($b->t)];
                if ($y0 !== null && $y1 !== null) {
                    $drift += $part * ($y1 - $y0);
                    $error = hypot($error, $part * hypot($feet[$side]->timed($a), $feet[$side]->timed($b)));
                    $apart = ($y1 - $y0) - $apart;
                } elseif ($part > 0.1) {
                    return Measured::none($unit, $this->signals->whyNot([$from, $to]));
                }
                // A foot off the ground has no place of pressure and no say in the mean.
            }

            // The feet's drifts are weighed by a share that errs as well.
            $error = hypot($error, $share->absolute($b) / 100.0 * $apart);

            return Measured::value($unit, $drift, $error, $stations)
                ->between($a->t, $b->t)
                ->from(Signal::FootCop, Signal::Share);
        }
        $y = $this->signals->cop(Axis::Y);
        $stance = $this->signals->evidence->stance ?? $trace->stance;
        if ($y === null || $stance === null) {
            return Measured::none($unit, Remark::of(Lack::FeetPlaces));
        }
        $corrected = $parts = [];
        foreach ([$a, $b] as $time) {
            $value = $y->at($time->t);
            $parts[] = $part = ($share?->at($time->t) ?? 50.0) / 100.0;
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
            // Load that goes over to a foot that presses elsewhere along itself looks like a drift.
            hypot(
                $per * hypot($y->timed($a), $y->timed($b)),
                self::FEET_DIFFER * abs($parts[1] - $parts[0]),
            ),
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
        $when = $this->peakTime();
        $at = $when === null ? null : $across?->at($when->t);
        $until = $tp === null || $sd === null ? null : $this->carriedUntil($tp->t, $sd->t);
        $isLet = $across !== null && $tp !== null && $sd !== null && $share !== null && $until === null;
        // By which part of the way down the foot is let go.
        $part = $until === null || $tp === null || $sd === null ? 1.0 : ($until - $tp->t) / ($sd->t - $tp->t);
        $down = $until === null ? null : $this->signals->read(
            $across,
            $unit,
            [Station::Top, Station::DownswingShaft],
            static function (Series $c, Moments $t) use ($part): ?float {
                $until = $t->at('TP') + $part * ($t->at('SD') - $t->at('TP'));

                return $c->peak($t->at('TP'), $until, 1)?->value;
            },
        );

        return [
            'edge_fraction' => $across === null || $when === null || $at === null
                ? $none(Station::Address, Station::Top)
                : Measured::value($unit, $at, $across->absolute($when), ['AD', 'TP'])->within($when->t, $when->t),
            'edge_fraction_down' => $isLet
                ? Measured::none($unit, Remark::of(Lack::UnloadedAtTop))
                : ($down?->within($tp->t ?? 0.0, $until ?? 0.0) ?? $none(Station::Top, Station::DownswingShaft)),
        ];
    }

    /**
     * When the trail foot carries most going back.
     *
     * @throws CoreException
     */
    private function peakTime(): ?StationTime
    {
        $read = $this->signals->read(
            $this->signals->share(),
            's',
            [Station::Address, Station::Top],
            static fn (Series $c, Moments $t): ?float => $c->peak($t->at('AD'), $t->at('TP'), -1)?->t,
        );
        $t = $read?->number();

        return $t === null ? null : new StationTime($t, $read->uncertainty ?? 0.0, StationSource::Trace);
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

        $u = hypot($across->noiseAt($left), $across->timed($im));

        return Measured::value($unit, $after - $before, $u, ['IM', 'FI'])->within($im->t, $left);
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
        $let = static fn (Series $c, Moments $t): ?float => self::letGo($c, $t->at('AD'), $t->at('TP'), $t->at('IM'));
        $at = $this->signals->read(
            $share,
            'ms',
            $needed,
            static fn (Series $c, Moments $t): ?float => ($from = $let($c, $t)) === null
                ? null
                : 1000 * ($t->at('TP') - $from),
        );
        $from = $share === null || $at === null ? null : $let($share->series, $this->signals->jitter->told);
        if ($share === null || $at === null || $tp === null || $ld === null || $im === null || $from === null) {
            $reason = $this->signals->whyNoShare() ?? $this->signals->whyNot($needed);

            return ['unload_at' => Measured::none('ms', $reason), 'unload_rate' => Measured::none('%/s', $reason)];
        }
        $at = $at->within($ad->t ?? $from, max($from, $tp->t));
        $rate = $from >= $ld->t - 1e-9 ? null : $this->signals->read(
            $share,
            '%/s',
            $needed,
            static fn (Series $c, Moments $t): ?float => ($from = $let($c, $t)) === null || $from >= $t->at('LD') - 1e-9
                || ($then = $c->at($from)) === null || ($later = $c->at($t->at('LD'))) === null
                ? null
                : ($then - $later) / ($t->at('LD') - $from),
        );

        return [
            'unload_at' => $at,
            'unload_rate' => $rate?->within($from, $ld->t) ?? Measured::none('%/s', Remark::of(Lack::NotLetGo)),
        ];
    }

    /**
     * When a lead share tells that the trail foot lets go, s.
     *
     * @throws CoreException
     */
    private static function letGo(Series $share, float $ad, float $tp, float $im): ?float
    {
        $peak = $share->lowest($ad, $tp);
        if ($peak === null) {
            return null;
        }
        $level = $share->minus(100.0 - self::UNLOADED * (100.0 - $peak->value));

        return Crossing::lastRise($level, $peak->t, $tp) ?? Crossing::firstRise($level, $tp, $im);
    }

    /**
     * Largest trail vertical force from top to lead arm level, over its value at the top.
     *
     * @throws CoreException
     */
    private function jump(): Measured
    {
        $force = $this->signals->footForce(Side::Trail);
        $needed = [Station::Top, Station::DownswingArm];
        $tp = $this->signals->time(Station::Top);
        $top = $tp === null ? null : $force?->at($tp->t);
        $none = fn (): Measured => Measured::none(
            'ratio',
            $this->signals->whyNoForce(false) ??
                ($top !== null && $top < self::PRESSES
                    ? Remark::of(Lack::UnloadedAtTop)
                    : $this->signals->whyNot($needed)),
        );

        return $top === null || $top < self::PRESSES ? $none() : $this->signals->read(
            $force,
            'ratio',
            $needed,
            static fn (Series $c, Moments $t): ?float => ($then = $c->at($t->at('TP'))) === null
                || ($high = $c->highest($t->at('TP'), $t->at('LD'))) === null
                ? null
                : max($then, $high->value) / max(1.0, $then),
        ) ?? $none();
    }
}
