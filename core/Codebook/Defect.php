<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\RemarkCode;

/** What is wrong with a codebook that can be read, and would mislead: none of it may be published. */
enum Defect: string implements RemarkCode
{
    /** name, lens, parts: the values that lie inside their bands and support it */
    case BandSupports = 'defect.band-supports';
    /** name, lens, parts: the values at which it is both */
    case Both = 'defect.both';
    /** name, lens */
    case NeverSupported = 'defect.never-supported';
    /** name, lens */
    case NeverDenied = 'defect.never-denied';
    /** name, drill */
    case HelpsAndHarms = 'defect.helps-and-harms';
    /** name, drill */
    case NoDrill = 'defect.no-drill';
    /** name, drill: one that is kept as a warning */
    case HelpedByWarning = 'defect.helped-by-warning';
    /** drill */
    case NoPlan = 'defect.no-plan';
    /** drill, lens: neither a variant nor a refusal */
    case NoVariant = 'defect.no-variant';
    /** cue, key: of no fault the codebook has */
    case ProvokesNothing = 'defect.provokes-nothing';
}
