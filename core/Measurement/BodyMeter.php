<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\StationTime;
use Core\Motion\Tracked;
use Core\Motion\Turn;
use Core\Motion\View;
use Core\Motion\Views;
use Core\Remark\Remark;
use Core\Trace\Axis;

/** The measures of where pelvis and chest are and how they turn. Positions are of the body, never of pressure. */
final readonly class BodyMeter
{
    private Views $views;

    private ?float $width;

    public function __construct(private Signals $signals)
    {
        $this->views = $signals->evidence->views;
        $this->width = ($signals->evidence->stance ?? $signals->trace()?->stance)?->widthMm();
    }

    /**
     * @return array<string, Measured|array<string, Measured>>
     *
     * @throws CoreException
     */
    public function read(): array
    {
        return [
            'pelvis_sway' => $this->sway('pelvis'),
            'chest_sway' => $this->sway('chest'),
            ...$this->awayGoingBack(),
            'pelvis_turn' => $this->turn('hip'),
            'chest_turn' => $this->turn('shoulder'),
            'mass_ahead' => $this->massAhead(),
            'chest_over_lead' => $this->chestOverLead(),
            'pelvis_depth' => $this->depth(),
        ];
    }

    /**
     * @return array<string, Measured> by station code; away: the largest move from the target and when
     *
     * @throws CoreException
     */
    private function sway(string $point): array
    {
        $unit = '% of stance width';
        $ad = $this->signals->time(Station::Address);
        $x = $this->views->coordinate($point, Axis::X);
        $start = $ad === null ? null : $x?->at($ad->t);
        $out = [];
        foreach (Station::cases() as $station) {
            $time = $this->signals->time($station);
            $here = $time === null ? null : $x?->at($time->t);
            $out[$station->value] =
                $x === null ||
                $ad === null ||
                $start === null ||
                $this->width === null ||
                $time === null ||
                $here === null
                    ? Measured::none($unit, $this->why($x, [Station::Address, $station], true))
                    : $this->moved($here - $start, hypot($x->noise(), $x->uncertainty($time)), [
                        'AD',
                        $station->value,
                    ])->between($ad->t, $time->t);
        }
        $tp = $this->signals->time(Station::Top);
        $im = $this->signals->time(Station::Impact);
        $far = $ad === null || $im === null ? null : $x?->series->smoothed(0.025)->lowest($ad->t, $im->t);
        if (
            $x === null ||
            $start === null ||
            $far === null ||
            $this->width === null ||
            $ad === null ||
            $tp === null ||
            $im === null
        ) {
            $why = $this->why($x, [Station::Address, Station::Top, Station::Impact], true);

            return $out + ['away' => Measured::none($unit, $why), 'away_at' => Measured::none('fraction', $why)];
        }
        $span = $tp->t - $ad->t;
        // About a turning point the place changes by half the acceleration times the square of the time.
        $flat = self::flat($x, $far->t, $far->value);

        return $out + [
            'away' => $this->moved($far->value - $start, $x->noise() * M_SQRT2, ['AD', 'IM'])
                ->within($ad->t, $im->t)
                ->near($this->signals->evidence->stations->nearest($far->t)),
            'away_at' => Measured::value('fraction', ($far->t - $ad->t) / $span, max(0.01, $flat / $span), [
                'AD',
                'TP',
                'IM',
            ])->within($ad->t, $im->t),
        ];
    }

    /**
     * How far the pelvis goes from the target before the top, and when.
     *
     * @return array{away_most: Measured, away_most_at: Measured}
     *
     * @throws CoreException
     */
    private function awayGoingBack(): array
    {
        [$ad, $tp] = [$this->signals->time(Station::Address), $this->signals->time(Station::Top)];
        $x = $this->views->coordinate('pelvis', Axis::X);
        $start = $ad === null ? null : $x?->at($ad->t);
        $smooth = $x?->series->smoothed(0.025);
        $far = $ad === null || $tp === null ? null : $smooth?->lowest($ad->t, $tp->t);
        if ($x === null || $smooth === null || $start === null || $far === null || $this->width === null
            || $ad === null || $tp === null) {
            $why = $this->why($x, [Station::Address, Station::Top], true);

            return [
                'away_most' => Measured::none('% of stance width', $why),
                'away_most_at' => Measured::none('fraction', $why),
            ];
        }
        $span = $tp->t - $ad->t;
        $at = ($far->t - $ad->t) / $span;
        $stations = ['AD', 'TP'];

        return [
            'away_most' => $this->moved(min(0.0, $far->value - $start), $x->noise() * M_SQRT2, $stations)
                ->within($ad->t, $tp->t),
            'away_most_at' => Measured::value(
                'fraction',
                $at,
                hypot(
                    self::flat($x, $far->t, $far->value),
                    hypot((1.0 - $at) * $ad->uncertainty, $at * $tp->uncertainty),
                ) / $span,
                $stations,
            )->within($ad->t, $tp->t)->near($this->signals->evidence->stations->nearest($far->t)),
        ];
    }

    /** For how long after a turning point the place stays within half its noise, s. */
    private static function flat(Tracked $x, float $t, float $value): float
    {
        $flat = 0.01;
        for ($d = 0.01; $d < 0.25 && abs(($x->at($t + $d) ?? $value) - $value) < $x->noise() / 2; $d += 0.01) {
            $flat = $d;
        }

        return $flat;
    }

    /** @param  list<string>  $stations */
    private function moved(float $mm, float $u, array $stations): Measured
    {
        $width = $this->width ?? 1.0;

        return Measured::value('% of stance width', (100.0 * $mm) / $width, (100.0 * $u) / $width, $stations)->also(
            $mm / 10.0,
            'cm',
        );
    }

    /**
     * @param  'hip'|'shoulder'  $joint
     * @return array<string, Measured> by station code
     *
     * @throws CoreException
     */
    private function turn(string $joint): array
    {
        $turn = Turn::ofJoint($this->views, $joint, $this->signals->evidence->stations);
        $rate = $turn?->rate();
        $out = [];
        foreach (Station::cases() as $station) {
            $time = $this->signals->time($station);
            $value = $time === null ? null : $turn?->series->at($time->t);
            $out[$station->value] =
                $turn === null || $time === null || $value === null
                    ? Measured::none(
                        'degrees',
                        match (true) {
                            $this->views->motions === [] => Remark::of(Lack::NoPoints),
                            $turn === null => Remark::of($joint === 'hip' ? Lack::Hips : Lack::Shoulders),
                            default => $this->signals->whyNot([$station]),
                        },
                    )
                    : Measured::value(
                        'degrees',
                        $value,
                        hypot($turn->uncertainty, ($rate?->at($time->t) ?? 0.0) * $time->uncertainty),
                        [$station->value],
                    )
                        ->within($time->t, $time->t)
                        ->indirectly($turn->indirect ? Proxy::ApparentWidth : null);
        }

        return $out;
    }

    /**
     * @return array<string, Measured> at TP, LD, IM
     *
     * @throws CoreException
     */
    private function massAhead(): array
    {
        $unit = '% of stance width';
        $pelvis = $this->views->coordinate('pelvis', Axis::X);
        $chest = $this->views->coordinate('chest', Axis::X);
        $cop = $this->signals->cop(Axis::X);
        $out = [];
        foreach ([Station::Top, Station::DownswingArm, Station::Impact] as $station) {
            $time = $this->signals->time($station);
            [$p, $c, $q] =
                $time === null
                    ? [null, null, null]
                    : [$pelvis?->at($time->t), $chest?->at($time->t), $cop?->at($time->t)];
            if (
                $time === null ||
                $p === null ||
                $c === null ||
                $q === null ||
                $pelvis === null ||
                $chest === null ||
                $cop === null ||
                $this->width === null
            ) {
                $out[$station->value] = Measured::none(
                    $unit,
                    match (true) {
                        $pelvis === null || $chest === null => $this->why(null, [], true),
                        $cop === null => Remark::of(Lack::NoTrace),
                        default => $this->why($pelvis, [$station], true),
                    },
                );

                continue;
            }
            // Pelvis and chest come from one picture; their common error is not halved.
            $u = hypot($cop->absolute($time), $this->relative($pelvis, $chest, $time));
            $out[$station->value] = Measured::value(
                $unit,
                (100.0 * (($p + $c) / 2 - $q)) / $this->width,
                (100.0 * $u) / $this->width,
                [$station->value],
            )->within($time->t, $time->t);
        }

        return $out;
    }

    private function relative(Tracked $a, Tracked $b, StationTime $time): float
    {
        return hypot($a->noise(), ($a->speed($time->t) + $b->speed($time->t)) / 2 * $time->uncertainty);
    }

    /** @throws CoreException */
    private function chestOverLead(): Measured
    {
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $chest = $this->views->coordinate('chest', Axis::X);
        $heels = [$this->views->coordinate('trail_heel', Axis::X), $this->views->coordinate('lead_heel', Axis::X)];
        $x = $im === null ? null : $chest?->at($im->t);
        // The trail heel may have left the ground by impact; both stand where they stood at address.
        $trail = $ad === null ? null : $heels[0]?->at($ad->t);
        $lead = $ad === null ? null : $heels[1]?->at($ad->t);
        if (
            $im === null ||
            $chest === null ||
            $x === null ||
            $trail === null ||
            $lead === null ||
            abs($lead - $trail) < 50.0
        ) {
            return Measured::none(
                '%',
                $chest !== null && ($heels[0] === null || $heels[1] === null)
                    ? Remark::of(Lack::Heels)
                    : $this->why($chest, [Station::Address, Station::Impact]),
            );
        }

        return Measured::value(
            '%',
            (100.0 * ($x - $trail)) / ($lead - $trail),
            (100.0 * hypot($chest->uncertainty($im), $chest->noise())) / abs($lead - $trail),
            ['AD', 'IM'],
        )->within($im->t, $im->t);
    }

    /** @throws CoreException */
    private function depth(): Measured
    {
        [$ad, $im] = [$this->signals->time(Station::Address), $this->signals->time(Station::Impact)];
        $y = $this->views->coordinate('pelvis', Axis::Y);
        $before = $ad === null ? null : $y?->at($ad->t);
        $after = $im === null ? null : $y?->at($im->t);
        if ($y === null || $ad === null || $im === null || $before === null || $after === null) {
            return Measured::none(
                'cm',
                $y === null && $this->views->has(View::FaceOn)
                    ? Remark::of(Lack::FilmHasNoDepth)
                    : $this->why($y, [Station::Address, Station::Impact]),
            );
        }

        return Measured::value(
            'cm',
            ($after - $before) / 10.0,
            hypot($y->uncertainty($ad), $y->uncertainty($im)) / 10.0,
            ['AD', 'IM'],
        )->between($ad->t, $im->t);
    }

    /** @param  list<Station>  $needed */
    private function why(?Tracked $tracked, array $needed, bool $alongTarget = false): Remark
    {
        return match (true) {
            $this->views->motions === [] => Remark::of(Lack::NoPoints),
            $tracked === null => $alongTarget && ! $this->views->has(View::Points) && ! $this->views->has(View::FaceOn)
                ? Remark::of(Lack::FilmNotAlongTarget)
                : Remark::of(Lack::Points),
            $this->width === null && $alongTarget => Remark::of(Lack::Stance),
            default => $this->signals->whyNot($needed),
        };
    }
}
