<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Trace\DeviceClass;
use Core\Trace\Extreme;
use Core\Trace\Series;

/** The measures that come from pressure or force. */
final readonly class PressureMeter
{
    private ?Series $share;

    private ?Series $slope;

    /** Half-width of a 95 % interval of one smoothed sample of share from noise alone, share points. */
    private float $noise;

    /** The same for the constant error of the device. */
    private float $offset;

    private float $sampling;

    private bool $derived;

    private string $absent;

    public function __construct(private Evidence $evidence, float $smoothing, private float $hold)
    {
        $trace = $evidence->trace;
        $raw = $trace?->leadShare();
        $this->share = $raw?->smoothed($smoothing);
        $this->slope = $this->share?->derivative($smoothing);
        $rate = $trace->rateHz ?? 1.0;
        // Variance left by a quadratic smoother of 2m+1 points is its middle weight.
        $m = max(1, (int) round($smoothing * $rate));
        $left = 3 * (3 * $m * $m + 3 * $m - 1) / ((2 * $m + 1) * (4 * $m * $m + 4 * $m - 3));
        $this->noise = 1.96 * ($trace?->device->shareNoise() ?? 0.0) * sqrt($left);
        $this->offset = $trace?->device->shareOffset() ?? 0.0;
        $this->sampling = 0.475 / $rate;
        $this->derived = $trace?->device === DeviceClass::Plate;
        $this->absent = $trace === null ? 'no pressure or force was recorded' : 'a single plate gives a share only with the positions of both feet';
    }

    /** @return array<string, Measured> */
    public function read(): array
    {
        return [
            Measure::SetupShare->value => $this->setup(),
            ...$this->trailPeak(),
            Measure::TopShare->value => $this->shareAt(Station::Top),
            Measure::LevelShare->value => $this->shareAt(Station::DownswingArm),
            Measure::ShaftShare->value => $this->shareAt(Station::DownswingShaft),
            Measure::ImpactShare->value => $this->shareAt(Station::Impact),
            Measure::FinishShare->value => $this->shareAt(Station::Finish),
            Measure::RecentreLead->value => $this->recentre(),
            ...$this->leadPeak(),
            Measure::Fallback->value => $this->fallback(),
            Measure::LateSurge->value => $this->surge(),
            ...$this->rise(),
        ];
    }

    private function setup(): Measured
    {
        $ad = $this->evidence->stations->get(Station::Address);
        if ($this->share === null || $ad === null) {
            return Measured::none('%', $this->why(['AD' => $ad]));
        }
        $mean = $this->share->mean($ad->t - 0.3, $ad->t);

        return $mean === null
            ? Measured::none('%', 'the recording starts too late to see the set-up')
            : Measured::value('%', $mean, hypot($this->offset, $this->noise / sqrt(5)), ['AD'], $this->derived);
    }

    private function shareAt(Station $station): Measured
    {
        $time = $this->evidence->stations->get($station);
        $value = $time === null ? null : $this->share?->at($time->t);
        if ($time === null || $value === null) {
            return Measured::none('%', $this->why([$station->value => $time]));
        }

        return Measured::value('%', $value, hypot($this->offset, $this->timedNoise($time)), [$station->value], $this->derived);
    }

    /** Noise and timing together: what is left of the uncertainty in a difference within one swing. */
    private function timedNoise(StationTime $time): float
    {
        $slope = abs($this->slope?->at($time->t) ?? 0.0);

        return hypot($this->noise, $slope * hypot($time->uncertainty, $this->sampling));
    }

    /** @return array<string, Measured> */
    private function trailPeak(): array
    {
        [$ad, $tp] = [$this->evidence->stations->get(Station::Address), $this->evidence->stations->get(Station::Top)];
        $low = $ad === null || $tp === null ? null : $this->share?->lowest($ad->t, $tp->t);
        if ($ad === null || $tp === null || $low === null) {
            $why = $this->why(['AD' => $ad, 'TP' => $tp]);

            return [Measure::TrailPeak->value => Measured::none('%', $why), Measure::TrailPeakAt->value => Measured::none('fraction', $why)];
        }
        $span = $tp->t - $ad->t;

        return [
            Measure::TrailPeak->value => Measured::value('%', 100.0 - $low->value, hypot($this->offset, $this->noise), ['AD', 'TP'], $this->derived),
            Measure::TrailPeakAt->value => Measured::value('fraction', ($low->t - $ad->t) / $span, $this->flatness($low, $ad->t, $tp->t) / $span, ['AD', 'TP'], $this->derived),
        ];
    }

    /** How far from an extreme the share stays within its noise: the honest uncertainty of its time, s. */
    private function flatness(Extreme $extreme, float $from, float $to): float
    {
        $step = 0.005;
        $reach = [0.0, 0.0];
        foreach ([-1, 1] as $i => $sign) {
            for ($d = $step; $d < 0.2; $d += $step) {
                $t = $extreme->t + $sign * $d;
                $v = $t < $from || $t > $to ? null : $this->share?->at($t);
                if ($v === null || abs($v - $extreme->value) > $this->noise) {
                    break;
                }
                $reach[$i] = $d;
            }
        }

        return max($this->sampling, ($reach[0] + $reach[1]) / 2);
    }

    private function recentre(): Measured
    {
        $s = $this->evidence->stations;
        [$ad, $tp, $im] = [$s->get(Station::Address), $s->get(Station::Top), $s->get(Station::Impact)];
        $low = $ad === null || $tp === null ? null : $this->share?->lowest($ad->t, $tp->t);
        if ($this->share === null || $ad === null || $tp === null || $im === null || $low === null) {
            return Measured::none('ms', $this->why(['AD' => $ad, 'TP' => $tp, 'IM' => $im]));
        }
        $stations = ['AD', 'TP', 'IM'];
        if ($low->value >= 50.0) {
            return Measured::censored('ms', 'above', 1000 * ($tp->t - $ad->t), 1000 * hypot($tp->uncertainty, $ad->uncertainty), 'earlier than takeaway: the lead side never held less than half', $stations);
        }
        $crossing = $this->share->risesThrough(50.0, $low->t, $im->t, $this->hold);
        if ($crossing === null) {
            return Measured::censored('ms', 'below', 1000 * ($tp->t - $im->t), 1000 * hypot($tp->uncertainty, $im->uncertainty), 'later than impact: half the pressure never came back before the ball', $stations);
        }
        $slope = max(20.0, abs($this->slope?->at($crossing) ?? 0.0));
        $u = sqrt($tp->uncertainty ** 2 + $this->sampling ** 2 + ($this->offset ** 2 + $this->noise ** 2) / $slope ** 2);

        return Measured::value('ms', 1000 * ($tp->t - $crossing), 1000 * $u, ['TP'], $this->derived);
    }

    /** @return array<string, Measured> */
    private function leadPeak(): array
    {
        $s = $this->evidence->stations;
        [$lb, $im] = [$s->get(Station::BackswingArm) ?? $s->get(Station::Top), $s->get(Station::Impact)];
        $high = $lb === null || $im === null ? null : $this->share?->highest($lb->t, $im->t);
        $impact = $im === null ? null : $this->share?->at($im->t);
        if ($high === null || $impact === null) {
            $why = $this->why(['LB' => $lb, 'IM' => $im]);

            return [Measure::LeadPeak->value => Measured::none('%', $why), Measure::CopStyle->value => Measured::none('style', $why)];
        }

        return [
            Measure::LeadPeak->value => Measured::value('%', $high->value, hypot($this->offset, $this->noise), ['LB', 'IM'], $this->derived),
            Measure::CopStyle->value => Measured::word('style', $high->value - $impact >= 15.0 ? 'returning' : 'forward', ['LB', 'IM']),
        ];
    }

    private function fallback(): Measured
    {
        [$im, $fi] = [$this->evidence->stations->get(Station::Impact), $this->evidence->stations->get(Station::Finish)];
        $low = $im === null || $fi === null ? null : $this->share?->lowest($im->t, $fi->t);
        $impact = $im === null ? null : $this->share?->at($im->t);
        if ($im === null || $low === null || $impact === null) {
            return Measured::none('%', $this->why(['IM' => $im, 'FI' => $fi]));
        }

        return Measured::value('%', $impact - $low->value, hypot($this->noise, $this->timedNoise($im)), ['IM', 'FI'], $this->derived);
    }

    private function surge(): Measured
    {
        [$im, $st] = [$this->evidence->stations->get(Station::Impact), $this->evidence->stations->get(Station::ThroughShaft)];
        $high = $im === null || $st === null ? null : $this->share?->highest($im->t, $st->t);
        $impact = $im === null ? null : $this->share?->at($im->t);
        if ($im === null || $high === null || $impact === null) {
            return Measured::none('%', $this->why(['IM' => $im, 'ST' => $st]));
        }

        return Measured::value('%', $high->value - $impact, hypot($this->noise, $this->timedNoise($im)), ['IM', 'ST'], $this->derived);
    }

    /** @return array<string, Measured> */
    private function rise(): array
    {
        $s = $this->evidence->stations;
        [$lb, $sd, $im] = [$s->get(Station::BackswingArm) ?? $s->get(Station::Top), $s->get(Station::DownswingShaft), $s->get(Station::Impact)];
        $trace = $this->evidence->trace;
        $total = $trace?->totalForce()?->smoothed(0.012);
        $why = match (true) {
            $trace === null => 'no force was recorded',
            ! $trace->device->measuresForce() => 'a pressure mat knows shares, not newtons',
            $total === null => "needs the golfer's mass",
            default => $this->why(['LB' => $lb, 'SD' => $sd, 'IM' => $im]),
        };
        $dip = $lb === null || $sd === null ? null : $total?->lowest($lb->t, $sd->t);
        $peak = $dip === null || $im === null ? null : $total?->highest($dip->t, $im->t + 0.05);
        if ($im === null || $peak === null) {
            return [Measure::Rise->value => Measured::none('%BW', $why), Measure::RiseAt->value => Measured::none('ms', $why)];
        }

        return [
            Measure::Rise->value => Measured::value('%BW', $peak->value, 1.5, ['LB', 'SD', 'IM']),
            Measure::RiseAt->value => Measured::value('ms', 1000 * ($im->t - $peak->t), 1000 * sqrt($im->uncertainty ** 2 + $this->sampling ** 2 + 0.006 ** 2), ['IM']),
        ];
    }

    /** @param  array<string, StationTime|null>  $needed */
    private function why(array $needed): string
    {
        if ($this->share === null) {
            return $this->absent;
        }
        $missing = array_keys(array_filter($needed, static fn (?StationTime $t): bool => $t === null));

        return $missing === []
            ? 'the recording does not cover the stations it needs, or samples are missing there'
            : 'the time of station '.implode(' and ', $missing).' is not known';
    }
}
