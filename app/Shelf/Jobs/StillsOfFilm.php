<?php

declare(strict_types=1);

namespace App\Shelf\Jobs;

use App\Models\Film;
use App\Shelf\Actions\MakeStills;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

final class StillsOfFilm implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public function __construct(private readonly int $film)
    {
        $this->onQueue('films');
    }

    public function handle(MakeStills $stills): void
    {
        $film = Film::query()->find($this->film);
        if ($film !== null) {
            $stills($film);
        }
    }
}
