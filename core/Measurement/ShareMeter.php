<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Remark\Remark;
use Core\Trace\Extreme;

/** The measures that come from the lead share: docs/measuring.md, setup_share to cop_style. */
final readonly class ShareMeter
{
    /** How long a crossing of the half must be held to count, s. */
    private const HOLD = 0.030;

    /** Points of share to be lost from the peak by impact for the path to be called returning. */
    private const RETURNING = 15.0;

    private const SETUP_SPAN = 0.3;

    private ?SmoothSignal $share;

    /** @throws CoreException */
    public function __construct(private Signals $signals)
    {
        $this->share = $signals->share();
    }

    /**
     * @return array<string, Measured|array<string, Measured>>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            'lead_share' => $this->everywhere(),
            'setup_share' => $this->setup(),
            'lead_leg_drift' => $this->drift(),
            ...$this->trailPeak(),
            'trail_second_peak' => $this->secondPeak(),
            'top_share' => $this->shareAt(Station::Top),
            'level_share' => $this->shareAt(Station::DownswingArm),
            'shaft_share' => $this->shareAt(Station::DownswingShaft),
            'impact_share' => $this->shareAt(Station::Impact),
            'finish_share' => $this->shareAt(Station::Finish),
            'recentre_lead' => $this->recentre(),
            ...$this->shiftRate(),
            ...$this->leadPeak(),
            'fallback' => $this->fallback(),
            'late_surge' => $this->surge(),
        ];
    }

    /**
     * @return array<string, Measured> by station code
     *
     * @throws CoreException
     */
    private function everywhere(): array
    {
        $out = [];
        foreach (Station::cases() as $station) {
            $out[$station->value] = $this->shareAt($station);
        }

        return $out;
    }

    /** @throws CoreException */
    private function setup(): Measured
    {
        $ad = $this->signals->time(Station::Address);
        $share = $this->share;
        $mean = $ad === null ? null : $share?->series->mean($ad->t - self::SETUP_SPAN, $ad->t);
        if ($share === null || $ad === null || $mean === null) {
            return $this->none('%', [Station::Address], Lack::StartsTooLate);
        }

        // Three tenths of a second hold some five independent stretches of sway while standing.
        return Measured::value(
            '%',
            $mean,
            hypot($share->offset, $share->noise / sqrt(5.0)),
            ['AD'],
            $share->derived,
        )->within($ad->t - self::SETUP_SPAN, $ad->t);
    }

    /** @throws CoreException */
    private function drift(): Measured
    {
        $setup = $this->setup();
        $tb = $this->signals->time(Station::TakeawayShaft);
        $then = $tb === null ? null : $this->share?->at($tb->t);
        if ($this->share === null || $tb === null || $then === null || $setup->number() === null) {
            return $this->none('%', [Station::Address, Station::TakeawayShaft]);
        }

        return Measured::value(
            '%',
            $setup->number() - $then,
            hypot($this->share->noise / sqrt(5.0), $this->share->timed($tb)),
            ['AD', 'TB'],
            $this->share->derived,
        )->within($setup->window[0] ?? $tb->t, $tb->t);
    }

    /** @throws CoreException */
    private function shareAt(Station $station): Measured
    {
        $time = $this->signals->time($station);
        $value = $time === null ? null : $this->share?->at($time->t);
        if ($this->share === null || $time === null || $value === null) {
            return $this->none('%', [$station]);
        }

        return Measured::value(
            '%',
            $value,
            $this->share->absolute($time),
            [$station->value],
            $this->share->derived,
        )->within($time->t, $time->t);
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function trailPeak(): array
    {
        [$ad, $tp] = [$this->signals->time(Station::Address), $this->signals->time(Station::Top)];
        $low = $ad === null || $tp === null ? null : $this->share?->series->lowest($ad->t, $tp->t);
        if ($this->share === null || $ad === null || $tp === null || $low === null) {
            $needed = [Station::Address, Station::Top];

            return ['trail_peak' => $this->none('%', $needed), 'trail_peak_at' => $this->none('fraction', $needed)];
        }
        $span = $tp->t - $ad->t;
        $at = ($low->t - $ad->t) / $span;
        // Both ends of the span move the fraction: AD by (1 − f), TP by f.
        $u =
            hypot(
                $this->share->flatness($low, $ad->t, $tp->t),
                hypot((1.0 - $at) * $ad->uncertainty, $at * $tp->uncertainty),
            ) / $span;

        return [
            'trail_peak' => Measured::value(
                '%',
                100.0 - $low->value,
                $this->share->level(),
                ['AD', 'TP'],
                $this->share->derived,
            )->within($ad->t, $tp->t),
            'trail_peak_at' => Measured::value('fraction', $at, $u, ['AD', 'TP'], $this->share->derived)
                ->within($ad->t, $tp->t)
                ->near($this->signals->evidence->stations->nearest($low->t)),
        ];
    }

    /** @throws CoreException */
    private function secondPeak(): Measured
    {
        [$tp, $ld] = [$this->signals->time(Station::Top), $this->signals->time(Station::DownswingArm)];
        $low = $tp === null || $ld === null ? null : $this->share?->series->lowest($tp->t, $ld->t);
        $top = $tp === null ? null : $this->share?->at($tp->t);
        if ($this->share === null || $tp === null || $ld === null || $low === null || $top === null) {
            return $this->none('%', [Station::Top, Station::DownswingArm]);
        }

        return Measured::value(
            '%',
            $top - min($top, $low->value),
            hypot($this->share->noise, $this->share->timed($tp)),
            ['TP', 'LD'],
            $this->share->derived,
        )->within($tp->t, $ld->t);
    }

    /** @throws CoreException */
    private function recentre(): Measured
    {
        [$ad, $tp, $im] = [
            $this->signals->time(Station::Address),
            $this->signals->time(Station::Top),
            $this->signals->time(Station::Impact),
        ];
        $low = $ad === null || $tp === null ? null : $this->share?->series->lowest($ad->t, $tp->t);
        if ($this->share === null || $ad === null || $tp === null || $im === null || $low === null) {
            return $this->none('ms', [Station::Address, Station::Top, Station::Impact]);
        }
        $stations = ['AD', 'TP', 'IM'];
        if ($low->value >= 50.0) {
            return Measured::censored(
                'ms',
                'above',
                1000 * ($tp->t - $ad->t),
                1000 * hypot($tp->uncertainty, $ad->uncertainty),
                Bound::RecentredFromTheStart,
                $stations,
            )->within($ad->t, $im->t);
        }
        $crossing = $this->share->series->risesThrough(50.0, $low->t, $im->t, self::HOLD);
        if ($crossing === null) {
            return Measured::censored(
                'ms',
                'below',
                1000 * ($tp->t - $im->t),
                1000 * hypot($tp->uncertainty, $im->uncertainty),
                Bound::NeverRecentred,
                $stations,
            )->within($ad->t, $im->t);
        }
        $u = hypot($tp->uncertainty, $this->share->about(50.0, $low->t, $im->t, $crossing, self::HOLD));

        return Measured::value(
            'ms',
            1000 * ($tp->t - $crossing),
            1000 * $u,
            ['AD', 'TP', 'IM'],
            $this->share->derived,
        )->within($low->t, max($crossing, $tp->t));
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function shiftRate(): array
    {
        [$lb, $im] = [$this->signals->time(Station::BackswingArm), $this->signals->time(Station::Impact)];
        $steep = $lb === null || $im === null ? null : $this->share?->slope()->highest($lb->t, $im->t);
        if ($this->share === null || $lb === null || $im === null || $steep === null) {
            $needed = [Station::BackswingArm, Station::Impact];

            return ['shift_rate' => $this->none('%/s', $needed), 'shift_rate_at' => $this->none('ms', $needed)];
        }
        $noise = $this->share->slopeNoise();

        return [
            'shift_rate' => Measured::value('%/s', $steep->value, $noise, ['LB', 'IM'], $this->share->derived)->within(
                $lb->t,
                $im->t,
            ),
            'shift_rate_at' => Measured::value(
                'ms',
                1000 * ($im->t - $steep->t),
                1000 * hypot($im->uncertainty, self::plateau($this->share, $steep, $noise, $lb->t, $im->t)),
                ['LB', 'IM'],
                $this->share->derived,
            )->within($lb->t, $im->t),
        ];
    }

    /**
     * Half the time over which the slope stays within its noise of its largest value, s.
     *
     * @throws CoreException
     */
    private static function plateau(SmoothSignal $share, Extreme $steep, float $noise, float $from, float $to): float
    {
        $step = 0.004;
        $width = 0.0;
        foreach ([-1, 1] as $sign) {
            for ($d = $step; $d < 0.2; $d += $step) {
                $t = $steep->t + $sign * $d;
                $v = $t < $from || $t > $to ? null : $share->slope()->at($t);
                if ($v === null || $steep->value - $v > $noise) {
                    break;
                }
                $width += $step;
            }
        }

        return max($share->sampling, $width / 2);
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function leadPeak(): array
    {
        [$lb, $im] = [$this->signals->time(Station::BackswingArm), $this->signals->time(Station::Impact)];
        $high = $lb === null || $im === null ? null : $this->share?->series->highest($lb->t, $im->t);
        $impact = $im === null ? null : $this->share?->at($im->t);
        if ($this->share === null || $lb === null || $im === null || $high === null || $impact === null) {
            $needed = [Station::BackswingArm, Station::Impact];

            return [
                'lead_peak' => $this->none('%', $needed),
                'lead_peak_at' => $this->none('ms', $needed),
                'cop_style' => $this->none('style', $needed),
                'thrown_back' => $this->none('%', $needed),
            ];
        }
        // The share between two samples at impact may exceed the last sample before it.
        $peak = $impact > $high->value ? new Extreme($im->t, $impact) : $high;
        $stations = ['LB', 'IM'];

        return [
            'lead_peak' => Measured::value(
                '%',
                $peak->value,
                $this->share->level(),
                $stations,
                $this->share->derived,
            )->within($lb->t, $im->t),
            'lead_peak_at' => Measured::value(
                'ms',
                1000 * ($im->t - $peak->t),
                1000 * hypot($im->uncertainty, $this->share->flatness($peak, $lb->t, $im->t)),
                $stations,
                $this->share->derived,
            )->within($lb->t, $im->t),
            'cop_style' => Measured::word(
                'style',
                $peak->value - $impact >= self::RETURNING ? 'returning' : 'forward',
                $stations,
            )->within($lb->t, $im->t),
            'thrown_back' => Measured::value(
                '%',
                $peak->value - $impact,
                hypot($this->share->noise, $this->share->timed($im)),
                $stations,
                $this->share->derived,
            )->within($lb->t, $im->t)->near($this->signals->evidence->stations->nearest($peak->t)),
        ];
    }

    /** @throws CoreException */
    private function fallback(): Measured
    {
        [$im, $fi] = [$this->signals->time(Station::Impact), $this->signals->time(Station::Finish)];
        $low = $im === null || $fi === null ? null : $this->share?->series->lowest($im->t, $fi->t);

        return $this->sinceImpact($im, $fi, $low, -1.0, Station::Finish);
    }

    /** @throws CoreException */
    private function surge(): Measured
    {
        [$im, $st] = [$this->signals->time(Station::Impact), $this->signals->time(Station::ThroughShaft)];
        $high = $im === null || $st === null ? null : $this->share?->series->highest($im->t, $st->t);

        return $this->sinceImpact($im, $st, $high, 1.0, Station::ThroughShaft);
    }

    /** @throws CoreException */
    private function sinceImpact(
        ?StationTime $im,
        ?StationTime $end,
        ?Extreme $extreme,
        float $sign,
        Station $last,
    ): Measured {
        $impact = $im === null ? null : $this->share?->at($im->t);
        if ($this->share === null || $im === null || $end === null || $extreme === null || $impact === null) {
            return $this->none('%', [Station::Impact, $last]);
        }

        return Measured::value(
            '%',
            max(0.0, $sign * ($extreme->value - $impact)),
            hypot($this->share->noise, $this->share->timed($im)),
            ['IM', $last->value],
            $this->share->derived,
        )->within($im->t, $end->t);
    }

    /**
     * @param  list<Station>  $needed
     *
     * @throws CoreException
     */
    private function none(string $unit, array $needed, ?Lack $otherwise = null): Measured
    {
        $why = $this->signals->whyNoShare() ?? $this->signals->whyNot($needed);

        return Measured::none(
            $unit,
            $otherwise !== null && ! $why->is(Lack::Stations) && $this->share !== null ? Remark::of($otherwise) : $why,
        );
    }
}
