<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Models\Casts\Cell;
use App\Models\Film;
use App\Shelf\Events\FilmArrived;
use Illuminate\Support\Carbon;

/** Queues again each conversion whose run no longer beats: its process was killed, or the machine went down. */
final readonly class RestartConversions
{
    /** @return int how many */
    public function __invoke(): int
    {
        $lost = Film::query()
            ->where('state', 'converting')
            ->where('beat_at', '<', Carbon::now()->subSeconds(ConvertFilm::STALE_S))
            ->pluck('id');
        foreach ($lost as $id) {
            event(new FilmArrived(Cell::int($id)));
        }

        return $lost->count();
    }
}
