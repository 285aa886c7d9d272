<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\Vec3;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Noise;
use Core\Trace\Series;
use Core\Trace\Side;

/** The measures of heels, knees, hips and the turn of the trail foot. */
final readonly class LegMeter
{
    /** A heel counts as lifted from here, mm. */
    private const LIFTED = 15.0;

    /** Part of a foot's length between heel and ball. */
    private const HEEL_TO_BALL = 0.72;

    /** The bend of a knee is looked at from so long before the top, s. */
    private const BENDS = 0.9;

    private Views $views;

    public function __construct(private Signals $signals)
    {
        $this->views = $signals->evidence->views;
    }

    /**
     * @return array<string, Measured|array<string, Measured>>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            ...$this->trailHeel(),
            'foot_spin' => $this->footSpin(),
            ...$this->leadHeel(),
            'lead_knee_flex' => $flex = $this->kneeFlex(),
            'lead_knee_gain' => $this->gain($flex['AD'], $flex['TP']),
            'lead_hip_back' => $this->hipBack(),
            ...$this->kneeGap(),
            'lead_flare' => $this->flare(Side::Lead),
            'trail_flare' => $this->flare(Side::Trail),
        ];
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function trailHeel(): array
    {
        $im = $this->signals->time(Station::Impact);
        $needed = [Station::Address, Station::Impact];
        $z = $this->signals->point('trail_heel', Axis::Z);
        $lift = $this->signals->read($z, 'cm', $needed, self::liftOf(...));
        if ($lift === null || $im === null) {
            $why = $this->why('trail_heel', $needed);

            return [
                'trail_heel_lift' => Measured::none('cm', $why),
                'trail_heel_lift_at' => Measured::none('ms', $why),
            ];
        }
        $lifts = static fn (Series $c, Moments $t): ?float => ($rest = self::rest($c, $t)) === null
            ? null
            : $c->risesThrough($rest + self::LIFTED, $t->at('AD'), $t->at('IM'), 0.02);
        $at = $this->signals->read($z, 'ms', $needed, static function (Series $c, Moments $t) use ($lifts): ?float {
            $at = $lifts($c, $t);

            return $at === null || $at >= $t->at('IM') ? null : 1000 * ($t->at('IM') - $at);
        });

        return [
            'trail_heel_lift' => $lift,
            'trail_heel_lift_at' => $at ?? Measured::censored(
                'ms',
                'below',
                0.0,
                1000 * $im->uncertainty,
                Bound::TrailHeelDown,
                ['AD', 'IM'],
            )->within(...($lift->window ?? [$im->t, $im->t])),
        ];
    }

    /**
     * How high a heel stands before it moves, mm.
     */
    private static function rest(Series $height, Moments $t): ?float
    {
        return $height->mean($t->at('AD') - 0.1, $t->at('AD') + 0.02);
    }

    /**
     * How high a heel is lifted between address and impact, cm.
     */
    private static function liftOf(Series $height, Moments $t): ?float
    {
        $rest = self::rest($height, $t);
        $high = $height->peak($t->at('AD'), $t->at('IM'), 1);

        return $rest === null || $high === null ? null : max(0.0, $high->value - $rest) / 10.0;
    }

    /** @throws CoreException */
    private function footSpin(): Measured
    {
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $x = [$this->views->coordinate('trail_heel', Axis::X), $this->views->coordinate('trail_ball', Axis::X)];
        if ($x[0] === null || $x[1] === null) {
            return Measured::none('degrees', Remark::of(Lack::TrailFoot));
        }
        if ($ad === null || $im === null) {
            return Measured::none('degrees', $this->signals->whyNot([Station::Address, Station::Impact]));
        }
        $spatial = $this->views->in(View::Points, 'trail_ball', Axis::Y) !== null;
        $before = $spatial ? $this->heading($ad->t) : $this->outlined($ad->t);
        $after = $spatial ? $this->heading($im->t) : $this->outlined($im->t);
        if ($before === null || $after === null) {
            return Measured::none('degrees', $this->signals->whyNot([Station::Address, Station::Impact]));
        }
        $turn = fmod($after - $before + 540.0, 360.0) - 180.0;
        $next = $spatial ? $this->heading($im->t + 0.01) : $this->outlined($im->t + 0.01);
        $timing = $next === null ? 0.0 : (fmod($next - $after + 540.0, 360.0) - 180.0) / 0.01 * $im->uncertainty;
        $u = $spatial ? rad2deg(2.0 * $this->views->error(View::Points, false) / 190.0) : 9.0;

        return Measured::value('degrees', $turn, hypot($u, $timing), ['AD', 'IM'])
            ->between($ad->t, $im->t)
            ->indirectly($spatial ? null : Proxy::TrailFootOutline);
    }

    /**
     * Heading of the trail foot in degrees from the toe line, positive toward the target.
     *
     * @throws CoreException
     */
    private function heading(float $t): ?float
    {
        $ball = $this->views->point('trail_ball', $t);
        $heel = $this->views->point('trail_heel', $t);

        return $ball === null || $heel === null ? null : rad2deg(atan2($ball->x - $heel->x, $ball->y - $heel->y));
    }

    /**
     * The same from face-on film: how far the foot's known length is foreshortened along the target line.
     *
     * @throws CoreException
     */
    private function outlined(float $t): ?float
    {
        $length =
            self::HEEL_TO_BALL *
            (($this->signals->evidence->stance ?? $this->signals->trace()?->stance)->trail->lengthMm ?? 270.0);
        $c = [];
        foreach (['trail_ball', 'trail_heel'] as $point) {
            foreach ([Axis::X, Axis::Z] as $axis) {
                $c[] = $this->views->in(View::FaceOn, $point, $axis)?->at($t) ?? NAN;
            }
        }
        [$bx, $bz, $hx, $hz] = $c;
        $flat = sqrt(max(1.0, $length * $length - ($hz - $bz) ** 2));

        return is_nan($bx + $hx + $flat) ? null : rad2deg(asin(max(-1.0, min(1.0, ($bx - $hx) / $flat))));
    }

    /**
     * @return array<string, Measured>
     *
     * @throws CoreException
     */
    private function leadHeel(): array
    {
        [$ad, $tp, $im] = array_map($this->signals->time(...), [Station::Address, Station::Top, Station::Impact]);
        $z = $this->signals->point('lead_heel', Axis::Z);
        $lift = $this->signals->read($z, 'cm', [Station::Address, Station::Impact], self::liftOf(...));
        if ($z === null || $lift === null || $ad === null || $tp === null || $im === null) {
            $why = $this->why('lead_heel', [Station::Address, Station::Top, Station::Impact]);

            return ['lead_heel_lift' => Measured::none('cm', $why), 'replant_at' => Measured::none('ms', $why)];
        }
        $needed = [Station::Address, Station::Top, Station::Impact];
        $down = static fn (Series $c, Moments $t): ?float => ($rest = self::rest($c, $t)) === null
            || ($high = $c->highest($t->at('AD'), $t->at('IM'))) === null
            ? null
            : $c->lastAbove($rest + self::LIFTED, $high->t, $t->at('IM'));
        $told = $this->signals->jitter->told;
        $found = $down($z->series, $told);
        $lasts = $found !== null && $found >= $im->t - 1.0 / $z->series->rateHz;

        return [
            'lead_heel_lift' => $lift,
            'replant_at' => match (true) {
                $found === null || 10.0 * (self::liftOf($z->series, $told) ?? 0.0) < self::LIFTED => Measured::none(
                    'ms',
                    Remark::of(Lack::HeelNeverLeft),
                ),
                $lasts => Measured::censored(
                    'ms',
                    'above',
                    1000 * ($im->t - $tp->t),
                    1000 * hypot($tp->uncertainty, $im->uncertainty),
                    Bound::LeadHeelUp,
                    ['AD', 'TP', 'IM'],
                )->within($ad->t, $im->t),
                default => $this->signals->read($z, 'ms', $needed, static fn (Series $c, Moments $t): ?float => ($at = $down($c, $t)) === null ? null : 1000 * ($at - $t->at('TP')))
                    ?->within($ad->t, max($found, $tp->t)) ?? Measured::none('ms', Remark::of(Lack::HeelNeverLeft)),
            },
        ];
    }

    /**
     * @return array<string, Measured> degrees at AD, TP, LD, IM; extends: when extension starts, ms before IM
     *
     * @throws CoreException
     */
    private function kneeFlex(): array
    {
        $stations = [Station::Address, Station::Top, Station::DownswingArm, Station::Impact];
        $out = [];
        $view = null;
        foreach ([View::Points, View::DownTheLine, View::FaceOn] as $v) {
            $motion = $this->views->of($v);
            $view ??=
                $motion !== null && $motion->has('lead_hip') && $motion->has('lead_knee') && $motion->has('lead_ankle')
                    ? $v
                    : null;
        }
        if ($view === null) {
            $none = Measured::none('degrees', Remark::of(Lack::LeadLeg));

            return array_fill_keys(
                [...array_map(static fn (Station $s): string => $s->value, $stations), 'extends'],
                $none,
            );
        }
        $proxy =
            [View::FaceOn->value => Proxy::BendFaceOn, View::DownTheLine->value => Proxy::BendDownTheLine][
                $view->value
            ] ?? null;
        // A point's error over a shank's length, at both ends of both bones.
        $u = rad2deg(2.45 * $this->views->error($view, true) / 420.0) + ($view === View::Points ? 0.0 : 4.0);
        foreach ($stations as $station) {
            $time = $this->signals->time($station);
            $flex = $time === null ? null : $this->flexAt($view, $time->t);
            $next = $time === null ? null : $this->flexAt($view, $time->t + 0.01);
            $out[$station->value] =
                $time === null || $flex === null
                    ? Measured::none('degrees', $this->signals->whyNot([$station]))
                    : Measured::value(
                        'degrees',
                        $flex,
                        hypot($u, ((($next ?? $flex) - $flex) / 0.01) * $time->uncertainty),
                        [$station->value],
                    )
                        ->within($time->t, $time->t)
                        ->indirectly($proxy);
        }
        $out['extends'] = $this->extension($view)->indirectly($proxy);

        return $out;
    }

    /**
     * How much more the knee is bent at the second of two stations.
     *
     * @throws CoreException
     */
    private function gain(Measured $before, Measured $after): Measured
    {
        [$a, $b] = [$before->number(), $after->number()];
        if ($a === null || $b === null || $before->window === null || $after->window === null) {
            return Measured::none('degrees', ($a === null ? $before : $after)->why());
        }
        $gain = Measured::value(
            'degrees',
            $b - $a,
            $this->gained($after),
            ['AD', 'TP'],
        )->between($before->window[0], $after->window[0]);

        return $before->proxy === null ? $gain : $gain->indirectly(Proxy::from($before->proxy->code));
    }

    /**
     * Where the points sit on the body does not count in how much a bend grows.
     *
     * @throws CoreException
     */
    private function gained(Measured $after): float
    {
        $view = $this->views->has(View::Points) ? View::Points : View::FaceOn;
        $place = rad2deg(2.45 * $view->placementMm() / 420.0);
        $film = $view === View::Points ? 0.0 : 4.0;

        return hypot(
            sqrt(max(0.0, ($after->uncertainty ?? 0.0) ** 2 - $place ** 2)),
            rad2deg(2.45 * $this->views->error($view, false) / 420.0) + $film,
        );
    }

    /** @throws CoreException */
    private function extension(View $view): Measured
    {
        [$tp, $im] = [$this->signals->time(Station::Top), $this->signals->time(Station::Impact)];
        $motion = $this->views->of($view);
        if ($tp === null || $im === null || $motion === null) {
            return Measured::none('ms', $this->signals->whyNot([Station::Top, Station::Impact]));
        }
        $values = [];
        $from = $tp->t - self::BENDS;
        for ($t = $from; $t <= $im->t + 0.15; $t += 1.0 / $motion->rateHz) {
            $values[] = $this->flexAt($view, $t) ?? NAN;
        }
        $bend = new Series($motion->rateHz, $values, $from);
        $flex = new SmoothSignal(
            $bend,
            Noise::of($bend, Views::SMOOTHING, rad2deg(2.45 * $view->sampleSd() / 420.0)),
            0.0,
            Views::SMOOTHING,
            Views::SMOOTHING,
            $this->signals->jitter,
            key: 'bend',
        );
        $most = $flex->series->highest($tp->t, $im->t);
        if ($most === null) {
            return Measured::none('ms', $this->signals->whyNot([Station::Top, Station::Impact]));
        }
        if ($most->t > $im->t - 1.5 / $motion->rateHz) {
            return Measured::censored('ms', 'below', 0.0, 1000 * $im->uncertainty, Bound::KneeBending, [
                'TP',
                'IM',
            ])->within($tp->t, $im->t);
        }

        return $this->signals->read(
            $flex,
            'ms',
            [Station::Top, Station::Impact],
            static fn (Series $c, Moments $t): ?float => ($at = $c->peak($t->at('TP'), $t->at('IM'), 1)) === null
                ? null
                : 1000 * ($t->at('IM') - $at->t),
        ) ?? Measured::none('ms', $this->signals->whyNot([Station::Top, Station::Impact]));
    }

    /**
     * Angle at the lead knee away from straight, degrees, in the coordinates the view sees.
     *
     * @throws CoreException
     */
    private function flexAt(View $view, float $t): ?float
    {
        $p = [];
        foreach (['lead_hip', 'lead_knee', 'lead_ankle'] as $point) {
            $c = [0.0, 0.0, 0.0];
            foreach (Axis::cases() as $axis) {
                if ($view->sees($axis)) {
                    $value = $this->views->in($view, $point, $axis)?->at($t);
                    if ($value === null) {
                        return null;
                    }
                    $c[$axis->value] = $value;
                }
            }
            $p[] = new Vec3($c[0], $c[1], $c[2]);
        }
        $thigh = $p[1]->minus($p[0])->unit();
        $shank = $p[2]->minus($p[1])->unit();

        return rad2deg(acos(max(-1.0, min(1.0, $thigh->dot($shank)))));
    }

    /**
     * Retreat of the lead hip along −y from the top until the lead share reaches 70 %, or impact.
     *
     * @throws CoreException
     */
    private function hipBack(): Measured
    {
        [$tp, $im] = [$this->signals->time(Station::Top), $this->signals->time(Station::Impact)];
        $y = $this->views->coordinate('lead_hip', Axis::Y);
        if ($y === null || $tp === null || $im === null) {
            return Measured::none(
                'cm',
                $y === null
                    ? $this->why('lead_hip', [], Lack::LeadHip)
                    : $this->signals->whyNot([Station::Top, Station::Impact]),
            );
        }
        $share = $this->signals->share();
        if ($share === null) {
            return Measured::none('cm', $this->signals->whyNoShare() ?? Remark::of(Lack::NoTrace));
        }
        $until = min($im->t, $share->series->risesThrough(70.0, $tp->t, $im->t, 0.01) ?? $im->t);
        $a = $y->at($tp->t);
        $b = $y->at($until);
        if ($a === null || $b === null) {
            return Measured::none('cm', $this->signals->whyNot([Station::Top, Station::Impact]));
        }
        $end = new StationTime(
            $until,
            $until < $im->t ? min(0.05, $share->crossing($until)) : $im->uncertainty,
            StationSource::Trace,
        );

        return Measured::value('cm', ($a - $b) / 10.0, hypot($y->uncertainty($tp), $y->uncertainty($end)) / 10.0, [
            'TP',
            'IM',
        ])->within($tp->t, $until);
    }

    /**
     * @return array<string, Measured|array<string, Measured>>
     *
     * @throws CoreException
     */
    private function kneeGap(): array
    {
        $out = [];
        $gap = fn (?StationTime $time): ?float => $time === null
            ? null
            : (($a = $this->views->point('lead_knee', $time->t)) === null ||
            ($b = $this->views->point('trail_knee', $time->t)) === null
                ? null
                : $a->minus($b)->length());
        $only = $this->views->has(View::Points)
            ? null
            : ($this->views->motions === []
                ? Remark::of(Lack::NoPoints)
                : Remark::of(Lack::FilmNoKneeGap));
        $u = M_SQRT2 * $this->views->error(View::Points, true) / 10.0;
        foreach (Station::cases() as $station) {
            $time = $this->signals->time($station);
            $here = $gap($time);
            $out[$station->value] =
                $here === null || $time === null
                    ? Measured::none('cm', $only ?? $this->signals->whyNot([$station]))
                    : Measured::value('cm', $here / 10.0, $u, [$station->value])->within($time->t, $time->t);
        }
        [$tp, $sd] = [$this->signals->time(Station::Top), $this->signals->time(Station::DownswingShaft)];
        [$a, $b] = [$gap($tp), $gap($sd)];
        $grown = 2.0 * $this->views->error(View::Points, false) / 10.0;

        return ['knee_gap' => $out, 'knee_gap_growth' => $a === null || $b === null || $tp === null || $sd === null
            ? Measured::none('cm', $only ?? $this->signals->whyNot([Station::Top, Station::DownswingShaft]))
            : Measured::value('cm', ($b - $a) / 10.0, $grown, ['TP', 'SD'])->between($tp->t, $sd->t)];
    }

    /**
     * How far a foot points out at address: the lead one toward the target, the trail one away from it.
     *
     * @throws CoreException
     */
    private function flare(Side $side): Measured
    {
        $ad = $this->signals->time(Station::Address);
        $ball = $ad === null ? null : $this->views->point($side->name('ball'), $ad->t);
        $heel = $ad === null ? null : $this->views->point($side->name('heel'), $ad->t);
        $out = $side === Side::Lead ? 1.0 : -1.0;
        if ($ball !== null && $heel !== null && $ad !== null) {
            return Measured::value(
                'degrees',
                rad2deg(atan2($out * ($ball->x - $heel->x), $ball->y - $heel->y)),
                rad2deg(M_SQRT2 * $this->views->error(View::Points, true) / 190.0),
                ['AD'],
            )->within($ad->t, $ad->t);
        }
        $stance = $this->signals->evidence->stance ?? $this->signals->trace()?->stance;
        $known = $stance?->foot($side)->flareDeg;

        return $known !== null
            ? Measured::value('degrees', $out * $known, 3.0, [])->indirectly(Proxy::FeetOutline)
            : Measured::none('degrees', Remark::of($side === Side::Lead ? Lack::LeadFoot : Lack::TrailFoot));
    }

    /**
     * @param  list<Station>  $needed
     *
     * @throws CoreException
     */
    private function why(string $point, array $needed, Lack $otherwise = Lack::Points): Remark
    {
        return match (true) {
            $this->views->motions === [] => Remark::of(Lack::NoPoints),
            $this->views->coordinate($point, Axis::Z) === null || $needed === [] => Remark::of($otherwise),
            default => $this->signals->whyNot($needed),
        };
    }
}
