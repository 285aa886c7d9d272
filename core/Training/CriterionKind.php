<?php

declare(strict_types=1);

namespace Core\Training;

/** Which calls a criterion counts. */
enum CriterionKind: string
{
    /** Of what is there: was it found? */
    case Sensitivity = 'sensitivity';
    /** Of what is not there: was it left alone? */
    case Specificity = 'specificity';

    public function counts(bool $isThere): bool
    {
        return $isThere === ($this === self::Sensitivity);
    }
}
