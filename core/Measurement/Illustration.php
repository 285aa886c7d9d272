<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\CoreException;
use Core\Motion\Station;
use Core\Motion\Turn;
use Core\Trace\Axis;
use Core\Trace\Series;
use Core\Trace\Side;

/**
 * The curve a measure was read off, and where on it a threshold of that measure lies: a level where the measure is
 * one, a moment where the measure is a time.
 */
final readonly class Illustration
{
    /**
     * @param  string  $name  code of what the curve shows
     * @param  float|null  $base  the level from which the measure counts, for a level
     * @param  float|null  $from  the moment from which the measure counts, for a time
     * @param  float  $factor  curve units, or seconds, per unit of the measure
     */
    private function __construct(
        public Series $curve,
        public string $name,
        public string $unit,
        private ?float $base,
        private ?float $from,
        private float $factor,
    ) {
    }

    /**
     * Null where the measure has no curve, or the curve is not held.
     *
     * @throws CoreException
     */
    public static function ofMeasure(Evidence $evidence, Measure $measure, ?string $station = null): ?self
    {
        $s = new Signals($evidence);
        $t = static fn (Station $at): ?float => $evidence->stations->t($at);
        $im = $t(Station::Impact);
        $share = $s->share()?->series;
        $level = static fn (
            ?Series $curve,
            string $name,
            string $unit,
            ?float $base = 0.0,
            float $factor = 1.0,
        ): ?self => $curve === null || $base === null ? null : new self($curve, $name, $unit, $base, null, $factor);
        $moment = static fn (
            ?Series $curve,
            string $name,
            string $unit,
            ?float $from,
            float $factor,
        ): ?self => $curve === null || $from === null ? null : new self($curve, $name, $unit, null, $from, $factor);
        $at = static fn (?Series $curve, ?float $when): ?float => $when === null ? null : $curve?->at($when);

        return match ($measure) {
            Measure::LeadShare,
            Measure::SetupShare,
            Measure::TopShare,
            Measure::LevelShare,
            Measure::ShaftShare,
            Measure::ImpactShare,
            Measure::FinishShare,
            Measure::LeadPeak => $level($share, 'share', '%'),
            Measure::TrailPeak => $level($share, 'share', '%', 100.0, -1.0),
            Measure::LeadLegDrift => $level(
                $share,
                'share',
                '%',
                $share?->mean(($t(Station::Address) ?? 0.0) - 0.3, $t(Station::Address) ?? 0.0),
                -1.0,
            ),
            Measure::TrailSecondPeak => $level($share, 'share', '%', $at($share, $t(Station::Top)), -1.0),
            Measure::Fallback => $level($share, 'share', '%', $at($share, $im), -1.0),
            Measure::LateSurge => $level($share, 'share', '%', $at($share, $im)),
            Measure::RecentreLead => $moment($share, 'share', '%', $t(Station::Top), -0.001),
            Measure::LeadPeakAt, Measure::ShiftRateAt => $moment($share, 'share', '%', $im, -0.001),
            Measure::TrailPeakAt => $moment(
                $share,
                'share',
                '%',
                $t(Station::Address),
                ($t(Station::Top) ?? 0.0) - ($t(Station::Address) ?? 0.0),
            ),
            Measure::ShiftRate => $level($s->share()?->slope(), 'share-slope', '%/s'),
            Measure::TrailJump => $level(
                $s->footForce(Side::Trail)?->series,
                'trail-force',
                '%BW',
                0.0,
                $at($s->footForce(Side::Trail)?->series, $t(Station::Top)) ?? 1.0,
            ),
            Measure::UnloadAt => $moment(
                $s->footForce(Side::Trail)->series ?? $share,
                $s->footForce(Side::Trail) === null ? 'share' : 'trail-force',
                '%',
                $t(Station::Top),
                -0.001,
            ),
            Measure::Dip, Measure::Rise => $level($s->total()?->series, 'total-force', '%BW'),
            Measure::DipAt, Measure::RiseAt => $moment(
                $s->total()?->series,
                'total-force',
                '%BW',
                $im,
                -0.001,
            ),
            Measure::RiseLead => $level($s->footForce(Side::Lead)?->series, 'lead-force', '%BW'),
            Measure::HeelToeTrail => $level($s->footPush(Side::Trail)?->series, 'trail-heel-to-toe', '%BW'),
            Measure::HeelToeLead, Measure::HeelToeRatio => $level(
                $s->footPush(Side::Lead)?->series,
                'lead-heel-to-toe',
                '%BW',
                0.0,
                $measure === Measure::HeelToeLead
                    ? -1.0
                    : -max(
                        0.5,
                        $s->footPush(Side::Trail)?->series->highest($t(Station::Top) ?? 0.0, $im ?? 0.0)->value ?? 1.0,
                    ),
            ),
            Measure::SidePush => $level($s->sidePush()?->series, 'side-push', '%BW'),
            Measure::TakeawayPush => $level($s->sidePush()?->series, 'side-push', '%BW', 0.0, -1.0),
            Measure::Twist => $level($s->twist()?->series, 'twist', 'N·m/kg'),
            Measure::SidePushAt => $moment($s->sidePush()?->series, 'side-push', '%BW', $im, -0.001),
            Measure::TwistAt => $moment($s->twist()?->series, 'twist', 'N·m/kg', $im, -0.001),
            Measure::EdgeFraction, Measure::EdgeFractionDown => $level(
                $s->footCop(Side::Trail, false)?->series,
                'across-trail-foot',
                '% of foot width',
            ),
            Measure::ToeDrift => self::alongFeet($s, $t(Station::Top)),
            Measure::HeelDriftBack => self::alongFeet($s, $t(Station::Address)),
            Measure::PelvisSway => self::sway($evidence, 'pelvis', $t(Station::Address)),
            Measure::ChestSway => self::sway($evidence, 'chest', $t(Station::Address)),
            Measure::PelvisTurn => $level(
                Turn::ofJoint($evidence->views, 'hip', $evidence->stations)?->series,
                'pelvis-turn',
                'degrees',
            ),
            Measure::ChestTurn, Measure::ChestFirst => $level(
                Turn::ofJoint($evidence->views, 'shoulder', $evidence->stations)?->series,
                'chest-turn',
                'degrees',
            ),
            Measure::TrailHeelLift => self::height($evidence, 'trail_heel', $t(Station::Address), null),
            Measure::TrailHeelLiftAt => self::height($evidence, 'trail_heel', $t(Station::Address), $im),
            Measure::LeadHeelLift => self::height($evidence, 'lead_heel', $t(Station::Address), null),
            Measure::PelvisDepth => self::depth($evidence, $t(Station::Address)),
            Measure::KneeGap, Measure::KneeGapGrowth => self::knees(
                $evidence,
                $measure === Measure::KneeGap ? null : $t(Station::Top),
            ),
            default => null,
        };
    }

    /** The level on the curve of a value of the measure; null for a time. */
    public function level(float $value): ?float
    {
        return $this->base === null ? null : $this->base + $this->factor * $value;
    }

    /** The moment of a value of the measure, s; null for a level. */
    public function moment(float $value): ?float
    {
        return $this->from === null ? null : $this->from + $this->factor * $value;
    }

    /** @throws CoreException */
    private static function sway(Evidence $e, string $point, ?float $ad): ?self
    {
        $x = $e->views->coordinate($point, Axis::X)?->series;
        $width = ($e->stance ?? $e->trace?->stance)?->widthMm();
        $start = $ad === null ? null : $x?->at($ad);

        return $x === null || $width === null || $start === null
            ? null
            : new self(
                $x->smoothed(0.02)->map(static fn (float $v): float => (100.0 * ($v - $start)) / $width),
                "$point-sway",
                '% of stance width',
                0.0,
                null,
                1.0,
            );
    }

    /** @throws CoreException */
    private static function height(Evidence $e, string $point, ?float $ad, ?float $im): ?self
    {
        $z = $e->views->coordinate($point, Axis::Z)?->series;
        $rest = $ad === null ? null : $z?->mean($ad - 0.1, $ad + 0.02);
        $curve =
            $z === null || $rest === null
                ? null
                : $z->smoothed(0.02)->map(static fn (float $v): float => ($v - $rest) / 10.0);

        return $curve === null
            ? null
            : new self(
                $curve,
                strtr($point, '_', '-').'-height',
                'cm',
                $im === null ? 0.0 : null,
                $im,
                $im === null ? 1.0 : -0.001,
            );
    }

    /** @throws CoreException */
    private static function depth(Evidence $e, ?float $ad): ?self
    {
        $y = $e->views->coordinate('pelvis', Axis::Y)?->series;
        $start = $ad === null ? null : $y?->at($ad);

        return $y === null || $start === null
            ? null
            : new self(
                $y->smoothed(0.02)->map(static fn (float $v): float => ($v - $start) / 10.0),
                'pelvis-depth',
                'cm',
                0.0,
                null,
                1.0,
            );
    }

    /** @throws CoreException */
    private static function knees(Evidence $e, ?float $from): ?self
    {
        $lead = $e->views->coordinate('lead_knee', Axis::X);
        if ($lead === null || $e->views->point('lead_knee', $lead->series->t0) === null) {
            return null;
        }
        $values = [];
        foreach (array_keys($lead->series->values) as $i) {
            $t = $lead->series->time($i);
            $a = $e->views->point('lead_knee', $t);
            $b = $e->views->point('trail_knee', $t);
            $values[] = $a === null || $b === null ? NAN : $a->minus($b)->length() / 10.0;
        }
        $curve = (new Series($lead->series->rateHz, $values, $lead->series->t0))->smoothed(0.02);
        $base = $from === null ? 0.0 : $curve->at($from);

        return $base === null ? null : new self($curve, 'knee-gap', 'cm', $base, null, 1.0);
    }

    /** @throws CoreException */
    private static function alongFeet(Signals $s, ?float $from): ?self
    {
        $share = $s->share()?->series;
        $lead = $s->footCop(Side::Lead, true)?->series;
        $trail = $s->footCop(Side::Trail, true)?->series;
        if ($share === null || $lead === null || $trail === null || $from === null) {
            return null;
        }
        $values = [];
        foreach ($share->values as $i => $part) {
            $a = is_nan($lead->values[$i]) ? 0.0 : $lead->values[$i];
            $b = is_nan($trail->values[$i]) ? 0.0 : $trail->values[$i];
            $values[] = ($part * $a + (100.0 - $part) * $b) / 100.0;
        }
        $curve = new Series($share->rateHz, $values, $share->t0);
        $base = $curve->at($from);

        return $base === null
            ? null
            : new self($curve, 'along-feet', '% of foot length', $base, null, 1.0);
    }
}
