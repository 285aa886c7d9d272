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
    public static function of(Label $label, Judgement $judgement): self
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

    public function says(): string
    {
        return match ($this) {
            self::Verified => 'the panel agrees, and the measurement agrees beyond its uncertainty',
            self::PanelOnly => 'the panel agrees; nothing measured here can decide it',
            self::Borderline => 'the panel agrees; the measurement lies inside the margin',
            self::Conflict => 'the panel agrees, and the measurement contradicts it',
            self::Contested => 'the panel does not agree',
        };
    }
}
