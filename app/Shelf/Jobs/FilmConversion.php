<?php

declare(strict_types=1);

namespace App\Shelf\Jobs;

use App\Shelf\Actions\ConvertFilm;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Converts one film in the background. Safe to run twice: a film that is ready or held by another run is left alone.
 */
final class FilmConversion implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 960;

    public function __construct(private readonly int $film)
    {
        $this->onQueue('films');
    }

    public function handle(ConvertFilm $convert): void
    {
        $convert($this->film);
    }
}
