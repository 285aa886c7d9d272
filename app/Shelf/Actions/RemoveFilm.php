<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Film\FilmFiles;
use App\Models\Casts\Cell;
use App\Models\Film;
use App\Models\Recording;
use App\Models\Sitting;
use App\Models\User;
use App\Shelf\Events\FilmRemoved;
use App\Undo\Actions\PutRowsBack;
use App\Undo\Rows;
use Core\Sight\SittingState;
use Illuminate\Support\Facades\DB;

/** Takes a film away with its file, unless readings of a round show it. */
final readonly class RemoveFilm
{
    public function __construct(private FilmFiles $files, private PutRowsBack $putBack)
    {
    }

    /**
     * @return array{table: string, rows: list<array<string, string|null>>} what stood there
     *
     * @throws ActionException when a round shows the film
     */
    public function __invoke(Film $film, User $by): array
    {
        return DB::transaction(static function () use ($film, $by): array {
            $recording = Recording::query()->lockForUpdate()->findOrFail($film->recording_id);
            $round = self::roundShowing($film);
            if ($round !== null) {
                throw ActionException::because('refusals.shelf.shows-film-its-readings', ['round' => $round->name]);
            }
            $was = Rows::of('films', ['id' => $film->id]);
            // Not the model's own deletion, by which the files would go at once.
            Film::query()->whereKey($film->id)->delete();
            event(new FilmRemoved($film, $recording, $by));

            return $was;
        });
    }

    /**
     * Puts it back, as long as its files lie there and the swing is still one.
     *
     * @param  array<array-key, mixed>  $payload
     *
     * @throws ActionException
     */
    public function back(array $payload, User $by): void
    {
        DB::transaction(function () use ($payload, $by): void {
            $recording = Recording::query()
                ->whereNull('erased_at')
                ->lockForUpdate()
                ->find(Cell::int($payload['recording'] ?? 0));
            $folder = is_string($payload['folder'] ?? null) ? $payload['folder'] : '';
            if ($recording === null || ! $this->files->keeps($folder)) {
                throw ActionException::because('refusals.undo.changed', [], ActionException::CONFLICT);
            }
            ($this->putBack)($payload, $by);
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
