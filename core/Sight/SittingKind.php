<?php

declare(strict_types=1);

namespace Core\Sight;

/** What a sitting is for: what becomes of its readings, and what its readers see afterwards, depends on it. */
enum SittingKind: string
{
    case Panel = 'panel';
    case Following = 'following';
    case Round = 'round';
    case Practice = 'practice';
    case Check = 'check';
    case Test = 'test';
    case Review = 'review';

    /** Whether its readings make a key rather than being scored against one. */
    public function makesKey(): bool
    {
        return $this === self::Panel || $this === self::Following;
    }
}
