<?php

declare(strict_types=1);

namespace Core\Codebook;

/** How well a fault can be seen in given evidence. */
enum Observability: string
{
    case Observable = 'observable';
    case Indirect = 'indirect';
    case NotObservable = 'not observable';

    /** Whether a call made on such evidence is a supported call. */
    public function supports(): bool
    {
        return $this !== self::NotObservable;
    }
}
