<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\MakeStills;
use App\Models\Film;
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
        $film === null || $stills($film);
    }
}
