<?php

declare(strict_types=1);

namespace Core\Sight;

/** What somebody is at the academy. Who reads in a sitting is told by its seats, not by this. */
enum Role: string
{
    case HeadCoach = 'head-coach';
    case Panel = 'panel';
    case Instructor = 'instructor';

    /** Whether somebody of this role may have a seat in a sitting of that kind. */
    public function maySit(SittingKind $kind): bool
    {
        return $this !== self::Instructor || $kind !== SittingKind::Panel;
    }
}
