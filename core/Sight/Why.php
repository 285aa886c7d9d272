<?php

declare(strict_types=1);

namespace Core\Sight;

/** Why something may not be seen now; a code, its words are made at the edge. */
enum Why: string
{
    /** The golfer's consent has ended, or never covered this. */
    case Consent = 'consent';
    /** Its inputs were erased. */
    case Erased = 'erased';
    /** This person still has to read it blind. */
    case Awaited = 'awaited';
    /** This person's reading of it, or somebody else's, is not published yet. */
    case Unpublished = 'unpublished';
    /** Kept for anchors, checks and tests. */
    case Reserved = 'reserved';
    /** Other cases of the same sitting are still to be read blind. */
    case Others = 'others';
    /** The second part of the sitting has not begun for this person. */
    case TooSoon = 'too-soon';
    /** The golfer has still to say what was felt; numbers would colour it. */
    case Feel = 'feel';
    /** It is this person's own swing: to be looked at in a private review only. */
    case Own = 'own';
    /** Nothing gives this person a right to it. */
    case NotTheirs = 'not-theirs';

    /** Whether a figure made from several recordings would give this one away. */
    public function spoilsFigures(): bool
    {
        return $this === self::Awaited || $this === self::Unpublished || $this === self::Reserved;
    }
}
