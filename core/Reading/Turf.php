<?php

declare(strict_types=1);

namespace Core\Reading;

/** What the ground shows afterwards, of the club or of the feet. */
enum Turf: string
{
    case None = 'none';
    case Clean = 'clean';
    case DugBehind = 'dug-behind';
    case RolledUp = 'rolled-up';
    case Spun = 'spun';

    /** What a pin on turf may say it shows; a clean mark is said of a shot, not pointed to. */
    public const PINNED = [self::Spun, self::RolledUp, self::DugBehind, self::None];
}
