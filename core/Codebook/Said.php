<?php

declare(strict_types=1);

namespace Core\Codebook;

/**
 * What may be said of a fault: a verdict that does not clear its threshold by its own uncertainty only leans, and what
 * cannot be seen at all with what is held is told apart from what could be and was not.
 */
enum Said: string
{
    case Supported = 'supported';
    case LeansSupported = 'leans-supported';
    case Borderline = 'borderline';
    case LeansContradicted = 'leans-contradicted';
    case Contradicted = 'contradicted';
    case NotMeasurable = 'not-measurable';
    case NotObservable = 'not-observable';

    public static function of(Judgement $judgement, Observability $observability): self
    {
        return match ($judgement->verdict) {
            Verdict::Supported => $judgement->isSure() ? self::Supported : self::LeansSupported,
            Verdict::Contradicted => $judgement->isSure() ? self::Contradicted : self::LeansContradicted,
            Verdict::Borderline => self::Borderline,
            Verdict::NotMeasurable => $observability === Observability::NotObservable
                ? self::NotObservable
                : self::NotMeasurable,
        };
    }
}
