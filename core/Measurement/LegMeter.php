<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationSource;
use Core\Motion\StationTime;
use Core\Motion\Tracked;
use Core\Motion\Vec3;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;
use Core\Trace\Side;

/** The measures of heels, knees, hips and the turn of the trail foot. */
final readonly class LegMeter
{
    /** A heel counts as lifted from here, mm. */
    private const LIFTED = 15.0;

    /** Part of a foot's length between heel and ball. */
    private const HEEL_TO_BALL = 0.72;

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
            'lead_knee_gain' => self::gain($flex['AD'], $flex['TP']),
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
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $z = $this->views->coordinate('trail_heel', Axis::Z);
        $rest = $ad === null ? null : $z?->series->mean($ad->t - 0.1, $ad->t + 0.02);
        $smooth = $z?->series->smoothed(0.02);
        $high = $ad === null || $im === null ? null : $smooth?->highest($ad->t, $im->t);
        if ($z === null || $smooth === null || $rest === null || $high === null || $ad === null || $im === null) {
            $why = $this->why('trail_heel', [Station::Address, Station::Impact]);

            return [
                'trail_heel_lift' => Measured::none('cm', $why),
                'trail_heel_lift_at' => Measured::none('ms', $why),
            ];
        }
        $stations = ['AD', 'IM'];
        $at = $smooth->risesThrough($rest + self::LIFTED, $ad->t, $im->t, 0.02);

        return [
            'trail_heel_lift' => Measured::value(
                'cm',
                max(0.0, $high->value - $rest) / 10.0,
                $z->noise() / 10.0,
                $stations,
            )->within($ad->t, $im->t),
            'trail_heel_lift_at' => ($at === null || $at >= $im->t
                ? Measured::censored('ms', 'below', 0.0, 1000 * $im->uncertainty, Bound::TrailHeelDown, $stations)
                : Measured::value(
                    'ms',
                    1000 * ($im->t - $at),
                    1000 * hypot($im->uncertainty, $this->crossing($smooth, $at, $z)),
                    $stations,
                )
            )->within($ad->t, $im->t),
        ];
    }

    /** How well the time is known at which a smoothed coordinate passes a height, s. */
    private function crossing(Series $smooth, float $t, Tracked $z): float
    {
        $speed = max(20.0, abs((new Tracked($smooth, $z->view))->speed($t)));

        // A heel's height errs by far less than a marker's place: it is read against the ground it stood on.
        return hypot(0.475 / $smooth->rateHz, 0.4 * $z->noise() / $speed);
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
        $u = $spatial ? rad2deg(View::Points->noiseMm() / 190.0) * M_SQRT2 : 9.0;

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
        $z = $this->views->coordinate('lead_heel', Axis::Z);
        $rest = $ad === null ? null : $z?->series->mean($ad->t - 0.1, $ad->t + 0.02);
        $smooth = $z?->series->smoothed(0.02);
        $high = $ad === null || $im === null ? null : $smooth?->highest($ad->t, $im->t);
        if (
            $z === null ||
            $smooth === null ||
            $rest === null ||
            $high === null ||
            $ad === null ||
            $tp === null ||
            $im === null
        ) {
            $why = $this->why('lead_heel', [Station::Address, Station::Top, Station::Impact]);

            return ['lead_heel_lift' => Measured::none('cm', $why), 'replant_at' => Measured::none('ms', $why)];
        }
        $stations = ['AD', 'TP', 'IM'];
        $lift = Measured::value('cm', max(0.0, $high->value - $rest) / 10.0, $z->noise() / 10.0, ['AD', 'IM'])->within(
            $ad->t,
            $im->t,
        );
        $down = $smooth->lastAbove($rest + self::LIFTED, $high->t, $im->t);

        return [
            'lead_heel_lift' => $lift,
            'replant_at' => match (true) {
                $high->value - $rest < self::LIFTED || $down === null => Measured::none(
                    'ms',
                    Remark::of(Lack::HeelNeverLeft),
                ),
                $down >= $im->t - 1.0 / $smooth->rateHz => Measured::censored(
                    'ms',
                    'above',
                    1000 * ($im->t - $tp->t),
                    1000 * hypot($tp->uncertainty, $im->uncertainty),
                    Bound::LeadHeelUp,
                    $stations,
                )->within($ad->t, $im->t),
                default => Measured::value(
                    'ms',
                    1000 * ($down - $tp->t),
                    1000 * hypot($tp->uncertainty, $this->crossing($smooth, $down, $z)),
                    $stations,
                )->within($high->t, max($down, $tp->t)),
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
        // A marker's error over a shank's length, at both ends of both bones.
        $u = rad2deg(2.0 * $view->noiseMm() / 420.0) + ($view === View::Points ? 0.0 : 4.0);
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

    /** How much more the knee is bent at the second of two stations. */
    private static function gain(Measured $before, Measured $after): Measured
    {
        [$a, $b] = [$before->number(), $after->number()];
        if ($a === null || $b === null || $before->window === null || $after->window === null) {
            return Measured::none('degrees', ($a === null ? $before : $after)->why());
        }
        $gain = Measured::value(
            'degrees',
            $b - $a,
            hypot($before->uncertainty ?? 0.0, $after->uncertainty ?? 0.0),
            ['AD', 'TP'],
        )->between($before->window[0], $after->window[0]);

        return $before->proxy === null ? $gain : $gain->indirectly(Proxy::from($before->proxy->code));
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
        for ($t = $tp->t - 0.1; $t <= $im->t + 0.05; $t += 1.0 / $motion->rateHz) {
            $values[] = $this->flexAt($view, $t) ?? NAN;
        }
        $flex = (new Series($motion->rateHz, $values, $tp->t - 0.1))->smoothed(0.02);
        $most = $flex->highest($tp->t, $im->t);
        if ($most === null) {
            return Measured::none('ms', $this->signals->whyNot([Station::Top, Station::Impact]));
        }
        if ($most->t > $im->t - 1.5 / $motion->rateHz) {
            return Measured::censored('ms', 'below', 0.0, 1000 * $im->uncertainty, Bound::KneeBending, [
                'TP',
                'IM',
            ])->within($tp->t, $im->t);
        }

        return Measured::value(
            'ms',
            1000 * ($im->t - $most->t),
            1000 * hypot($im->uncertainty, max(0.015, 1.0 / $motion->rateHz)),
            ['TP', 'IM'],
        )->within($tp->t, $im->t);
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
            $until < $im->t ? min(0.05, $share->crossing($until, true)) : $im->uncertainty,
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
        $u = (View::Points->noiseMm() * M_SQRT2) / 10.0;
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

        return ['knee_gap' => $out, 'knee_gap_growth' => $a === null || $b === null || $tp === null || $sd === null
            ? Measured::none('cm', $only ?? $this->signals->whyNot([Station::Top, Station::DownswingShaft]))
            : Measured::value('cm', ($b - $a) / 10.0, $u, ['TP', 'SD'])->between($tp->t, $sd->t)];
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
                rad2deg((M_SQRT2 * View::Points->noiseMm()) / 190.0) / 2,
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
