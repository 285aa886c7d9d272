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

    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
