<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Crossing;
use Core\Motion\Station;
use Core\Motion\Turn;
use Core\Remark\Remark;
use Core\Trace\Extreme;
use Core\Trace\Noise;
use Core\Trace\Series;

/** The measures of rhythm, and of what goes before what. */
final readonly class TimingMeter
{
    /** The part of its steepest at which the share's rise begins, and of its fastest at which the chest opens. */
    private const RISES = 0.20;

    private const OPENS = 0.05;

    /** A turn told from a width trembles more where the line is square than where it was looked at. */
    private const FROM_WIDTH = 3.0;

    /** Crossings that lie farther apart are of different rises, s. */
    private const APART = 0.05;

    /** By how much a start depends on what of its shape smoothing has left, s. */
    private const SHAPE = 0.009;

    /** So many times its ± the share may be off before another rise is the one. */
    private const SURELY = 1.3;

    /** How many times wider a window is that tells what this one does; a start is brought forward by no more, s. */
    private const WIDER = 1.5;

    private const MOST_FORWARD = 0.02;

    private const POWER = 1.5;

    /** @param  float  $window  half-width of the smoothing of rates that are compared, s */
    public function __construct(private Signals $signals, private float $window = 0.030)
    {
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return ['tempo' => $this->tempo(), 'chest_first' => $this->chestFirst()];
    }

    private function tempo(): Measured
    {
        [$ad, $tp, $im] = array_map($this->signals->time(...), [Station::Address, Station::Top, Station::Impact]);
        if ($ad === null || $tp === null || $im === null) {
            return Measured::none('ratio', Remark::of(Lack::Tempo));
        }
        $back = $tp->t - $ad->t;
        $down = $im->t - $tp->t;
        $ratio = $back / $down;
        // The top stands in both spans: back grows by what down loses.
        $u =
            $ratio *
            hypot(
                hypot($ad->uncertainty / $back, $im->uncertainty / $down),
                $tp->uncertainty * (1.0 / $back + 1.0 / $down),
            );

        return Measured::value('ratio', $ratio, $u, ['AD', 'TP', 'IM'])->within($ad->t, $im->t);
    }

    /**
     * When the rise of the share starts that crosses the half, minus when the chest starts to open; positive = chest
     * first. Where the share never was below the half by then, the pressure had come before.
     *
     * @throws CoreException
     */
    private function chestFirst(): Measured
    {
        $needed = [Station::BackswingArm, Station::Top, Station::Impact];
        [$lb, $tp, $im] = array_map($this->signals->time(...), $needed);
        $share = $this->signals->share();
        $turn = Turn::ofJoint($this->signals->evidence->views, 'shoulder', $this->signals->evidence->stations);
        if ($share === null || $turn === null || $lb === null || $tp === null || $im === null) {
            return Measured::none(
                'ms',
                match (true) {
                    $share === null => $this->signals->whyNoShare() ?? Remark::of(Lack::NoTrace),
                    $turn === null => $this->signals->evidence->views->motions === []
                        ? Remark::of(Lack::NoPoints)
                        : Remark::of(Lack::Shoulders),
                    default => $this->signals->whyNot($needed),
                },
            );
        }
        // Both rates over equal windows: a smoothing brings every start forward, and so by as much.
        $pushes = $share->over($this->window);
        $opens = $this->opening($turn);
        $told = $this->signals->jitter->told;
        $steep = $pushes->slope()->highest($lb->t, $im->t);
        $low = $share->series->lowest($lb->t, $im->t);
        // The last time before impact; where it never comes over, its steepest rise.
        $crosses = Crossing::lastRise($share->series->minus(50.0), $lb->t, $im->t) ?? $steep?->t;
        $begins = static fn (Series $c, Moments $t): ?float => $crosses === null
            || ($steep = $c->highest($t->at('LB'), $t->at('IM'))) === null
            ? null
            : self::startOf($c, new Extreme($crosses, $steep->value), self::RISES, $t->at('LB'));
        $turns = static fn (Series $c, Moments $t): ?float => ($fast = $c->highest($t->at('TP'), $t->at('IM'))) === null
            ? null
            : self::startOf($c, $fast, self::OPENS, $t->at('LB'));
        $rise = $this->sharp($pushes, $begins);
        $open = $this->sharp($opens, $turns);
        $opened = $turns($opens->slope(), $told);
        if ($rise === null || $open === null || $opened === null) {
            return Measured::none('ms', Remark::of(Lack::NotFollowed));
        }
        if ($low !== null && $low->value >= 50.0 && $opened > $lb->t) {
            return Measured::censored(
                'ms',
                'below',
                1000 * ($lb->t - $opened),
                1000 * $lb->uncertainty,
                Bound::PressureWasThere,
                ['LB', 'TP', 'IM'],
            )->within($lb->t, $im->t);
        }
        $u = hypot(
            hypot(hypot($rise->uncertainty, $open->uncertainty), self::SHAPE),
            $this->whichRise($share, $lb->t, $im->t, $crosses),
        );

        return Measured::value(
            'ms',
            1000 * ($rise->value - $open->value),
            1000 * ($turn->indirect ? hypot($u, 0.03) : $u),
            ['LB', 'TP', 'IM'],
            $share->derived,
        )
            ->within(min($rise->value, $open->value), $im->t)
            ->indirectly($turn->indirect ? Proxy::ApparentShoulders : null);
    }

    /**
     * Where the share's ± decides which of several rises crosses the half: how far apart they lie, s; else nought.
     *
     * @throws CoreException
     */
    private function whichRise(SmoothSignal $share, float $from, float $to, ?float $crosses): float
    {
        if ($crosses === null) {
            return 0.0;
        }
        $by = self::SURELY * hypot($share->constant($crosses), $share->noiseAt($crosses));
        $apart = 0.0;
        foreach ([50.0 - $by, 50.0 + $by] as $level) {
            $other = Crossing::lastRise($share->series->minus($level), $from, $to) ?? $crosses;
            $apart = max($apart, abs($other - $crosses));
        }

        return $apart > self::APART ? $apart : 0.0;
    }

    /**
     * The start of a rate as it would be without smoothing: a window brings a kink forward by its width, a bend by
     * its square, so what a wider one brings it forward more tells how much this one does.
     *
     * @param  callable(Series, Moments): ?float  $starts
     *
     * @throws CoreException
     */
    private function sharp(SmoothSignal $signal, callable $starts): ?ReadOff
    {
        $read = $signal->readSlope($starts);
        $wider = $starts($signal->over(self::WIDER * $this->window)->slope(), $this->signals->jitter->told);
        $here = $starts($signal->slope(), $this->signals->jitter->told);
        if ($read === null || $wider === null || $here === null) {
            return $read;
        }
        $forward = ($here - $wider) / (self::WIDER ** self::POWER - 1.0);

        // Where the wider one finds another start altogether, it tells nothing.
        return abs($forward) > self::MOST_FORWARD
            ? $read
            : new ReadOff($read->value + $forward, hypot($read->uncertainty, $forward));
    }

    /**
     * The chest's turn, for its rate.
     *
     * @throws CoreException
     */
    private function opening(Turn $turn): SmoothSignal
    {
        $sensor = Noise::of($turn->series, $this->window, $turn->uncertainty / 3.0);

        return new SmoothSignal(
            $turn->series,
            $turn->indirect ? $sensor->times(self::FROM_WIDTH) : $sensor,
            0.0,
            $this->window,
            $this->window,
            $this->signals->jitter,
            key: 'chest',
        );
    }

    /** The last time before an extreme of a rate at which the rate rises through a part of it. */
    private static function startOf(Series $rate, Extreme $extreme, float $part, float $from): ?float
    {
        $level = $part * $extreme->value;
        $step = 1.0 / $rate->rateHz;
        $later = $extreme->value;
        for ($t = $extreme->t - $step; $t >= $from - 1e-9; $t -= $step) {
            $v = $rate->at($t);
            if ($v === null) {
                return null;
            }
            if ($v <= $level) {
                return $t + $step * ($later > $v ? ($level - $v) / ($later - $v) : 0.0);
            }
            $later = $v;
        }

        return $from;
    }
}
