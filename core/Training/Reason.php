<?php

declare(strict_types=1);

namespace Core\Training;

use Core\Remark\RemarkCode;

/** Why a question is asked next. */
enum Reason: string implements RemarkCode
{
    /** fault, low_percent: may be as weak as that */
    case Weak = 'next.weak';
    /** fault, days: it was known, and is on its way to be forgotten */
    case Due = 'next.due';
    /** fault: hardly asked yet */
    case Fresh = 'next.fresh';
    /** fault, other: one is called where the other is meant */
    case Confused = 'next.confused';
    /** fault: all stand well */
    case Kept = 'next.kept';
}
