<?php

declare(strict_types=1);

namespace Core\Motion;

/** The nine stations of a swing, in order. */
enum Station: string
{
    case Address = 'AD';
    case TakeawayShaft = 'TB';
    case BackswingArm = 'LB';
    case Top = 'TP';
    case DownswingArm = 'LD';
    case DownswingShaft = 'SD';
    case Impact = 'IM';
    case ThroughShaft = 'ST';
    case Finish = 'FI';

    public function label(): string
    {
        return match ($this) {
            self::Address => 'address',
            self::TakeawayShaft => 'shaft level, going back',
            self::BackswingArm => 'lead arm level, going back',
            self::Top => 'top',
            self::DownswingArm => 'lead arm level, coming down',
            self::DownswingShaft => 'shaft level, coming down',
            self::Impact => 'impact',
            self::ThroughShaft => 'shaft level, through',
            self::Finish => 'finish',
        };
    }

    public function definition(): string
    {
        return match ($this) {
            self::Address => 'last still moment before the club moves',
            self::TakeawayShaft => 'the shaft crosses horizontal in the backswing',
            self::BackswingArm => 'the lead arm crosses horizontal in the backswing',
            self::Top => 'the shaft reverses',
            self::DownswingArm => 'the lead arm crosses horizontal in the downswing',
            self::DownswingShaft => 'the shaft crosses horizontal in the downswing',
            self::Impact => 'the club head meets the ball, or passes its place',
            self::ThroughShaft => 'the shaft crosses horizontal after impact',
            self::Finish => 'first rest of club and pelvis after impact, before any relaxed recoil',
        };
    }

    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** The phase that begins at this station. */
    public function phaseAfter(): string
    {
        return match ($this) {
            self::Address, self::TakeawayShaft => 'early backswing',
            self::BackswingArm => 'completion',
            self::Top => 'transition',
            self::DownswingArm, self::DownswingShaft => 'delivery',
            self::Impact, self::ThroughShaft => 'through',
            self::Finish => 'after',
        };
    }
}
