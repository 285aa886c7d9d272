<?php

declare(strict_types=1);

namespace App\Shelf\Events;

/** A film is here whole, or its conversion was lost: it is to be converted. */
final readonly class FilmArrived
{
    public function __construct(public int $film)
    {
    }
}
