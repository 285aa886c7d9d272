<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Models\Film;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Shelf\Events\FilmRemoved;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Takes a film away with its file, unless readings of a round show it. */
final readonly class RemoveFilm
{
    /** @throws ActionException when a round shows the film */
    public function __invoke(Film $film, User $by): void
    {
        DB::transaction(static function () use ($film, $by): void {
            $recording = Recording::query()->lockForUpdate()->findOrFail($film->recording_id);
            $round = self::roundShowing($film);
            if ($round !== null) {
                throw ActionException::because('refusals.shelf.shows-film-its-readings', ['round' => $round->name]);
            }
            $film->delete();
            event(new FilmRemoved($film, $recording, $by));
        });
    }

    private static function roundShowing(Film $film): ?Sitting
    {
        return Sitting::query()
            ->where('state', '<>', SittingState::Draft)
            ->whereHas(
                'cases',
                static fn ($q) => $q
                    ->whereHas('swings', static fn ($s) => $s->where('recording_id', $film->recording_id))
                    ->whereHas(
                        'readings',
                        static fn ($r) => $r->whereHas('arm', static fn ($a) => $a->where('film', true)),
                    )
                    ->whereJsonContains('film_views', $film->view),
            )
            ->first();
    }
}
