<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Remark\Remark;
use Core\Trace\Extreme;
use Core\Trace\Series;

/** The measures that come from the lead share: docs/measuring.md, setup_share to cop_style. */
final readonly class ShareMeter
{
    /** How long a crossing of the half must be held to count, s. */
    private const HOLD = 0.030;

    /** Points of share to be lost from the peak by impact for the path to be called returning. */
    private const RETURNING = 15.0;

    private const SETUP_SPAN = 0.3;

    /** Replays about a calmer course than the true one tell by so much too narrowly which of its places is the most. */
    private const SHORT = 1.25;

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

        return Measured::value(
            '%',
            $mean,
            hypot($share->constant($ad->t), $share->meanNoise(self::SETUP_SPAN)),
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
            hypot($this->share->meanNoise(self::SETUP_SPAN), $this->share->timed($tb)),
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
        $low = Peak::between('AD', 'TP', -1);
        $span = [Station::Address, Station::Top];
        $least = Peak::value($low);

        return [
            'trail_peak' => $this->off(
                '%',
                $span,
                static fn (Series $c, Moments $t): ?float => ($v = $least($c, $t)) === null ? null : 100.0 - $v,
            ),
            'trail_peak_at' => $this->off('fraction', $span, Peak::part($low, 'AD', 'TP'))
                ->times(self::SHORT)->near($this->nearest($low)),
        ];
    }

    /**
     * How far the trail foot is pressed again after the top.
     *
     * @throws CoreException
     */
    private function secondPeak(): Measured
    {
        return $this->off(
            '%',
            [Station::Top, Station::DownswingArm],
            static fn (Series $c, Moments $t): ?float => ($top = $c->at($t->at('TP'))) === null
                || ($low = $c->lowest($t->at('TP'), $t->at('LD'))) === null
                ? null
                : max(0.0, $top - $low->value),
        );
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
        $crossing = static function (Series $c, Moments $t): ?float {
            $from = $c->lowest($t->at('AD'), $t->at('TP'));

            return $from === null ? null : $c->risesThrough(50.0, $from->t, $t->at('IM'), self::HOLD);
        };
        $at = $crossing($this->share->series, $this->signals->jitter->told);
        if ($at === null) {
            return Measured::censored(
                'ms',
                'below',
                1000 * ($tp->t - $im->t),
                1000 * hypot($tp->uncertainty, $im->uncertainty),
                Bound::NeverRecentred,
                $stations,
            )->within($ad->t, $im->t);
        }

        return $this->off(
            'ms',
            [Station::Address, Station::Top, Station::Impact],
            // Where a replay never comes over, it comes later than impact.
            static fn (Series $c, Moments $t): float => 1000 * ($t->at('TP') - ($crossing($c, $t) ?? $t->at('IM'))),
        )->within($low->t, max($at, $tp->t));
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function shiftRate(): array
    {
        $steep = Peak::between('LB', 'IM', 1);
        $span = [Station::BackswingArm, Station::Impact];

        return [
            'shift_rate' => $this->off('%/s', $span, Peak::value($steep), true),
            'shift_rate_at' => $this->off('ms', $span, Peak::before($steep, 'IM'), true, true)->times(self::SHORT),
        ];
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function leadPeak(): array
    {
        $high = Peak::between('LB', 'IM', 1);
        $span = [Station::BackswingArm, Station::Impact];
        $thrown = $this->off('%', $span, static fn (Series $c, Moments $t): ?float => ($at = $high($c, $t)) === null
            || ($impact = $c->at($t->at('IM'))) === null
            ? null
            : $at->value - $impact);
        $lost = $thrown->number();

        return [
            'lead_peak' => $this->off('%', $span, Peak::value($high)),
            'lead_peak_at' => $this->off('ms', $span, Peak::before($high, 'IM')),
            'cop_style' => $lost === null || $thrown->window === null
                ? Measured::none('style', $thrown->why())
                : Measured::word('style', $lost >= self::RETURNING ? 'returning' : 'forward', ['LB', 'IM'])->within(
                    ...$thrown->window,
                ),
            'thrown_back' => $thrown->near($this->nearest($high)),
        ];
    }

    /** @throws CoreException */
    private function fallback(): Measured
    {
        return $this->sinceImpact(-1, Station::Finish);
    }

    /** @throws CoreException */
    private function surge(): Measured
    {
        return $this->sinceImpact(1, Station::ThroughShaft);
    }

    /** @throws CoreException */
    private function sinceImpact(int $sign, Station $last): Measured
    {
        $end = $last->value;

        return $this->off(
            '%',
            [Station::Impact, $last],
            static fn (Series $c, Moments $t): ?float => ($impact = $c->at($t->at('IM'))) === null
                || ($far = $c->peak($t->at('IM'), $t->at($end), $sign)) === null
                ? null
                : max(0.0, $sign * ($far->value - $impact)),
        )->times(self::SHORT);
    }

    /**
     * What is read off the share's course between two stations, or off its slope's.
     *
     * @param  list<Station>  $needed  in order of time; the first and the last bound what it is made from
     * @param  callable(Series, Moments): ?float  $figure
     *
     * @throws CoreException
     */
    private function off(
        string $unit,
        array $needed,
        callable $figure,
        bool $slope = false,
        bool $calm = false,
    ): Measured {
        $from = $calm ? $this->share?->calmer() : $this->share;

        return $this->signals->read($from, $unit, $needed, $figure, $slope) ?? $this->none($unit, $needed);
    }

    /**
     * @param  callable(Series, Moments): ?Extreme  $extreme
     */
    private function nearest(callable $extreme): ?Station
    {
        $told = $this->signals->jitter->told;
        $at = $this->share === null || ! $told->has('AD', 'LB', 'TP', 'IM')
            ? null
            : $extreme($this->share->series, $told);

        return $at === null ? null : $this->signals->evidence->stations->nearest($at->t);
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
