<?php

declare(strict_types=1);

namespace Core\Reading;

/** How far a drill is taken before the student comes back. */
enum Stop: string
{
    case Rehearsal = 'rehearsal';
    case ShortIron = 'short-iron';
    case LongerClubs = 'longer-clubs';
    case FullSpeed = 'full-speed';

    public function label(): string
    {
        return match ($this) {
            self::Rehearsal => 'rehearsal only',
            self::ShortIron => 'part swings with a short iron',
            self::LongerClubs => 'longer clubs',
            self::FullSpeed => 'full speed',
        };
    }
}
