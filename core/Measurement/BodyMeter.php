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
use Core\Trace\Series;

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
                    : $this->moved(
                        $here - $start,
                        $station === Station::Address ? 0.0 : hypot($x->noise(), $x->uncertainty($time)),
                        ['AD', $station->value],
                    )->between($ad->t, $time->t);
        }

        $needed = [Station::Address, Station::Top, Station::Impact];

        return $out + $this->farthest($point, 'IM', 'away', 'away_at', $needed);
    }

    /**
     * How far the pelvis goes from the target before the top, and when.
     *
     * @return array<string, Measured> away_most, away_most_at
     *
     * @throws CoreException
     */
    private function awayGoingBack(): array
    {
        return $this->farthest('pelvis', 'TP', 'away_most', 'away_most_at', [Station::Address, Station::Top]);
    }

    /**
     * How far a point goes from the target from address on, and when, as a part of the time from address to the top.
     *
     * @param  list<Station>  $needed
     * @return array<string, Measured> by the two names
     *
     * @throws CoreException
     */
    private function farthest(string $point, string $until, string $size, string $when, array $needed): array
    {
        $x = $this->signals->point($point, Axis::X);
        $unit = '% of stance width';
        $far = Peak::between('AD', $until, -1);
        $most = $this->width === null ? null : $this->signals->read(
            $x,
            'mm',
            $needed,
            static fn (Series $c, Moments $t): ?float => ($at = $far($c, $t)) === null
                || ($start = $c->at($t->at('AD'))) === null
                ? null
                : min(0.0, $at->value - $start),
        );
        $at = $most === null ? null : $this->signals->read(
            $x,
            'fraction',
            $needed,
            Peak::part($far, 'AD', 'TP'),
        );
        if ($x === null || $most === null || $at === null || $most->window === null) {
            $why = $this->why($this->views->coordinate($point, Axis::X), $needed, true);

            return [$size => Measured::none($unit, $why), $when => Measured::none('fraction', $why)];
        }
        $found = $far($x->series, $this->signals->jitter->told);
        $near = $found === null ? null : $this->signals->evidence->stations->nearest($found->t);

        return [
            $size => $this->moved(min(0.0, (float) $most->number()), (float) $most->uncertainty, $most->stations)
                ->within(...$most->window)
                ->near($near),
            $when => $at->near($near),
        ];
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
        return hypot(
            hypot($a->noise(), $a->view->placementMm()) / M_SQRT2,
            ($a->speed($time->t) + $b->speed($time->t)) / 2 * $time->uncertainty,
        );
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
            100.0 / abs($lead - $trail) * hypot(
                $chest->absolute($im),
                // Between the heels each counts by how near the chest is to it.
                hypot($chest->noise(), $chest->view->placementMm())
                    * hypot(($x - $trail) / ($lead - $trail), ($lead - $x) / ($lead - $trail)),
            ),
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
