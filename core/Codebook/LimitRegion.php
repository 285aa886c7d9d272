<?php

declare(strict_types=1);

namespace Core\Codebook;

/** What of a body a limit is about. Nothing here is a diagnosis. */
enum LimitRegion: string
{
    case Ankle = 'ankle';
    case Knee = 'knee';
    case Hip = 'hip';
    case Back = 'back';
    case Shoulder = 'shoulder';
    case Wrist = 'wrist';
    case Neck = 'neck';
    case Balance = 'balance';
    case HeartAndBreath = 'heart-and-breath';
    case Eyes = 'eyes';
    case Pregnancy = 'pregnancy';
    case Other = 'other';

    /** Whether there is one on either side of the body. */
    public function hasSides(): bool
    {
        return match ($this) {
            self::Ankle, self::Knee, self::Hip, self::Shoulder, self::Wrist => true,
            default => false,
        };
    }
}
