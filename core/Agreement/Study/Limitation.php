<?php

declare(strict_types=1);

namespace Core\Agreement\Study;

use Core\Remark\RemarkCode;

/** What keeps a round's figures from saying more than they do. */
enum Limitation: string implements RemarkCode
{
    /** readers */
    case FewReaders = 'limitation.few-readers';
    /** golfers */
    case FewGolfers = 'limitation.few-golfers';
    /** members: of the panel */
    case SmallPanel = 'limitation.small-panel';
    /** entries, of: the questions of the round */
    case HardestLeftOut = 'limitation.hardest-left-out';
    /** entries */
    case Conflicts = 'limitation.conflicts';
    /** entries */
    case NotShown = 'limitation.not-shown';
    /** readings */
    case Exposed = 'limitation.exposed';
    /** missing, dealt: readings */
    case Missing = 'limitation.missing';
    /** percent: of all calls */
    case CannotTell = 'limitation.cannot-tell';
    case NoRepeats = 'limitation.no-repeats';
    /** cases: asked about twice */
    case FewRepeats = 'limitation.few-repeats';
    case Remembered = 'limitation.remembered';
    /** thin, faults */
    case ThinFaults = 'limitation.thin-faults';
    case OneWayShown = 'limitation.one-way-shown';
    case NoKey = 'limitation.no-key';
}
