<?php

declare(strict_types=1);

namespace Core\Consensus;

/** Where a member of a panel sees the difference from the others. */
enum LiesIn: string
{
    /** They saw something else, or did not see it. */
    case Seeing = 'seeing';
    /** They mean something else by the fault. */
    case Definition = 'definition';
    /** They were taught otherwise what is right. */
    case School = 'school';
    /** What was shown cannot tell it. */
    case Evidence = 'evidence';
}
