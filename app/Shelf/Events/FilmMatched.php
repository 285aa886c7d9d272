<?php

declare(strict_types=1);

namespace App\Shelf\Events;

/** A film's clock was set anew: its pictures of the stations are other ones. */
final readonly class FilmMatched
{
    public function __construct(public int $film)
    {
    }
}
