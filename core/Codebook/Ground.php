<?php

declare(strict_types=1);

namespace Core\Codebook;

use Core\Remark\RemarkCode;

/** What a verdict came from. The fault's name is the caller's to give: 'fault'. */
enum Ground: string implements RemarkCode
{
    /** rule */
    case Supported = 'ground.supported';
    /** rule */
    case Contradicted = 'ground.contradicted';
    /** rule; its deciding value clears the threshold by less than its own uncertainty */
    case LeansSupported = 'ground.leans-supported';
    case LeansContradicted = 'ground.leans-contradicted';
    /** rule, unless: the rule that contradicts */
    case InMargin = 'ground.in-margin';
    /** proxy, rule */
    case SupportedByProxy = 'ground.supported-by-proxy';
    /** proxy, rule */
    case ContradictedByProxy = 'ground.contradicted-by-proxy';
    /** proxy, rule */
    case LeansSupportedByProxy = 'ground.leans-supported-by-proxy';
    /** proxy, rule */
    case LeansContradictedByProxy = 'ground.leans-contradicted-by-proxy';
    /** proxy, rule, unless */
    case InMarginByProxy = 'ground.in-margin-by-proxy';
    /** proxy: in the codebook's words */
    case HintOnly = 'ground.hint-only';
    case PitchForce = 'ground.pitch-force';
    /** rule */
    case Undecided = 'ground.undecided';
    /** why */
    case NotJudged = 'ground.not-judged';
    case Rehearsal = 'ground.rehearsal';
    case ExaggeratingDrill = 'ground.exaggerating-drill';
    case NoSwing = 'ground.no-swing';
    case SeveralSwings = 'ground.several-swings';
    case TooSlow = 'ground.too-slow';
    /** evidence: views and devices, as Shown::evidence() has them */
    case NotSeen = 'ground.not-seen';
    /** agreeing, held: swings; swing: what was said of one that agrees */
    case MostSwings = 'ground.most-swings';
    /** held, speaking, against: swings */
    case SplitSwings = 'ground.split-swings';
    /** swing: what was said of the one that decided */
    case BeforeAndAfter = 'ground.before-and-after';
    /** swing */
    case Before = 'ground.before';
    /** swing */
    case After = 'ground.after';
    /** swing */
    case NeitherBeforeNorAfter = 'ground.neither-before-nor-after';

    public function byProxy(): self
    {
        return match ($this) {
            self::Supported => self::SupportedByProxy,
            self::Contradicted => self::ContradictedByProxy,
            self::LeansSupported => self::LeansSupportedByProxy,
            self::LeansContradicted => self::LeansContradictedByProxy,
            self::InMargin => self::InMarginByProxy,
            default => $this,
        };
    }
}
