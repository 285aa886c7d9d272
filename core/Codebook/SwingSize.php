<?php

declare(strict_types=1);

namespace Core\Codebook;

/** How far back the arms went. */
enum SwingSize: string
{
    case Full = 'full';
    case ThreeQuarter = 'three-quarter';
    case Half = 'half';
    case Short = 'short';

    /** As it was said; a pitch is a short one where nothing was. */
    public static function ofSwing(?string $said, ?string $club): ?self
    {
        return ($said === null ? null : self::tryFrom($said))
            ?? (str_contains(mb_strtolower((string) $club), 'pitch') ? self::Short : null);
    }
}
