<?php

declare(strict_types=1);

namespace Core\Measurement;

/** What can be measured so far, by its published key. */
enum Measure: string
{
    case SetupShare = 'setup_share';
    case TrailPeak = 'trail_peak';
    case TrailPeakAt = 'trail_peak_at';
    case TopShare = 'top_share';
    case LevelShare = 'level_share';
    case ShaftShare = 'shaft_share';
    case ImpactShare = 'impact_share';
    case FinishShare = 'finish_share';
    case RecentreLead = 'recentre_lead';
    case LeadPeak = 'lead_peak';
    case CopStyle = 'cop_style';
    case Fallback = 'fallback';
    case LateSurge = 'late_surge';
    case Rise = 'rise';
    case RiseAt = 'rise_at';
    case PelvisSway = 'pelvis_sway';
    case ChestSway = 'chest_sway';
    case FootSpin = 'foot_spin';
    case Tempo = 'tempo';

    public function label(): string
    {
        return match ($this) {
            self::SetupShare => 'lead share at set-up',
            self::TrailPeak => 'largest trail share',
            self::TrailPeakAt => 'when trail share peaks',
            self::TopShare => 'lead share at the top',
            self::LevelShare => 'lead share at lead-arm level, down',
            self::ShaftShare => 'lead share at shaft level, down',
            self::ImpactShare => 'lead share at impact',
            self::FinishShare => 'lead share at the finish',
            self::RecentreLead => 'recentring before the top',
            self::LeadPeak => 'largest lead share coming down',
            self::CopStyle => 'style of the pressure path',
            self::Fallback => 'fall-back after impact',
            self::LateSurge => 'surge after impact',
            self::Rise => 'rise of vertical force',
            self::RiseAt => 'when the rise peaks, before impact',
            self::PelvisSway => 'pelvis sway',
            self::ChestSway => 'chest sway',
            self::FootSpin => 'trail-foot spin',
            self::Tempo => 'tempo',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::TrailPeakAt => 'fraction',
            self::RecentreLead, self::RiseAt => 'ms',
            self::Rise => '%BW',
            self::PelvisSway, self::ChestSway => '% of stance width',
            self::FootSpin => 'degrees',
            self::Tempo => 'ratio',
            self::CopStyle => 'style',
            default => '%',
        };
    }

    public function definition(): string
    {
        return match ($this) {
            self::SetupShare => 'mean lead share over the 0.3 s before address',
            self::TrailPeak => 'largest trail share from address to top',
            self::TrailPeakAt => 'when it is reached, as a fraction of address to top',
            self::TopShare => 'lead share of vertical pressure when the shaft reverses',
            self::LevelShare => 'lead share when the lead arm is level coming down',
            self::ShaftShare => 'lead share when the shaft is level coming down',
            self::ImpactShare => 'lead share when the club head meets the ball',
            self::FinishShare => 'lead share at the first rest after impact',
            self::RecentreLead => 'time from the first crossing of 50 % lead, held for 30 ms, to the top; positive = before the top',
            self::LeadPeak => 'largest lead share from lead arm level going back to impact',
            self::CopStyle => 'returning when 15 points or more are lost from the largest lead share by impact, else forward',
            self::Fallback => 'impact share minus the smallest lead share from impact to finish',
            self::LateSurge => 'largest lead share from impact to shaft level through, minus impact share',
            self::Rise => 'largest total vertical force from the dip to 50 ms after impact',
            self::RiseAt => 'when the rise peaks; positive = before impact',
            self::PelvisSway => 'pelvis centre along the target line since address; positive to the target',
            self::ChestSway => 'chest centre along the target line since address; positive to the target',
            self::FootSpin => 'trail-foot heading change from address to impact; positive when the heel goes away from the target',
            self::Tempo => 'address to top, over top to impact',
        };
    }

    /** Whether the value comes from body points rather than from pressure or force. */
    public function isKinematic(): bool
    {
        return in_array($this, [self::PelvisSway, self::ChestSway, self::FootSpin], true);
    }
}
