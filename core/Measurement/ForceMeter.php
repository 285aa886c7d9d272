<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Remark\Remark;
use Core\Trace\Check\Zeros;
use Core\Trace\Extreme;
use Core\Trace\Series;
use Core\Trace\Side;
use Core\Trace\Trace;

/** The measures of how hard and which way the ground pushes back: docs/measuring.md, dip to emphasis. */
final readonly class ForceMeter
{
    /** How long after impact the rise may still peak, s. */
    private const AFTER_IMPACT = 0.05;

    /** @param  Trace|null  $whole  with what lies before and after the swing, where a plate may show its zero */
    public function __construct(private Signals $signals, private ?Trace $whole)
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
            1,
            Station::BackswingArm,
            Station::Impact,
            '%BW',
            true,
        );
        $twist = $this->largest(
            'twist',
            $this->signals->twist(),
            1,
            Station::BackswingArm,
            Station::Impact,
            'N·m/kg',
            true,
        );
        $back = $this->largest(
            'takeaway_push',
            $this->signals->sidePush(),
            -1,
            Station::Address,
            Station::TakeawayShaft,
            '%BW',
            false,
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
        $needed = [Station::BackswingArm, Station::DownswingShaft, Station::Impact];
        $total = $this->signals->total();
        $why = $this->signals->whyNoForce(true) ?? $this->signals->whyNot($needed);
        $im = $this->signals->time(Station::Impact);
        $dip = Peak::between('LB', 'SD', -1);
        $peak = static fn (Series $c, Moments $t): ?Extreme => ($low = $c->lowest($t->at('LB'), $t->at('SD'))) === null
            ? null
            : $c->peak($low->t, $t->at('IM') + self::AFTER_IMPACT, 1);
        $off = fn (string $unit, callable $figure): Measured => $this->signals->read($total, $unit, $needed, $figure)
            ?? Measured::none($unit, $why);
        $out = ['dip' => $off('%BW', Peak::value($dip)), 'dip_at' => $off('ms', Peak::before($dip, 'IM'))];
        if ($total === null || $im === null || $out['dip']->value === null) {
            return $out + [
                'rise' => Measured::none('%BW', $why),
                'rise_at' => Measured::none('ms', $why),
                'rise_lead' => Measured::none('%BW', $why),
            ];
        }
        $end = $im->t + self::AFTER_IMPACT;
        $told = $this->signals->jitter->told;
        [$low, $high] = [$dip($total->series, $told), $peak($total->series, $told)];
        if ($low === null || $high === null || $total->series->end() < $end - 1e-9) {
            $none = Remark::of(Lack::EndsTooEarly);

            return $out + [
                'rise' => Measured::none('%BW', $none),
                'rise_at' => Measured::none('ms', $none),
                'rise_lead' => Measured::none('%BW', $none),
            ];
        }
        $lead = $this->signals->footForce(Side::Lead);
        $under = $lead?->at($high->t);
        $at = $off('ms', Peak::before($peak, 'IM'));

        return $out + [
            'rise' => $off('%BW', Peak::value($peak))->within($low->t, $end),
            'rise_at' => $at->within($low->t, $end),
            'rise_lead' => $lead === null || $under === null
                    ? Measured::none('%BW', $this->signals->whyNoForce(false) ?? $why)
                    : Measured::value('%BW', $under, $lead->absolute(
                        new StationTime($high->t, $this->apart($at, $im), StationSource::Trace),
                    ), ['LB', 'SD', 'IM'])->within($high->t, $high->t),
        ];
    }

    /** How far off a moment may be that is told from a station, beside the station's own error, s. */
    private function apart(Measured $ms, StationTime $station): float
    {
        return sqrt(max(0.0, (($ms->uncertainty ?? 0.0) / 1000.0) ** 2 - $station->uncertainty ** 2));
    }

    /**
     * @return array<string, Measured> the feet's push in opposite directions along heel to toe
     *
     * @throws CoreException
     */
    private function opposed(): array
    {
        $out = $found = [];
        $span = [Station::Top, Station::Impact];
        foreach ([[Side::Trail, 1], [Side::Lead, -1]] as [$side, $sign]) {
            $foot = $side->value;
            $push = $this->signals->footPush($side);
            $why = $this->signals->whyNoForce(false, Lack::MatKnowsNoDirection);
            $high = Peak::between('TP', 'IM', $sign);
            $size = $this->signals->read($push, '%BW', $span, Peak::size($high, $sign))?->besides($this->unseen($side));
            $out["heel_toe_$foot"] = $size ?? Measured::none('%BW', $why ?? $this->signals->whyNot($span));
            $out["heel_toe_{$foot}_at"] = $this->signals->read(
                $push,
                'ms',
                [Station::Top, Station::DownswingArm, Station::Impact],
                static fn (Series $c, Moments $t): ?float => ($at = $high($c, $t)) === null
                    ? null
                    : 1000 * ($at->t - $t->at('LD')),
            ) ?? Measured::none('ms', $why ?? $this->signals->whyNot([...$span, Station::DownswingArm]));
            if ($size?->number() !== null) {
                $found[$foot] = [$size->number(), $size->uncertainty ?? 0.0];
            }
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
            )->within(...($out['heel_toe_trail']->window ?? [0.0, 0.0])),
        };

        return $out;
    }

    /** @throws CoreException */
    private function unseen(Side $side): float
    {
        return $this->whole === null ? 0.0 : Zeros::unseen($this->whole, $side);
    }

    /**
     * The largest value in one direction between two stations and, where asked for, when before the second.
     *
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function largest(
        string $key,
        ?SmoothSignal $signal,
        int $sign,
        Station $from,
        Station $to,
        string $unit,
        bool $when,
    ): array {
        [$a, $b] = [$from->value, $to->value];
        $high = Peak::between($a, $b, $sign);
        $why = $this->signals->whyNoForce(true, Lack::MatKnowsNoDirection) ?? $this->signals->whyNot([$from, $to]);
        $size = $this->signals->read($signal, $unit, [$from, $to], Peak::size($high, $sign));
        $out = [$key => $size ?? Measured::none($unit, $why)];

        return $when
            ? $out + ["{$key}_at" => $this->signals->read($signal, 'ms', [$from, $to], Peak::before($high, $b))
                ?? Measured::none('ms', $why)]
            : $out;
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
