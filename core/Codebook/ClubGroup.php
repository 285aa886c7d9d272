<?php

declare(strict_types=1);

namespace Core\Codebook;

/** Clubs that are played alike, as far as the feet are concerned. */
enum ClubGroup: string
{
    case Wedge = 'wedge';
    case Iron = 'iron';
    case Wood = 'wood';

    /** Null where the name says nothing of the group. */
    public static function ofClub(?string $club): ?self
    {
        $name = mb_strtolower((string) $club);

        return match (true) {
            str_contains($name, 'wedge'), str_contains($name, 'pitch') => self::Wedge,
            str_contains($name, 'wood'), str_contains($name, 'hybrid'), str_contains($name, 'driver') => self::Wood,
            str_contains($name, 'iron') => self::Iron,
            default => null,
        };
    }
}
