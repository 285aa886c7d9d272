<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Remark\Remark;
use Core\Trace\Extreme;
use Core\Trace\Side;

/** The measures of how hard and which way the ground pushes back: docs/measuring.md, dip to emphasis. */
final readonly class ForceMeter
{
    /** How long after impact the rise may still peak, s. */
    private const AFTER_IMPACT = 0.05;

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
        $side = $this->largest(
            'side_push',
            $this->signals->sidePush(),
            1.0,
            Station::BackswingArm,
            Station::Impact,
            '%BW',
            Station::Impact,
        );
        $twist = $this->largest(
            'twist',
            $this->signals->twist(),
            1.0,
            Station::BackswingArm,
            Station::Impact,
            'N·m/kg',
            Station::Impact,
        );
        $back = $this->largest(
            'takeaway_push',
            $this->signals->sidePush(),
            -1.0,
            Station::Address,
            Station::TakeawayShaft,
            '%BW',
            null,
        );
        $vertical = $this->vertical();

        return [
            ...$vertical,
            ...$this->opposed(),
            ...$side,
            ...$back,
            ...$twist,
            ...$this->sequence($side, $twist, $vertical),
        ];
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function vertical(): array
    {
        [$lb, $sd, $im] = array_map($this->signals->time(...), [
            Station::BackswingArm,
            Station::DownswingShaft,
            Station::Impact,
        ]);
        $total = $this->signals->total();
        $why =
            $this->signals->whyNoForce(true) ??
            $this->signals->whyNot([Station::BackswingArm, Station::DownswingShaft, Station::Impact]);
        $dip = $lb === null || $sd === null ? null : $total?->series->lowest($lb->t, $sd->t);
        if ($total === null || $dip === null || $im === null || $lb === null || $sd === null) {
            return [
                'dip' => Measured::none('%BW', $why),
                'dip_at' => Measured::none('ms', $why),
                'rise' => Measured::none('%BW', $why),
                'rise_at' => Measured::none('ms', $why),
                'rise_lead' => Measured::none('%BW', $why),
            ];
        }
        $stations = ['LB', 'SD', 'IM'];
        $end = $im->t + self::AFTER_IMPACT;
        $out = [
            'dip' => Measured::value('%BW', $dip->value, $total->level(), $stations)->within($lb->t, $sd->t),
            'dip_at' => $this->before($im, $dip, $total, $lb->t, $sd->t, $stations),
        ];
        $peak = $total->series->highest($dip->t, $end);
        if ($peak === null || $total->series->end() < $end - 1e-9) {
            $none = Remark::of(Lack::EndsTooEarly);

            return $out + [
                'rise' => Measured::none('%BW', $none),
                'rise_at' => Measured::none('ms', $none),
                'rise_lead' => Measured::none('%BW', $none),
            ];
        }
        $lead = $this->signals->footForce(Side::Lead);
        $under = $lead?->at($peak->t);

        return $out + [
            'rise' => Measured::value('%BW', $peak->value, $total->level(), $stations)->within($dip->t, $end),
            'rise_at' => $this->before($im, $peak, $total, $dip->t, $end, $stations),
            'rise_lead' => $lead === null || $under === null
                    ? Measured::none('%BW', $this->signals->whyNoForce(false) ?? $why)
                    : Measured::value('%BW', $under, $lead->level(), $stations)->within($peak->t, $peak->t),
        ];
    }

    /**
     * @return array<string, Measured> the feet's push in opposite directions along heel to toe
     *
     * @throws CoreException
     */
    private function opposed(): array
    {
        [$tp, $ld, $im] = array_map($this->signals->time(...), [Station::Top, Station::DownswingArm, Station::Impact]);
        $out = $found = [];
        foreach ([[Side::Trail, 1.0], [Side::Lead, -1.0]] as [$side, $sign]) {
            $foot = $side->value;
            $push = $this->signals->footPush($side);
            $high = $tp === null || $im === null ? null : self::extreme($push, $sign, $tp->t, $im->t);
            if ($push === null || $high === null || $tp === null || $im === null) {
                $why =
                    $this->signals->whyNoForce(false, Lack::MatKnowsNoDirection) ??
                    $this->signals->whyNot([Station::Top, Station::Impact]);
                $out["heel_toe_$foot"] = Measured::none('%BW', $why);
                $out["heel_toe_{$foot}_at"] = Measured::none('ms', $why);

                continue;
            }
            $found[$foot] = [max(0.0, $sign * $high->value), $push->level()];
            $out["heel_toe_$foot"] = Measured::value('%BW', $found[$foot][0], $push->level(), ['TP', 'IM'])->within(
                $tp->t,
                $im->t,
            );
            $out["heel_toe_{$foot}_at"] =
                $ld === null
                    ? Measured::none('ms', $this->signals->whyNot([Station::DownswingArm]))
                    : Measured::value(
                        'ms',
                        1000 * ($high->t - $ld->t),
                        1000 * hypot($ld->uncertainty, $push->flatness($high, $tp->t, $im->t)),
                        ['TP', 'LD', 'IM'],
                    )->within($tp->t, $im->t);
        }
        $out['heel_toe_ratio'] = match (true) {
            ! isset($found['lead'], $found['trail']) => Measured::none(
                'ratio',
                $out['heel_toe_lead']->reason ?? ($out['heel_toe_trail']->reason ?? Remark::of(Lack::NotMeasured)),
            ),
            $found['trail'][0] < 0.5 => Measured::none('ratio', Remark::of(Lack::NoPushBack)),
            default => Measured::value(
                'ratio',
                $found['lead'][0] / $found['trail'][0],
                ($found['lead'][0] / $found['trail'][0]) *
                    hypot($found['lead'][1] / max(0.5, $found['lead'][0]), $found['trail'][1] / $found['trail'][0]),
                ['TP', 'IM'],
            )->within($tp->t ?? 0.0, $im->t ?? 0.0),
        };

        return $out;
    }

    /**
     * The largest value in one direction between two stations and, where asked for, when before a third.
     *
     * @return array<string, Measured>
     */
    private function largest(
        string $key,
        ?SmoothSignal $signal,
        float $sign,
        Station $from,
        Station $to,
        string $unit,
        ?Station $against,
    ): array {
        [$a, $b] = [$this->signals->time($from), $this->signals->time($to)];
        $high = $a === null || $b === null ? null : self::extreme($signal, $sign, $a->t, $b->t);
        if ($signal === null || $high === null || $a === null || $b === null) {
            $why = $this->signals->whyNoForce(true, Lack::MatKnowsNoDirection) ?? $this->signals->whyNot([$from, $to]);

            return [$key => Measured::none($unit, $why)] +
                ($against === null ? [] : ["{$key}_at" => Measured::none('ms', $why)]);
        }
        $stations = [$from->value, $to->value];
        $out = [
            $key => Measured::value($unit, max(0.0, $sign * $high->value), $signal->level(), $stations)->within(
                $a->t,
                $b->t,
            ),
        ];

        return $against === null
            ? $out
            : $out + ["{$key}_at" => $this->before($b, $high, $signal, $a->t, $b->t, $stations)];
    }

    /** @param  list<string>  $stations */
    private function before(
        StationTime $im,
        Extreme $extreme,
        SmoothSignal $signal,
        float $from,
        float $to,
        array $stations,
    ): Measured {
        return Measured::value(
            'ms',
            1000 * ($im->t - $extreme->t),
            1000 * hypot($im->uncertainty, $signal->flatness($extreme, $from, $to)),
            $stations,
        )->within($from, $to);
    }

    private static function extreme(?SmoothSignal $signal, float $sign, float $from, float $to): ?Extreme
    {
        return $sign > 0 ? $signal?->series->highest($from, $to) : $signal?->series->lowest($from, $to);
    }

    /**
     * Side push, twist and rise in order of time, and in order of size against the academy's own distribution.
     *
     * @param  array<string, Measured>  $side
     * @param  array<string, Measured>  $twist
     * @param  array<string, Measured>  $vertical
     * @return array<string, Measured>
     */
    private function sequence(array $side, array $twist, array $vertical): array
    {
        $all = [...$side, ...$twist, ...$vertical];
        $at = $size = [];
        $norms = $this->signals->evidence->norms;
        foreach (['side_push', 'twist', 'rise'] as $key) {
            $when = $all["{$key}_at"]->number();
            $value = $all[$key]->number();
            if ($when === null || $value === null) {
                $why = $all[$key]->reason ?? $all["{$key}_at"]->reason ?? Remark::of(Lack::NotMeasured);

                return ['order' => Measured::none('order', $why), 'emphasis' => Measured::none('order', $why)];
            }
            $at[$key] = $when;
            $z = $norms?->z(Measure::from($key), $value);
            if ($z !== null) {
                $size[$key] = $z;
            }
        }
        arsort($at);
        arsort($size);
        $stations = ['LB', 'SD', 'IM'];
        [$from, $to] = $vertical['rise']->window ?? [0.0, 0.0];
        $from = min($from, $side['side_push']->window[0] ?? $from);

        return [
            'order' => Measured::ranking('order', array_keys($at), $stations)->within($from, $to),
            'emphasis' => count($size) < 3
                ? Measured::none('order', Remark::of(Lack::Norms, least: Norms::LEAST))
                : Measured::ranking('order', array_keys($size), $stations)->within($from, $to),
        ];
    }
}
