<?php

declare(strict_types=1);

namespace App\Shelf\Jobs;

use App\Film\FilmFiles;
use App\Models\Film;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Removes the files of a film that was taken away, unless it was put back meanwhile. */
final class ForgetFilm implements ShouldQueue
{
    use Queueable;

    /** When nobody can put it back any more, s. */
    public const AFTER_S = 75;

    /** @param  string  $film  its public name */
    public function __construct(private readonly string $film)
    {
        $this->onQueue('films');
    }

    public function handle(FilmFiles $files): void
    {
        if (! Film::query()->where('public_id', $this->film)->exists()) {
            $files->forget($this->film);
        }
    }
}
