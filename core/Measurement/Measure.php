<?php

declare(strict_types=1);

namespace Core\Measurement;

use Core\Trace\Signal;

/** What is measured of a swing, by its published key. */
enum Measure: string
{
    case LeadShare = 'lead_share';
    case SetupShare = 'setup_share';
    case LeadLegDrift = 'lead_leg_drift';
    case TrailPeak = 'trail_peak';
    case TrailPeakAt = 'trail_peak_at';
    case TrailSecondPeak = 'trail_second_peak';
    case TopShare = 'top_share';
    case LevelShare = 'level_share';
    case ShaftShare = 'shaft_share';
    case ImpactShare = 'impact_share';
    case FinishShare = 'finish_share';
    case RecentreLead = 'recentre_lead';
    case ShiftRate = 'shift_rate';
    case ShiftRateAt = 'shift_rate_at';
    case LeadPeak = 'lead_peak';
    case LeadPeakAt = 'lead_peak_at';
    case Fallback = 'fallback';
    case LateSurge = 'late_surge';
    case CopStyle = 'cop_style';
    case ThrownBack = 'thrown_back';
    case CopDirection = 'cop_direction';
    case ToeDrift = 'toe_drift';
    case HeelDriftBack = 'heel_drift_back';
    case EdgeFraction = 'edge_fraction';
    case EdgeFractionDown = 'edge_fraction_down';
    case LeadRegion = 'lead_region';
    case TrailRoll = 'trail_roll';
    case UnloadAt = 'unload_at';
    case UnloadRate = 'unload_rate';
    case TrailJump = 'trail_jump';
    case Dip = 'dip';
    case DipAt = 'dip_at';
    case Rise = 'rise';
    case RiseAt = 'rise_at';
    case RiseLead = 'rise_lead';
    case HeelToeTrail = 'heel_toe_trail';
    case HeelToeTrailAt = 'heel_toe_trail_at';
    case HeelToeLead = 'heel_toe_lead';
    case HeelToeLeadAt = 'heel_toe_lead_at';
    case HeelToeRatio = 'heel_toe_ratio';
    case SidePush = 'side_push';
    case SidePushAt = 'side_push_at';
    case TakeawayPush = 'takeaway_push';
    case Twist = 'twist';
    case TwistAt = 'twist_at';
    case Order = 'order';
    case Emphasis = 'emphasis';
    case PelvisSway = 'pelvis_sway';
    case ChestSway = 'chest_sway';
    case AwayMost = 'away_most';
    case AwayMostAt = 'away_most_at';
    case HeadSway = 'head_sway';
    case ShoulderTilt = 'shoulder_tilt';
    case PelvisTilt = 'pelvis_tilt';
    case TrailSideRise = 'trail_side_rise';
    case PelvisTurn = 'pelvis_turn';
    case ChestTurn = 'chest_turn';
    case MassAhead = 'mass_ahead';
    case ChestOverLead = 'chest_over_lead';
    case TrailHeelLift = 'trail_heel_lift';
    case TrailHeelLiftAt = 'trail_heel_lift_at';
    case HeelDirection = 'heel_direction';
    case FootSpin = 'foot_spin';
    case LeadHeelLift = 'lead_heel_lift';
    case ReplantAt = 'replant_at';
    case LeadKneeFlex = 'lead_knee_flex';
    case LeadKneeGain = 'lead_knee_gain';
    case LeadHipBack = 'lead_hip_back';
    case PelvisDepth = 'pelvis_depth';
    case PelvisDepthPct = 'pelvis_depth_pct';
    case KneeSet = 'knee_set';
    case TrailKneeWay = 'trail_knee_way';
    case KneeGap = 'knee_gap';
    case KneeGapGrowth = 'knee_gap_growth';
    case LeadFlare = 'lead_flare';
    case TrailFlare = 'trail_flare';
    case Tempo = 'tempo';
    case ChestFirst = 'chest_first';

    /** Key → unit, the signals it is made from (any of them that the device has). */
    private const ABOUT = [
        'lead_share' => ['%', [Signal::Share]],
        'setup_share' => ['%', [Signal::Share]],
        'lead_leg_drift' => ['%', [Signal::Share]],
        'trail_peak' => ['%', [Signal::Share]],
        'trail_peak_at' => ['fraction', [Signal::Share]],
        'trail_second_peak' => ['%', [Signal::Share]],
        'top_share' => ['%', [Signal::Share]],
        'level_share' => ['%', [Signal::Share]],
        'shaft_share' => ['%', [Signal::Share]],
        'impact_share' => ['%', [Signal::Share]],
        'finish_share' => ['%', [Signal::Share]],
        'recentre_lead' => ['ms', [Signal::Share]],
        'shift_rate' => ['%/s', [Signal::Share]],
        'shift_rate_at' => ['ms', [Signal::Share]],
        'lead_peak' => ['%', [Signal::Share]],
        'lead_peak_at' => ['ms', [Signal::Share]],
        'fallback' => ['%', [Signal::Share]],
        'late_surge' => ['%', [Signal::Share]],
        'cop_style' => ['style', [Signal::Share]],
        'thrown_back' => ['%', [Signal::Share]],
        'cop_direction' => ['degrees', [Signal::Cop]],
        'toe_drift' => ['% of foot length', [Signal::FootCop, Signal::Cop]],
        'heel_drift_back' => ['% of foot length', [Signal::FootCop, Signal::Cop]],
        'edge_fraction' => ['% of foot width', [Signal::FootCop]],
        'edge_fraction_down' => ['% of foot width', [Signal::FootCop]],
        'lead_region' => ['region', [Signal::FootCop]],
        'trail_roll' => ['% of foot width', [Signal::FootCop]],
        'unload_at' => ['ms', [Signal::Share]],
        'unload_rate' => ['%/s', [Signal::Share]],
        'trail_jump' => ['ratio', [Signal::FootForce]],
        'dip' => ['%BW', [Signal::Total]],
        'dip_at' => ['ms', [Signal::Total]],
        'rise' => ['%BW', [Signal::Total]],
        'rise_at' => ['ms', [Signal::Total]],
        'rise_lead' => ['%BW', [Signal::FootForce]],
        'heel_toe_trail' => ['%BW', [Signal::Horizontal]],
        'heel_toe_trail_at' => ['ms', [Signal::Horizontal]],
        'heel_toe_lead' => ['%BW', [Signal::Horizontal]],
        'heel_toe_lead_at' => ['ms', [Signal::Horizontal]],
        'heel_toe_ratio' => ['ratio', [Signal::Horizontal]],
        'side_push' => ['%BW', [Signal::Horizontal]],
        'side_push_at' => ['ms', [Signal::Horizontal]],
        'takeaway_push' => ['%BW', [Signal::Horizontal]],
        'twist' => ['N·m/kg', [Signal::Twist]],
        'twist_at' => ['ms', [Signal::Twist]],
        'order' => ['order', [Signal::Horizontal, Signal::Twist, Signal::Total]],
        'emphasis' => ['order', [Signal::Horizontal, Signal::Twist, Signal::Total]],
        'pelvis_sway' => ['% of stance width', [Signal::Points]],
        'chest_sway' => ['% of stance width', [Signal::Points]],
        'away_most' => ['% of stance width', [Signal::Points]],
        'away_most_at' => ['fraction', [Signal::Points]],
        'head_sway' => ['% of body height', [Signal::Points]],
        'shoulder_tilt' => ['degrees', [Signal::Points]],
        'pelvis_tilt' => ['degrees', [Signal::Points]],
        'trail_side_rise' => ['cm', [Signal::Points]],
        'pelvis_turn' => ['degrees', [Signal::Points]],
        'chest_turn' => ['degrees', [Signal::Points]],
        'mass_ahead' => ['% of stance width', [Signal::Points, Signal::Cop]],
        'chest_over_lead' => ['%', [Signal::Points]],
        'trail_heel_lift' => ['cm', [Signal::Points]],
        'trail_heel_lift_at' => ['ms', [Signal::Points]],
        'heel_direction' => ['degrees', [Signal::Points]],
        'foot_spin' => ['degrees', [Signal::Points]],
        'lead_heel_lift' => ['cm', [Signal::Points]],
        'replant_at' => ['ms', [Signal::Points]],
        'lead_knee_flex' => ['degrees', [Signal::Points]],
        'lead_knee_gain' => ['degrees', [Signal::Points]],
        'lead_hip_back' => ['cm', [Signal::Points, Signal::Share]],
        'pelvis_depth' => ['cm', [Signal::Points]],
        'pelvis_depth_pct' => ['% of body height', [Signal::Points]],
        'knee_set' => ['degrees', [Signal::Points]],
        'trail_knee_way' => ['degrees', [Signal::Points]],
        'knee_gap' => ['cm', [Signal::Points]],
        'knee_gap_growth' => ['cm', [Signal::Points]],
        'lead_flare' => ['degrees', [Signal::Points]],
        'trail_flare' => ['degrees', [Signal::Points]],
        'tempo' => ['ratio', []],
        'chest_first' => ['ms', [Signal::Points, Signal::Share]],
    ];

    public function unit(): string
    {
        return self::ABOUT[$this->value][0];
    }

    /** @return list<Signal> */
    public function signals(): array
    {
        return self::ABOUT[$this->value][1];
    }

    /** @return list<string> what it can be, where it is one of a few words; none where it is a number, or an order */
    public function words(): array
    {
        return match ($this) {
            self::CopStyle => ['forward', 'returning'],
            self::LeadRegion => ['toe', 'mid', 'heel'],
            default => [],
        };
    }

    /** Whether a rule can ask it: a number against a threshold, or one of its words. */
    public function canBeAsked(): bool
    {
        return ! in_array($this, [self::Order, self::Emphasis], true);
    }

    /** Whether the value comes from body points, wholly or in part. */
    public function isKinematic(): bool
    {
        return in_array(Signal::Points, $this->signals(), true);
    }

    /** Whether it is given at several stations. */
    public function isByStation(): bool
    {
        return in_array(
            $this,
            [
                self::LeadShare,
                self::LeadRegion,
                self::PelvisSway,
                self::ChestSway,
                self::PelvisTurn,
                self::ChestTurn,
                self::HeadSway,
                self::ShoulderTilt,
                self::PelvisTilt,
                self::MassAhead,
                self::LeadKneeFlex,
                self::KneeGap,
            ],
            true,
        );
    }
}
