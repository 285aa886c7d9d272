<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Models\Casts\Cell;
use App\Models\Film;
use App\Shelf\Events\FilmArrived;
use Illuminate\Support\Carbon;

/**
 * Queues again each conversion whose run no longer beats: its process was killed, or the machine went down. One that
 * waits for long may never have come to the queue: what takes a film in can be killed before it asks.
 */
final readonly class RestartConversions
{
    /** So long may a film wait before it is asked for again, s. */
    public const FORGOTTEN_S = 600;

    /** @return int how many */
    public function __invoke(): int
    {
        $lost = Film::query()
            ->where('state', 'converting')
            ->where('beat_at', '<', Carbon::now()->subSeconds(ConvertFilm::STALE_S))
            ->pluck('id');
        $forgotten = Film::query()
            ->where('state', 'waiting')
            ->whereRaw('coalesce(beat_at, updated_at) < ?', [Carbon::now()->subSeconds(self::FORGOTTEN_S)])
            ->pluck('id');
        // Where the queue is long, once in that time.
        Film::query()->whereKey($forgotten)->where('state', 'waiting')->update(['beat_at' => Carbon::now()]);
        foreach ($lost->concat($forgotten) as $id) {
            event(new FilmArrived(Cell::int($id)));
        }

        return $lost->count() + $forgotten->count();
    }
}
