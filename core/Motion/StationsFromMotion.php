<?php

declare(strict_types=1);

namespace Core\Motion;

use Core\CoreException;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;

/**
 * Finds the nine stations from body points: the shaft is level where club head and grip are equally high, the lead
 * arm where hand and shoulder are – true in any view that sees heights. The top is where the shaft's angular rate
 * about the plane of the downswing changes sign; impact where the club head passes its place at address (its lowest
 * point where the view cannot see along the target line); address by extrapolating the first move back to nothing.
 */
final class StationsFromMotion
{
    /** Half-widths of the smoothing windows for positions and for speeds, s. */
    public const POSITION = 0.018;

    public const SPEED = 0.03;

    /** Displacements of the club head between which its first move is extrapolated, mm. */
    private const FIRST_MOVE = 12.0;

    /**
     * What is unsure of the address where its start is not seen, s, and beside it as a part of the time until it is;
     * and else as a part of the time that the club takes from a first to a fourfold displacement.
     */
    private const UNSEEN_START = [0.05, 0.7];

    private const START = 0.33;

    /** The club is lowest so near to where the ball is, as a part of the time from the top. */
    private const LOWEST = 0.025;

    /** The club is fastest so near its lowest place, and a swing is over so long after it, s. */
    private const STRIKE = 0.2;

    private const OVER = 0.8;

    private readonly Motion $motion;

    /** @var array<string, Remark> */
    private array $doubts = [];

    /** Where what belongs to this swing begins, s. */
    private float $from;

    private ?Top $top = null;

    /** What is unsure of the address because its start is not seen, s. */
    private float $address = 0.0;

    /** By how much the finish depends on what is called rest, s. */
    private float $finish = 0.0;

    /** @throws CoreException */
    private function __construct(private readonly Views $views, View $view)
    {
        $this->motion = $views->of($view) ?? throw MotionException::because('no-view');
        $this->from = $this->motion->t0;
    }

    /**
     * Null where no view holds club head, grip, lead hand and lead shoulder.
     *
     * @throws CoreException
     */
    public static function find(Views $views): ?FoundStations
    {
        foreach ($views->motions as $motion) {
            if (
                $motion->has('club_head') &&
                $motion->has('grip') &&
                $motion->has('lead_hand') &&
                $motion->has('lead_shoulder')
            ) {
                return (new self($views, $motion->view))->stations();
            }
        }

        return null;
    }

    /** @throws CoreException */
    private function stations(): ?FoundStations
    {
        $strikes = Strikes::in($this->motion);
        if ($strikes === []) {
            return null;
        }
        $speeds = array_column($strikes, 'speed');
        $which = (int) array_search(max($speeds), $speeds, true);
        $this->from = isset($strikes[$which - 1]) ? $strikes[$which - 1]['t'] + self::OVER : $this->motion->t0;
        $fast = $this->motion->speed('club_head', self::SPEED)->highest(
            $strikes[$which]['t'] - self::STRIKE,
            $strikes[$which]['t'] + self::STRIKE,
        );
        if ($fast === null) {
            return null;
        }
        $shaft = $this->difference('club_head', 'grip');
        $arm = $this->difference('lead_hand', 'lead_shoulder');
        $noise = $this->views->noise($this->motion->view);
        $this->top = Top::of(
            $this->motion,
            $shaft,
            static fn (float $window): float => M_SQRT2 * $noise->slope($window),
            $this->from,
            $fast->t,
        );
        if ($this->top === null) {
            return null;
        }
        if ($this->top->doubt !== null) {
            $this->doubts['TP'] = $this->top->doubt;
        }
        $tp = $this->top->t;
        $lb = Crossing::lastRise($arm, $this->from, $tp);
        // The last time: a waggle may have lifted the shaft before.
        $tb = Crossing::lastRise($shaft, $this->from, $lb ?? $tp);
        $ld = Crossing::firstFall($arm, $tp, $fast->t + 0.15);
        $sd = Crossing::lastFall($shaft, $tp, $fast->t + 0.05);
        $ad = $this->address($tb ?? $tp - 0.3);
        $im = $this->impact($ad, $sd ?? $fast->t - 0.05, $fast->t);
        $st = $im === null ? null : Crossing::firstRise($shaft, $im, $im + 0.35);
        $fi = $im === null ? null : $this->finish($im);
        $found = array_filter(
            [
                'AD' => $ad,
                'TB' => $tb,
                'LB' => $lb,
                'TP' => $tp,
                'LD' => $ld,
                'SD' => $sd,
                'IM' => $im,
                'ST' => $st,
                'FI' => $fi,
            ],
            static fn (?float $t): bool => $t !== null,
        );
        $this->doubt($found);
        $times = [];
        $last = -INF;
        foreach (Station::cases() as $station) {
            $t = $found[$station->value] ?? null;
            if ($t === null) {
                continue;
            }
            if ($t <= $last) {
                $this->doubts[$station->value] = Remark::of(Doubt::OutOfOrder);

                continue;
            }
            $times[$station->value] = new StationTime(
                $t,
                $this->uncertainty($station, $t, $shaft, $arm),
                StationSource::Motion,
            );
            $last = $t;
        }

        return new FoundStations(StationTimes::fromTimes($times), $this->doubts);
    }

    /** @param  array<string, float>  $found */
    private function doubt(array $found): void
    {
        foreach (['AD', 'TP', 'IM', 'FI'] as $code) {
            if (! isset($found[$code])) {
                $this->doubts[$code] = Remark::of(Doubt::NotFound);
            }
        }
        $down = ($found['IM'] ?? NAN) - ($found['TP'] ?? NAN);
        if ($down < 0.14 || $down > 0.45) {
            $this->doubts['TP'] ??= Remark::of(Doubt::OddDownswing, down_ms: 1000 * $down);
        }
        if (! $this->motion->view->sees(Axis::X)) {
            foreach (['AD', 'TP'] as $code) {
                $this->doubts[$code] ??= Remark::of(Doubt::FilmedAlongTheLine);
            }
        }
        $back = ($found['TP'] ?? NAN) - ($found['AD'] ?? NAN);
        if ($back < 0.45 || $back > 1.6) {
            $this->doubts['AD'] = Remark::of(Doubt::OddBackswing, back_s: $back);
        }
    }

    /** @throws CoreException */
    private function coordinate(string $point, Axis $axis): Series
    {
        return $this->motion->coordinate($point, $axis);
    }

    /** @return list<Axis> the axes this view sees */
    private function axes(): array
    {
        return array_values(array_filter(Axis::cases(), fn (Axis $axis): bool => $this->motion->view->sees($axis)));
    }

    /**
     * Difference of height of two points, smoothed, mm.
     *
     * @throws CoreException
     */
    private function difference(string $a, string $b): Series
    {
        $low = $this->coordinate($b, Axis::Z)->values;
        $values = array_map(
            static fn (float $x, float $y): float => $x - $y,
            $this->coordinate($a, Axis::Z)->values,
            $low,
        );

        return (new Series($this->motion->rateHz, $values, $this->motion->t0))->smoothed(self::POSITION);
    }

    /**
     * The first move back to nothing: a body that starts from rest with a steady acceleration has moved four times as
     * far after twice the time, so the start lies as far before one displacement as that lies before four of it.
     *
     * @throws CoreException
     */
    private function address(float $tb): ?float
    {
        $still = $this->stillest($tb);
        if ($still === null) {
            return null;
        }
        $moved = [];
        foreach ($this->axes() as $axis) {
            $series = $this->coordinate('club_head', $axis);
            $rest = $series->mean($still - 0.12, $still + 0.12);
            foreach ($series->smoothed(self::POSITION)->values as $i => $v) {
                $moved[$i] = ($moved[$i] ?? 0.0) + ($v - ($rest ?? $v)) ** 2;
            }
        }
        $distance = new Series($this->motion->rateHz, array_values(array_map(sqrt(...), $moved)), $this->motion->t0);
        $near = Crossing::lastRise($distance->minus(self::FIRST_MOVE), $still, $tb);
        $far = Crossing::lastRise($distance->minus(4 * self::FIRST_MOVE), $still, $tb);
        if ($near === null || $far === null) {
            $this->doubts['AD'] = Remark::of(Doubt::NeverStill);

            return $near;
        }

        if (! $this->motion->view->sees(Axis::X)) {
            // It starts along the line, unseen: what is seen of it grows with a higher power of the time.
            $ad = $near - ($far - $near) / (4.0 ** (1.0 / 3.0) - 1.0);
            $this->address = hypot(self::UNSEEN_START[0], self::UNSEEN_START[1] * ($near - $ad));

            return max($this->motion->t0, $ad);
        }

        $this->address = self::START * ($far - $near);

        return max($this->motion->t0, 2 * $near - $far);
    }

    /**
     * The middle of the quarter second before the takeaway in which the club head moves least.
     *
     * @throws CoreException
     */
    private function stillest(float $tb): ?float
    {
        $speed = $this->motion->speed('club_head', 0.05);
        $best = null;
        for ($t = $tb - 0.15; $t >= max($this->from + 0.12, $tb - 1.2); $t -= 0.02) {
            $mean = $speed->mean($t - 0.12, $t + 0.12);
            if ($mean !== null && ($best === null || $mean < $best[1] - 4.0)) {
                $best = [$t, $mean];
            }
        }
        if ($best !== null && $best[1] > 150.0) {
            $this->doubts['AD'] = Remark::of(Doubt::NeverStill);
        }

        return $best === null ? null : $best[0];
    }

    /** @throws CoreException */
    private function impact(?float $ad, float $sd, float $fast): ?float
    {
        if ($this->motion->view->sees(Axis::X) && $ad !== null) {
            $x = $this->coordinate('club_head', Axis::X);
            $place = $x->mean($ad - 0.08, $ad);
            if ($place !== null) {
                $passes = Crossing::firstRise($x->minus($place), $sd, $fast + 0.15);
                if ($passes !== null) {
                    return $passes;
                }
            }
        }
        $lowest = $this->coordinate('club_head', Axis::Z)->smoothed(self::POSITION)->lowest($sd, $fast + 0.15);
        $this->doubts['IM'] = Remark::of(Doubt::LowestPoint);

        return $lowest?->t;
    }

    /** @throws CoreException */
    private function finish(float $im): ?float
    {
        $hips = $this->motion->has('lead_hip') && $this->motion->has('trail_hip');
        $pelvis = $hips || $this->motion->has('pelvis') ? $this->pelvisSpeed() : null;
        $finish = Finish::of($this->motion->speed('club_head', 0.04), $pelvis, $im, count($this->axes()) === 3);
        $this->finish = $finish->uncertainty ?? 0.0;
        if ($finish?->isSlow() === true) {
            $this->doubts['FI'] = Remark::of(Doubt::ComesToRestSlowly);
        }

        return $finish?->t;
    }

    /** @throws CoreException */
    private function pelvisSpeed(): Series
    {
        $sum = [];
        foreach ($this->axes() as $axis) {
            foreach (
                $this->views->in($this->motion->view, 'pelvis', $axis)?->derivative(0.06)->values ?? [] as $i => $v
            ) {
                $sum[$i] = ($sum[$i] ?? 0.0) + $v * $v;
            }
        }

        return new Series($this->motion->rateHz, array_values(array_map(sqrt(...), $sum)), $this->motion->t0);
    }

    /**
     * Half-width of a 95 % interval, s: between two frames, and the points' noise over the speed of the crossing.
     *
     * @throws CoreException
     */
    private function uncertainty(Station $station, float $t, Series $shaft, Series $arm): float
    {
        $frame = 1.0 / $this->motion->rateHz;
        $sensor = $this->views->noise($this->motion->view);
        $noise = $sensor->factor() * M_SQRT2 * $sensor->smoothed(self::POSITION);
        $level = static function (Series $height) use ($t, $noise): float {
            $h = 0.012;
            $now = $height->at($t) ?? 0.0;
            [$before, $after] = [$height->at($t - $h) ?? $now, $height->at($t + $h) ?? $now];
            $speed = abs($after - $before) / (2 * $h);
            $bends = abs($before - 2 * $now + $after) / $h ** 2;

            // What comes to its level only just is bent away from it before the noise has told when.
            return min($noise / max(1.0, $speed), sqrt(2.0 * $noise / max(1.0, $bends)));
        };
        $own = match ($station) {
            Station::TakeawayShaft, Station::DownswingShaft, Station::ThroughShaft => $level($shaft),
            Station::BackswingArm, Station::DownswingArm => $level($arm),
            Station::Top => hypot(0.003, $this->top->uncertainty ?? 0.0),
            Station::Impact => isset($this->doubts['IM'])
                ? hypot(1.5 * $frame, self::LOWEST * ($t - ($this->top->t ?? $t)))
                : 0.002,
            Station::Address => hypot(0.015, $this->address),
            Station::Finish => hypot(count($this->axes()) === 3 ? 0.02 : 0.045, $this->finish),
        };

        return hypot(0.475 * $frame, $own);
    }
}
