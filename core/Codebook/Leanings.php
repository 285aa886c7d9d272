<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Measurement\Measure;
use Core\Measurement\Measured;
use Core\Measurement\Measurements;
use Core\Motion\Station;
use Core\Motion\StationTimes;

/**
 * Which way a swing's footwork leans its flight: a later push, a foot that screws in and stays, more shift than turn
 * and closed hips to a draw; an early push, a foot that spins out or leaves early and open hips to a fade. A point
 * each; they may cancel. Words that hold for either hand.
 */
final readonly class Leanings
{
    /** @param  list<Leaning>  $traits */
    private function __construct(public array $traits)
    {
    }

    public static function of(Measurements $m, StationTimes $stations): self
    {
        return new self([
            self::between('lead-push', Measure::RiseAt, $m->get(Measure::RiseAt), 45.0, 75.0),
            self::between('trail-foot', Measure::FootSpin, $m->get(Measure::FootSpin), -8.0, 12.0),
            self::leaves($m, $stations),
            self::shiftOrTurn($m),
            self::between('hips', Measure::PelvisTurn, $m->get(Measure::PelvisTurn, 'IM'), 28.0, 42.0),
        ]);
    }

    /** Points to a fade less points to a draw. */
    public function sum(): int
    {
        return $this->count('fade') - $this->count('draw');
    }

    /** Whether traits lean both ways. */
    public function cancels(): bool
    {
        return $this->count('fade') > 0 && $this->count('draw') > 0;
    }

    /** @param  'draw'|'fade'  $side */
    public function count(string $side): int
    {
        return count(array_filter($this->traits, static fn (Leaning $l): bool => $l->side === $side));
    }

    public function isMeasured(): bool
    {
        return array_filter($this->traits, static fn (Leaning $l): bool => $l->side !== null) !== [];
    }

    private static function between(string $trait, Measure $measure, Measured $m, float $draw, float $fade): Leaning
    {
        $value = $m->number();
        // A bound stands for all that lies beyond it.
        $side = match (true) {
            $value === null => null,
            $value < $draw => $m->censored === 'above' ? null : 'draw',
            $value > $fade => $m->censored === 'below' ? null : 'fade',
            default => $m->censored === null ? 'even' : null,
        };
        $beyond = $value === null ? 0.0 : max($draw - $value, $value - $fade);

        return new Leaning($trait, $measure, $side, $beyond >= ($m->uncertainty ?? 0.0), $value);
    }

    /** A trail heel that leaves the ground before the shaft is level coming down. */
    private static function leaves(Measurements $m, StationTimes $stations): Leaning
    {
        $lift = $m->get(Measure::TrailHeelLiftAt);
        [$sd, $im] = [$stations->t(Station::DownswingShaft), $stations->t(Station::Impact)];
        $value = $lift->number();
        if ($value === null || $sd === null || $im === null) {
            return new Leaning('heel-leaves', Measure::TrailHeelLiftAt, null, false, $value);
        }
        $before = $value - 1000.0 * ($im - $sd);
        $isUp = $lift->censored === null && $before > 0.0;

        return new Leaning(
            'heel-leaves',
            Measure::TrailHeelLiftAt,
            $isUp ? 'fade' : 'even',
            $isUp && $before >= ($lift->uncertainty ?? 0.0),
            $value,
        );
    }

    private static function shiftOrTurn(Measurements $m): Leaning
    {
        $ranked = $m->get(Measure::Emphasis)->value;
        $order = is_array($ranked) ? array_flip($ranked) : [];
        $isShift = isset($order['side_push'], $order['twist']) ? $order['side_push'] < $order['twist'] : null;

        return new Leaning(
            'shift-or-turn',
            Measure::Emphasis,
            $isShift === null ? null : ($isShift ? 'draw' : 'even'),
            $isShift === true,
            $isShift === null ? null : ($isShift ? 'side_push' : 'twist'),
        );
    }
}
