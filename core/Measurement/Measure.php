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
    case ToeDrift = 'toe_drift';
    case HeelDriftBack = 'heel_drift_back';
    case EdgeFraction = 'edge_fraction';
    case EdgeFractionDown = 'edge_fraction_down';
    case LeadRegion = 'lead_region';
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
    case PelvisTurn = 'pelvis_turn';
    case ChestTurn = 'chest_turn';
    case MassAhead = 'mass_ahead';
    case ChestOverLead = 'chest_over_lead';
    case TrailHeelLift = 'trail_heel_lift';
    case TrailHeelLiftAt = 'trail_heel_lift_at';
    case FootSpin = 'foot_spin';
    case LeadHeelLift = 'lead_heel_lift';
    case ReplantAt = 'replant_at';
    case LeadKneeFlex = 'lead_knee_flex';
    case LeadHipBack = 'lead_hip_back';
    case PelvisDepth = 'pelvis_depth';
    case KneeGap = 'knee_gap';
    case KneeGapGrowth = 'knee_gap_growth';
    case LeadFlare = 'lead_flare';
    case Tempo = 'tempo';
    case ChestFirst = 'chest_first';

    /** Key → label, unit, definition, the signals it is made from (any of them that the device has). */
    private const ABOUT = [
        'lead_share' => ['lead share', '%', 'lead share of the vertical pressure at every station', [Signal::Share]],
        'setup_share' => [
            'lead share at set-up',
            '%',
            'mean lead share over the 0.3 s before address',
            [Signal::Share],
        ],
        'lead_leg_drift' => [
            'drift off the lead leg',
            '%',
            'set-up share minus lead share at shaft level going back',
            [Signal::Share],
        ],
        'trail_peak' => ['largest trail share', '%', 'largest trail share from address to top', [Signal::Share]],
        'trail_peak_at' => [
            'when trail share peaks',
            'fraction',
            'when it is reached, as a fraction of address to top',
            [Signal::Share],
        ],
        'trail_second_peak' => [
            'second press of the trail foot',
            '%',
            'largest trail share from top to lead arm level coming down, minus trail share at the top',
            [Signal::Share],
        ],
        'top_share' => [
            'lead share at the top',
            '%',
            'lead share of vertical pressure when the shaft reverses',
            [Signal::Share],
        ],
        'level_share' => [
            'lead share at lead-arm level, down',
            '%',
            'lead share when the lead arm is level coming down',
            [Signal::Share],
        ],
        'shaft_share' => [
            'lead share at shaft level, down',
            '%',
            'lead share when the shaft is level coming down',
            [Signal::Share],
        ],
        'impact_share' => [
            'lead share at impact',
            '%',
            'lead share when the club head meets the ball',
            [Signal::Share],
        ],
        'finish_share' => [
            'lead share at the finish',
            '%',
            'lead share at the first rest after impact',
            [Signal::Share],
        ],
        'recentre_lead' => [
            'recentring before the top',
            'ms',
            'time from the first upward crossing of 50 % lead after the trail peak, held for 30 ms, to the top; '
                .'positive = before the top',
            [Signal::Share],
        ],
        'shift_rate' => [
            'rate of the shift',
            '%/s',
            'largest slope of lead share from lead arm level going back to impact',
            [Signal::Share],
        ],
        'shift_rate_at' => [
            'when the shift is fastest, before impact',
            'ms',
            'when the lead share rises fastest; positive = before impact',
            [Signal::Share],
        ],
        'lead_peak' => [
            'largest lead share coming down',
            '%',
            'largest lead share from lead arm level going back to impact',
            [Signal::Share],
        ],
        'lead_peak_at' => [
            'when lead share peaks, before impact',
            'ms',
            'when it is reached; positive = before impact',
            [Signal::Share],
        ],
        'fallback' => [
            'fall-back after impact',
            '%',
            'impact share minus the smallest lead share from impact to finish',
            [Signal::Share],
        ],
        'late_surge' => [
            'surge after impact',
            '%',
            'largest lead share from impact to shaft level through, minus impact share',
            [Signal::Share],
        ],
        'cop_style' => [
            'style of the pressure path',
            'style',
            'returning when 15 points or more are lost from the largest lead share by impact, else forward',
            [Signal::Share],
        ],
        'toe_drift' => [
            'drift to the toes, top to impact',
            '% of foot length',
            'share-weighted mean of where along each foot the pressure is, impact minus top; positive to the toes',
            [Signal::FootCop, Signal::Cop],
        ],
        'heel_drift_back' => [
            'drift along the feet going back',
            '% of foot length',
            'the same, top minus address; negative to the heels',
            [Signal::FootCop, Signal::Cop],
        ],
        'edge_fraction' => [
            'edge of the trail foot at its peak',
            '% of foot width',
            'how far across the trail foot the pressure is at the trail peak; positive to the outer edge',
            [Signal::FootCop],
        ],
        'edge_fraction_down' => [
            'edge of the trail foot starting down',
            '% of foot width',
            'the farthest across the trail foot from top to shaft level coming down; positive to the outer edge',
            [Signal::FootCop],
        ],
        'lead_region' => [
            'part of the lead foot at impact',
            'region',
            'third of the lead foot that holds its centre of pressure at impact',
            [Signal::FootCop],
        ],
        'unload_at' => [
            'trail foot let go, before the top',
            'ms',
            "when the trail foot's vertical force falls below 95 % of its peak for good; positive = before the top",
            [Signal::FootForce, Signal::Share],
        ],
        'unload_rate' => [
            'how fast the trail foot lets go',
            '%BW/s',
            'mean slope of its vertical force from there to lead arm level coming down (a mat: of its share)',
            [Signal::FootForce, Signal::Share],
        ],
        'trail_jump' => [
            'trail force gained after the top',
            'ratio',
            'largest vertical force under the trail foot from top to lead arm level coming down, over its value at '
                .'the top',
            [Signal::FootForce],
        ],
        'dip' => [
            'dip of vertical force',
            '%BW',
            'smallest total vertical force from lead arm level going back to shaft level coming down',
            [Signal::Total],
        ],
        'dip_at' => [
            'when the dip is deepest, before impact',
            'ms',
            'when it is reached; positive = before impact',
            [Signal::Total],
        ],
        'rise' => [
            'rise of vertical force',
            '%BW',
            'largest total vertical force from the dip to 50 ms after impact',
            [Signal::Total],
        ],
        'rise_at' => [
            'when the rise peaks, before impact',
            'ms',
            'when it peaks; positive = before impact',
            [Signal::Total],
        ],
        'rise_lead' => [
            "lead foot's part of the rise",
            '%BW',
            'vertical force under the lead foot when the rise peaks',
            [Signal::FootForce],
        ],
        'heel_toe_trail' => [
            'push-back of the trail foot',
            '%BW',
            'largest force toward the toes under the trail foot from top to impact: that foot pushes backward',
            [Signal::Horizontal],
        ],
        'heel_toe_trail_at' => [
            'when the trail foot pushes back',
            'ms',
            'when it is reached, after lead arm level coming down',
            [Signal::Horizontal],
        ],
        'heel_toe_lead' => [
            'push-forward of the lead foot',
            '%BW',
            'largest force toward the heels under the lead foot from top to impact: that foot pushes forward',
            [Signal::Horizontal],
        ],
        'heel_toe_lead_at' => [
            'when the lead foot pushes forward',
            'ms',
            'when it is reached, after lead arm level coming down',
            [Signal::Horizontal],
        ],
        'heel_toe_ratio' => [
            'lead push over trail push',
            'ratio',
            'push-forward of the lead foot over push-back of the trail foot',
            [Signal::Horizontal],
        ],
        'side_push' => [
            'push toward the target',
            '%BW',
            'largest net force toward the target from lead arm level going back to impact',
            [Signal::Horizontal],
        ],
        'side_push_at' => [
            'when it pushes toward the target, before impact',
            'ms',
            'when it is reached; positive = before impact',
            [Signal::Horizontal],
        ],
        'takeaway_push' => [
            'push away from the target, going back',
            '%BW',
            'largest net force away from the target from address to shaft level going back',
            [Signal::Horizontal],
        ],
        'twist' => [
            'opening twist',
            'N·m/kg',
            'largest opening moment about the net centre of pressure from lead arm level going back to impact',
            [Signal::Twist],
        ],
        'twist_at' => [
            'when the twist peaks, before impact',
            'ms',
            'when it is reached; positive = before impact',
            [Signal::Twist],
        ],
        'order' => [
            'order of the pushes',
            'order',
            'side push, twist and rise in order of time',
            [Signal::Horizontal, Signal::Twist, Signal::Total],
        ],
        'emphasis' => [
            'emphasis of the pushes',
            'order',
            "side push, twist and rise in order of size against the academy's own distribution",
            [Signal::Horizontal, Signal::Twist, Signal::Total],
        ],
        'pelvis_sway' => [
            'pelvis sway',
            '% of stance width',
            'pelvis centre along the target line since address; positive to the target',
            [Signal::Points],
        ],
        'chest_sway' => [
            'chest sway',
            '% of stance width',
            'chest centre along the target line since address; positive to the target',
            [Signal::Points],
        ],
        'pelvis_turn' => [
            'pelvis turn',
            'degrees',
            'turn of the line through the hips from the target line; positive = open to the target',
            [Signal::Points],
        ],
        'chest_turn' => [
            'chest turn',
            'degrees',
            'turn of the line through the shoulders from the target line; positive = open to the target',
            [Signal::Points],
        ],
        'mass_ahead' => [
            'body ahead of pressure',
            '% of stance width',
            'middle of pelvis and chest minus centre of pressure along the target line; positive = body ahead',
            [Signal::Points, Signal::Cop],
        ],
        'chest_over_lead' => [
            'chest over the lead heel at impact',
            '%',
            'where the chest is at impact between the trail heel (0) and the lead heel (100)',
            [Signal::Points],
        ],
        'trail_heel_lift' => [
            'lift of the trail heel',
            'cm',
            'largest lift of the trail heel before impact',
            [Signal::Points],
        ],
        'trail_heel_lift_at' => [
            'trail heel off the ground, before impact',
            'ms',
            'when the trail heel first passes 1.5 cm; positive = before impact',
            [Signal::Points],
        ],
        'foot_spin' => [
            'trail-foot spin',
            'degrees',
            'heading change of the trail foot from address to impact; positive when the heel goes away from the target',
            [Signal::Points],
        ],
        'lead_heel_lift' => [
            'lift of the lead heel',
            'cm',
            'largest lift of the lead heel before impact',
            [Signal::Points],
        ],
        'replant_at' => [
            'lead heel planted again, after the top',
            'ms',
            'when the lead heel comes back below 1.5 cm for good, after the top; negative = before it',
            [Signal::Points],
        ],
        'lead_knee_flex' => [
            'bend of the lead knee',
            'degrees',
            'angle of the lead knee away from straight',
            [Signal::Points],
        ],
        'lead_hip_back' => [
            'lead hip pulling back',
            'cm',
            'retreat of the lead hip from the ball from the top until the lead share reaches 70 %, or impact',
            [Signal::Points, Signal::Share],
        ],
        'pelvis_depth' => [
            'pelvis toward the ball',
            'cm',
            'pelvis toward the ball, impact minus address',
            [Signal::Points],
        ],
        'knee_gap' => ['gap between the knees', 'cm', 'distance between the knees', [Signal::Points]],
        'knee_gap_growth' => [
            'growth of the knee gap',
            'cm',
            'gap between the knees at shaft level coming down minus the gap at the top',
            [Signal::Points],
        ],
        'lead_flare' => [
            'flare of the lead foot',
            'degrees',
            'how far the lead foot points toward the target at address',
            [Signal::Points],
        ],
        'tempo' => ['tempo', 'ratio', 'address to top, over top to impact', []],
        'chest_first' => [
            'chest before pressure',
            'ms',
            'when the lead share starts its last rise minus when the chest starts to open; positive = chest first',
            [Signal::Points, Signal::Share],
        ],
    ];

    public function label(): string
    {
        return self::ABOUT[$this->value][0];
    }

    public function unit(): string
    {
        return self::ABOUT[$this->value][1];
    }

    public function definition(): string
    {
        return self::ABOUT[$this->value][2];
    }

    /** @return list<Signal> */
    public function signals(): array
    {
        return self::ABOUT[$this->value][3];
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
                self::PelvisSway,
                self::ChestSway,
                self::PelvisTurn,
                self::ChestTurn,
                self::MassAhead,
                self::LeadKneeFlex,
                self::KneeGap,
            ],
            true,
        );
    }
}
