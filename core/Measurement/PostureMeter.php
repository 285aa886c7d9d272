<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\Turn;
use Core\Motion\Vec3;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;
use Core\Trace\Series;

/** The measures of how a body holds itself: head, tilts of hips and shoulders, knees at address. */
final readonly class PostureMeter
{
    /** Length of a leg from ankle to hip over body height (Winter 2009, 4.1). */
    private const LEG = 0.491;

    /** A height taken from its legs errs by so much of itself, 95 %. */
    private const HEIGHT_ERROR = 0.05;

    /** Beyond such a turn film no longer shows a tilt by height alone, degrees. */
    private const TURNED = 45.0;

    /** What three points' errors make of an angle at the hip, mean of two legs. */
    private const KNEE_SET = 1.0;

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
            'head_sway' => $this->headSway(),
            'shoulder_tilt' => $this->tilt('shoulder'),
            'pelvis_tilt' => $this->tilt('hip'),
            'trail_side_rise' => $this->sideRise(),
            'knee_set' => $this->kneeSet(),
            'pelvis_depth_pct' => $this->depth(),
        ];
    }

    /**
     * Body height by the length of the legs at address, mm; null where no view shows both.
     *
     * @throws CoreException
     */
    private function height(): ?float
    {
        $ad = $this->signals->time(Station::Address);
        $lengths = [];
        foreach (['lead', 'trail'] as $side) {
            foreach ([View::Points, View::FaceOn, View::DownTheLine] as $view) {
                if ($ad === null) {
                    break;
                }
                [$hip, $knee, $ankle] = array_map(
                    fn (string $p): ?Vec3 => $this->placed($view, "{$side}_$p", $ad->t),
                    ['hip', 'knee', 'ankle'],
                );
                if ($hip !== null && $knee !== null && $ankle !== null) {
                    $lengths[] = $hip->minus($knee)->length() + $knee->minus($ankle)->length();
                    break;
                }
            }
        }

        return $lengths === [] ? null : array_sum($lengths) / count($lengths) / self::LEG;
    }

    /**
     * A point in the coordinates a view sees, the others nought.
     *
     * @throws CoreException
     */
    private function placed(View $view, string $point, float $t): ?Vec3
    {
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

        return new Vec3($c[0], $c[1], $c[2]);
    }

    /**
     * @return array<string, Measured> at TP, LD, IM
     *
     * @throws CoreException
     */
    private function headSway(): array
    {
        $ad = $this->signals->time(Station::Address);
        $x = $this->views->coordinate('head', Axis::X);
        $start = $ad === null ? null : $x?->series->mean($ad->t - 0.1, $ad->t);
        $height = $this->height();
        $out = [];
        foreach ([Station::Top, Station::DownswingArm, Station::Impact] as $station) {
            $time = $this->signals->time($station);
            $here = $time === null ? null : $x?->at($time->t);
            if (
                $x === null || $ad === null || $start === null || $time === null || $here === null || $height === null
            ) {
                $out[$station->value] = Measured::none('% of body height', $this->why(
                    $x !== null && ($height !== null || $ad === null),
                    [Station::Address, $station],
                ));

                continue;
            }
            $value = 100.0 * ($here - $start) / $height;
            $out[$station->value] = Measured::value(
                '% of body height',
                $value,
                hypot(100.0 * hypot($x->noise(), $x->uncertainty($time)) / $height, self::HEIGHT_ERROR * $value),
                ['AD', $station->value],
            )->between($ad->t, $time->t)->also(($here - $start) / 10.0, 'cm');
        }

        return $out;
    }

    /**
     * How far the lead side is lower, by the length of the line in space, or by its length at address on film.
     *
     * @param  'hip'|'shoulder'  $joint
     * @return array<string, Measured> by station code
     *
     * @throws CoreException
     */
    private function tilt(string $joint): array
    {
        $view = $this->views->has(View::Points) ? View::Points : View::FaceOn;
        $ad = $this->signals->time(Station::Address);
        $turn = Turn::ofJoint($this->views, $joint, $this->signals->evidence->stations);
        $line = fn (?StationTime $time): ?Vec3 => $this->line($view, $joint, $time?->t);
        $first = $line($ad);
        $out = [];
        foreach (Station::cases() as $station) {
            $time = $this->signals->time($station);
            $here = $line($time);
            $length = $view === View::Points ? $here?->length() : $first?->length();
            if ($time === null || $here === null || $length === null || $length < 50.0) {
                $out[$station->value] = Measured::none('degrees', $this->why(
                    $this->views->in($view, "lead_$joint", Axis::Z) !== null
                        && $this->views->in($view, "trail_$joint", Axis::Z) !== null,
                    [$station, ...($view === View::Points ? [] : [Station::Address])],
                ));

                continue;
            }
            $sine = max(-1.0, min(1.0, -$here->z / $length));
            $next = $this->line($view, $joint, $time->t + 0.01);
            $speed = $next === null ? 0.0 : abs($next->z - $here->z) / 0.01;
            $seen = abs($turn?->series->at($time->t) ?? 0.0) > self::TURNED;
            $u = hypot(M_SQRT2 * $this->views->error($view, true), $speed * $time->uncertainty) / $length;
            $out[$station->value] = Measured::value(
                'degrees',
                rad2deg(asin($sine)),
                rad2deg($u / max(0.3, sqrt(1.0 - $sine * $sine))),
                [$station->value],
            )->within($time->t, $time->t)->indirectly(
                $view !== View::Points && $seen ? Proxy::TiltOnFilm : null,
            );
        }

        return $out;
    }

    /**
     * From the trail joint to the lead one, in what the view sees.
     *
     * @throws CoreException
     */
    private function line(View $view, string $joint, ?float $t): ?Vec3
    {
        $lead = $t === null ? null : $this->placed($view, "lead_$joint", $t);
        $trail = $t === null ? null : $this->placed($view, "trail_$joint", $t);

        return $lead === null || $trail === null ? null : $lead->minus($trail);
    }

    /** @throws CoreException */
    private function sideRise(): Measured
    {
        $z = $this->views->coordinate('trail_hip', Axis::Z);
        $needed = [Station::Top, Station::DownswingShaft];
        $rise = $this->signals->read(
            $this->signals->point('trail_hip', Axis::Z),
            'cm',
            $needed,
            static fn (Series $c, Moments $t): ?float => ($top = $c->at($t->at('TP'))) === null
                || ($high = $c->peak($t->at('TP'), $t->at('SD'), 1)) === null
                ? null
                : max(0.0, $high->value - $top) / 10.0,
        );

        return $rise === null
            ? Measured::none('cm', $this->why($z !== null, $needed))
            : $rise->indirectly($z?->view === View::Points ? null : Proxy::HipOnFilm);
    }

    /**
     * How far the knees stand outside the lines from hip to ankle as seen face on, mean of both.
     *
     * @throws CoreException
     */
    private function kneeSet(): Measured
    {
        $ad = $this->signals->time(Station::Address);
        $view = $this->views->has(View::Points) ? View::Points : View::FaceOn;
        $angles = [];
        $reach = 400.0;
        foreach (['lead' => 1.0, 'trail' => -1.0] as $side => $outward) {
            if ($ad === null) {
                break;
            }
            [$hip, $knee, $ankle] = array_map(
                fn (string $p): ?Vec3 => $this->placed($view, "{$side}_$p", $ad->t),
                ['hip', 'knee', 'ankle'],
            );
            if ($hip === null || $knee === null || $ankle === null) {
                continue;
            }
            $heading = static fn (Vec3 $to): float => atan2($to->x - $hip->x, $hip->z - $to->z);
            $angles[] = $outward * rad2deg($heading($knee) - $heading($ankle));
            $reach = max(100.0, $hip->z - $knee->z);
        }
        if ($ad === null || count($angles) < 2) {
            return Measured::none('degrees', $this->why(
                $this->views->in($view, 'lead_knee', Axis::X) !== null
                    && $this->views->in($view, 'trail_ankle', Axis::X) !== null,
                [Station::Address],
            ));
        }

        // Two knees seen at one moment: their errors are halved, those of the hips above them too.
        return Measured::value(
            'degrees',
            array_sum($angles) / 2.0,
            rad2deg($this->views->error($view, true) * self::KNEE_SET / $reach),
            ['AD'],
        )->within($ad->t, $ad->t);
    }

    /** @throws CoreException */
    private function depth(): Measured
    {
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $y = $this->views->coordinate('pelvis', Axis::Y);
        $before = $ad === null ? null : $y?->at($ad->t);
        $after = $im === null ? null : $y?->at($im->t);
        $height = $this->height();
        if ($y === null || $ad === null || $im === null || $before === null || $after === null || $height === null) {
            return Measured::none('% of body height', $y === null && $this->views->has(View::FaceOn)
                ? Remark::of(Lack::FilmHasNoDepth)
                : $this->why($y !== null && ($height !== null || $ad === null), [Station::Address, Station::Impact]));
        }
        $value = 100.0 * ($after - $before) / $height;

        return Measured::value(
            '% of body height',
            $value,
            hypot(100.0 * hypot($y->uncertainty($ad), $y->uncertainty($im)) / $height, self::HEIGHT_ERROR * $value),
            ['AD', 'IM'],
        )->between($ad->t, $im->t);
    }

    /**
     * @param  bool  $isHeld  whether the points it needs are
     * @param  list<Station>  $needed
     */
    private function why(bool $isHeld, array $needed): Remark
    {
        return match (true) {
            $this->views->motions === [] => Remark::of(Lack::NoPoints),
            ! $isHeld => Remark::of(Lack::Points),
            default => $this->signals->whyNot($needed),
        };
    }
}
