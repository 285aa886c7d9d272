<?php

declare(strict_types=1);

namespace App\Bench\Pages;

use App\Models\MeasurementSet;
use App\Words\Term;
use Core\Codebook\Lens;
use Core\Codebook\Scale;
use Core\Measurement\Measure;
use Core\Measurement\Measurements;
use Core\Measurement\Spread;
use Core\Number\Written;
use Core\Remark\InWords;

/**
 * The measurement list of the Bench: value, uncertainty, the golfer's spread, the lens's band and where the value lies
 * on its scale.
 *
 * @phpstan-type MeasurementRow array{key: string, group: ?string, label: string, unit: string, definition: string,
 *     value: float|string|null, uncertainty: ?float, reason: ?string, censored: ?string, derived: bool,
 *     indirect: ?string, widened: ?string, near: ?string, others: string, spread: ?Spread,
 *     band: array{float, float}|null, inside: ?bool,
 *     scale: array{float, float}|null, sides: list<string>}
 */
final class MeasurementRows
{
    /** The station shown of a measure taken at several. */
    private const SHOWN_AT = [
        'pelvis_sway' => 'LB',
        'chest_sway' => 'LD',
        'pelvis_turn' => 'IM',
        'chest_turn' => 'TP',
        'mass_ahead' => 'LD',
        'lead_knee_flex' => 'IM',
        'knee_gap' => 'TP',
        'head_sway' => 'IM',
        'shoulder_tilt' => 'IM',
        'pelvis_tilt' => 'IM',
        'lead_region' => 'IM',
    ];

    /** The first measure of each group, in the order of work. */
    public const GROUPS = [
        'setup_share',
        'toe_drift',
        'unload_at',
        'dip',
        'heel_toe_trail',
        'pelvis_sway',
        'trail_heel_lift',
        'tempo',
    ];

    public function __construct(private readonly InWords $words)
    {
    }

    /**
     * @param  array<string, Spread>  $spreads by measure key, or measure@STATION
     * @param  Scale|null  $scale  how bands are scaled for this swing
     * @param  list<array{measures: list<string>, one: string, other: string}>  $disagreements  of good coaches
     * @return list<MeasurementRow>
     */
    public function of(
        MeasurementSet $set,
        Lens $lens,
        array $spreads = [],
        ?Scale $scale = null,
        array $disagreements = [],
    ): array {
        $sides = [];
        foreach ($disagreements as $row) {
            foreach ($row['measures'] as $key) {
                $sides[$key] = [...$sides[$key] ?? [], $row['one'], $row['other']];
            }
        }
        $all = $set->measured();
        $scale ??= Scale::none();
        $returns = $all->get(Measure::CopStyle)->value === 'returning';
        $rows = [];
        foreach (Measure::cases() as $measure) {
            if ($measure === Measure::LeadShare) {
                continue;
            }
            $at = self::SHOWN_AT[$measure->value] ?? null;
            $found = $all->get($measure, $at);
            $name = $measure->value.($at === null ? '' : '@'.$at);
            // Who returns on purpose is not held to a share at impact.
            $band = $returns && $measure === Measure::ImpactShare ? null : $lens->bands[$name] ?? null;
            $band = $band === null
                ? null
                : [$scale->threshold($measure, $band[0]), $scale->threshold($measure, $band[1])];
            $value = $found->value;
            $rows[] = [
                'key' => $measure->value,
                'group' => in_array($measure->value, self::GROUPS, true)
                    ? (string) __("bench.groups.$measure->value")
                    : null,
                'label' => Term::measure($measure, $at),
                'unit' => $found->unit,
                'definition' => Term::definition($measure),
                'value' => is_array($value)
                    ? implode(', ', array_map(
                        static fn (string $k): string => Term::measure(Measure::from($k)),
                        $value,
                    ))
                    : $value,
                'uncertainty' => $found->uncertainty,
                'reason' => $found->reason === null ? null : $this->words->phrase($found->reason),
                'censored' => $found->censored,
                'derived' => $found->derived,
                'indirect' => $found->proxy === null ? null : $this->words->phrase($found->proxy),
                'widened' => $found->widened === null ? null : $this->words->phrase($found->widened),
                'near' => $found->near,
                'others' => implode(' · ', $at === null ? [] : self::elsewhere($all, $measure, $at)),
                'spread' => $spreads[$name] ?? null,
                'band' => $band,
                'inside' => is_float($value) && $band !== null ? $value >= $band[0] && $value <= $band[1] : null,
                'scale' => is_float($value) || $band !== null ? self::scale($measure) : null,
                'sides' => $sides[$measure->value] ?? [],
            ];
        }

        return $rows;
    }

    /** @return list<string> the values at other stations than the one shown, in short */
    private static function elsewhere(Measurements $all, Measure $measure, string $shown): array
    {
        $out = [];
        foreach ($all->stationsOf($measure) as $code) {
            $value = $all->get($measure, $code)->number();
            if ($code !== $shown && $code !== 'AD' && $value !== null) {
                $out[] = self::place($code).' '.self::short($value);
            }
        }

        return $out;
    }

    private static function place(string $code): string
    {
        return str_replace(
            ['away_at', 'away'],
            [(string) __('bench.measure.farthest-at'), (string) __('bench.measure.farthest')],
            $code,
        );
    }

    private static function short(float $v): string
    {
        return Written::fixed($v, abs($v) < 2 ? 2 : 0);
    }

    /** @return array{float, float}|null the ends of the small scale a value is drawn on */
    private static function scale(Measure $measure): ?array
    {
        return match ($measure) {
            Measure::CopStyle, Measure::LeadRegion, Measure::Order, Measure::Emphasis => null,
            Measure::TrailPeakAt, Measure::AwayMostAt => [0.0, 1.0],
            Measure::RecentreLead, Measure::UnloadAt, Measure::ReplantAt => [-260.0, 260.0],
            Measure::Rise, Measure::Dip => [40.0, 200.0],
            Measure::RiseLead => [0.0, 200.0],
            Measure::RiseAt, Measure::TrailHeelLiftAt => [-60.0, 160.0],
            Measure::PelvisSway, Measure::ChestSway, Measure::ToeDrift, Measure::HeelDriftBack, Measure::MassAhead => [
                -40.0,
                40.0,
            ],
            Measure::EdgeFraction, Measure::EdgeFractionDown, Measure::TrailRoll => [-50.0, 50.0],
            Measure::AwayMost, Measure::ShoulderTilt, Measure::PelvisTilt => [-60.0, 60.0],
            Measure::HeadSway, Measure::PelvisDepthPct => [-12.0, 12.0],
            Measure::TrailSideRise => [0.0, 12.0],
            Measure::KneeSet => [-20.0, 20.0],
            Measure::LeadKneeGain => [-10.0, 40.0],
            Measure::HeelDirection, Measure::TrailKneeWay, Measure::CopDirection => [-180.0, 180.0],
            Measure::ThrownBack => [0.0, 30.0],
            Measure::PelvisTurn, Measure::ChestTurn => [-120.0, 120.0],
            Measure::FootSpin => [-30.0, 60.0],
            Measure::LeadFlare, Measure::TrailFlare => [-10.0, 50.0],
            Measure::LeadKneeFlex => [0.0, 70.0],
            Measure::Tempo => [1.5, 5.0],
            Measure::TrailJump => [0.8, 1.6],
            Measure::HeelToeRatio => [0.0, 4.0],
            Measure::HeelToeTrail,
            Measure::HeelToeLead,
            Measure::SidePush,
            Measure::TakeawayPush,
            Measure::LeadLegDrift,
            Measure::TrailSecondPeak => [-5.0, 40.0],
            Measure::Twist => [0.0, 2.0],
            Measure::ShiftRate => [0.0, 700.0],
            Measure::UnloadRate => [-800.0, 0.0],
            Measure::ChestFirst => [-240.0, 160.0],
            Measure::DipAt, Measure::LeadPeakAt, Measure::ShiftRateAt, Measure::SidePushAt, Measure::TwistAt => [
                -20.0,
                400.0,
            ],
            Measure::HeelToeTrailAt, Measure::HeelToeLeadAt => [-200.0, 200.0],
            Measure::PelvisDepth, Measure::LeadHipBack, Measure::KneeGapGrowth => [-14.0, 14.0],
            Measure::TrailHeelLift, Measure::LeadHeelLift => [0.0, 15.0],
            Measure::KneeGap => [0.0, 80.0],
            Measure::Fallback, Measure::LateSurge => [-20.0, 60.0],
            default => [0.0, 100.0],
        };
    }
}
