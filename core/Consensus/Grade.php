<?php

declare(strict_types=1);

namespace Core\Consensus;

use Core\Codebook\Judgement;
use Core\Codebook\Verdict;

/** How a panel's label stands beside the measurement. */
enum Grade: string
{
    case Verified = 'verified';
    case PanelOnly = 'panel only';
    case Borderline = 'borderline';
    case Conflict = 'conflict';
    case Contested = 'contested';

    /**
     * Verified and conflict need a verdict that clears its threshold by more than its uncertainty; one that
     * does not is borderline. Contested is the absence of a label, whatever the measurement says.
     */
    public static function grading(Label $label, Judgement $judgement): self
    {
        if ($label === Label::None) {
            return self::Contested;
        }
        if ($judgement->verdict === Verdict::NotMeasurable) {
            return self::PanelOnly;
        }
        if ($judgement->verdict === Verdict::Borderline || ! $judgement->isSure()) {
            return self::Borderline;
        }

        return ($judgement->verdict === Verdict::Supported) === ($label === Label::Present)
            ? self::Verified
            : self::Conflict;
    }

    /** Whether raters are scored against a key of this grade; a conflict only once the head coach has ruled. */
    public function isScored(bool $ruled): bool
    {
        return match ($this) {
            self::Contested => false,
            self::Conflict => $ruled,
            default => true,
        };
    }
}
