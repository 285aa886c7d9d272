<?php

declare(strict_types=1);

namespace Core\Agreement;

use Core\Remark\RemarkCode;

/** What a figure that is defined says of how far it may be trusted. */
enum Caution: string implements RemarkCode
{
    /** clusters: as how many of even size they count */
    case FewClusters = 'caution.few-clusters';
    /** readers */
    case FewReaders = 'caution.few-readers';
    case DifferentCases = 'caution.different-cases';
    case PracticeAndMemory = 'caution.practice-and-memory';
}
