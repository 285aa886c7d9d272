<?php

declare(strict_types=1);

namespace Core\Sight;

/** How far a sitting has come. It goes forward only. */
enum SittingState: string
{
    case Draft = 'draft';
    case Open = 'open';
    case Closed = 'closed';
    case Published = 'published';

    /** Whether its readers are still to be kept from the answers. */
    public function isUnderWay(): bool
    {
        return $this === self::Open || $this === self::Closed;
    }
}
