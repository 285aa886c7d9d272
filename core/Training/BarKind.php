<?php

declare(strict_types=1);

namespace Core\Training;

/** What else is asked of who is to be left alone, of the cases read last. */
enum BarKind: string
{
    /** The first cause as the panel has it, share at least. */
    case Cause = 'cause';
    /** Unsafe drills among those prescribed last, at most. */
    case Unsafe = 'unsafe';
    /** Cannot tell where nothing could be told, share at least. */
    case CannotTell = 'cannot-tell';
    /** Calls that what was shown cannot support, share at most. */
    case Unsupported = 'unsupported';
    /** How far top and impact are marked from where they are, ms at the median at most. */
    case Timing = 'timing';
    /** The same call when the same swing comes again, share at least. */
    case Self = 'self';
    /** Days since a case was read, at most. */
    case Recency = 'recency';

    /** Whether more is better. */
    public function isLeast(): bool
    {
        return in_array($this, [self::Cause, self::CannotTell, self::Self], true);
    }

    public function isShare(): bool
    {
        return $this->isLeast() || $this === self::Unsupported;
    }
}
