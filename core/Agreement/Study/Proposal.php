<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Remark\RemarkCode;

/** What the evidence proposes to do with a fault's definition; the head coach decides. */
enum Proposal: string implements RemarkCode
{
    /** agreed_percent */
    case Holds = 'proposal.holds';
    /** agreed_percent, contested_percent: neither panel nor staff call the same */
    case Sharpen = 'proposal.sharpen';
    /** agreed_percent, contested_percent: the panel does, the staff do not */
    case Practise = 'proposal.practise';
    /** other, together, missed, otherwise, others */
    case DrawTheLine = 'proposal.draw-the-line';
    /** device, untold_percent, other, told_percent: hardly told on one kind of evidence, and told on another */
    case SplitByEvidence = 'proposal.split-by-evidence';
    /** cases, at_most_percent */
    case Drop = 'proposal.drop';
    /** cases */
    case NotYet = 'proposal.not-yet';
}
