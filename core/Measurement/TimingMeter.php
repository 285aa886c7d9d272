<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Crossing;
use Core\Motion\Station;
use Core\Motion\Turn;
use Core\Remark\Remark;
use Core\Trace\Extreme;
use Core\Trace\Series;

/** The measures of rhythm, and of what goes before what. */
final readonly class TimingMeter
{
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
        $steep = $share->slope()->highest($lb->t, $im->t);
        $low = $share->series->lowest($lb->t, $im->t);
        // The last time before impact; where it never comes over, its steepest rise.
        $crosses = Crossing::lastRise($share->series->minus(50.0), $lb->t, $im->t) ?? $steep?->t;
        $rise = $steep === null || $crosses === null
            ? null
            : self::startOf($share->slope(), new Extreme($crosses, $steep->value), 0.20, $lb->t);
        $rate = $turn->rate();
        $fast = $rate->highest($tp->t, $im->t);
        $open = $fast === null ? null : self::startOf($rate, $fast, 0.05, $lb->t);
        if ($rise === null || $open === null || $steep === null || $fast === null) {
            return Measured::none('ms', Remark::of(Lack::NotFollowed));
        }
        if ($low !== null && $low->value >= 50.0 && $open > $lb->t) {
            return Measured::censored(
                'ms',
                'below',
                1000 * ($lb->t - $open),
                1000 * $lb->uncertainty,
                Bound::PressureWasThere,
                ['LB', 'TP', 'IM'],
            )->within($lb->t, $im->t);
        }
        $u = hypot(
            self::timing($share->slope(), $rise, $share->slopeNoise()),
            self::timing(
                $rate,
                $open,
                $turn->series->slopeNoise(0.035) * ($turn->indirect ? 3.0 : $turn->uncertainty / 1.5),
            ),
        );

        return Measured::value(
            'ms',
            1000 * ($rise - $open),
            1000 * ($turn->indirect ? hypot($u, 0.03) : $u),
            ['LB', 'TP', 'IM'],
            $share->derived,
        )
            ->within(min($rise, $open), $im->t)
            ->indirectly($turn->indirect ? Proxy::ApparentShoulders : null);
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

    /** How well the time of a crossing of a rate is known, s: its noise over how fast the rate grows there. */
    private static function timing(Series $rate, float $t, float $noise): float
    {
        $h = 0.02;
        $growth = abs(($rate->at($t + $h) ?? 0.0) - ($rate->at($t) ?? 0.0)) / $h;

        return hypot(0.475 / $rate->rateHz, min(0.05, $noise / max(1e-6, $growth)));
    }
}
