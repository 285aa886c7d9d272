<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
use App\Film\FilmFiles;
use App\Models\Film;
use App\Models\Recording;
use App\Models\User;
use App\Shelf\Events\FilmAdded;
use App\Shelf\Events\FilmArrived;
use App\Shelf\UploadQuota;
use App\Words\Term;
use Core\Film\Container;
use Core\Motion\View;
use Illuminate\Support\Facades\DB;
use League\Flysystem\FilesystemException;

/**
 * Takes a film in, part by part, so that a lost network costs one part and no server limit matters. A part sent
 * twice is known by its place, and any machine may take any part. When the last is here its conversion is queued.
 */
final readonly class ReceiveFilm
{
    public function __construct(private FilmFiles $files)
    {
    }

    public const LARGEST = 600 * 1024 * 1024;

    /** Bytes of one part at most. */
    public const PART = 4 * 1024 * 1024;

    /** @throws ActionException */
    public function begin(Recording $recording, View $view, string $name, int $bytes, int $slowed, User $by): Film
    {
        if ($bytes > self::LARGEST) {
            throw ActionException::because('refusals.shelf.film-too-large', [
                'mb' => (int) round($bytes / 1048576),
                'most' => (int) round(self::LARGEST / 1048576),
            ]);
        }

        UploadQuota::take($by, $bytes);

        return DB::transaction(function () use ($recording, $view, $name, $bytes, $slowed, $by): Film {
            Recording::query()->lockForUpdate()->findOrFail($recording->id);
            $there = Film::query()->where(['recording_id' => $recording->id, 'view' => $view->value])->first();
            if ($there !== null && $there->isReady()) {
                throw ActionException::because('refusals.shelf.there-already-take-away', [
                    'view' => Term::view($view),
                ]);
            }
            if ($there !== null && in_array($there->state, ['waiting', 'converting'], true)) {
                throw ActionException::because('refusals.shelf.swing-being-made-ready', [
                    'view' => Term::view($view),
                ]);
            }
            $there?->delete();
            event(new FilmAdded($recording, $view, $name, $bytes, $by));

            return Film::query()->create([
                'recording_id' => $recording->id,
                'view' => $view->value,
                'name' => mb_substr($name, 0, 160),
                'bytes' => $bytes,
                'slowed' => $slowed,
                'offset_s' => $recording->t0,
            ]);
        });
    }

    /**
     * @param  string  $part  bytes that begin at $offset
     * @return int how many bytes are here now
     *
     * @throws ActionException
     */
    public function append(Film $film, int $offset, string $part): int
    {
        if ($offset === 0 && $film->state === 'arriving' && Container::recognised($part) === null) {
            $film->update([
                'state' => 'refused',
                'message' => (new Refusal('refusals.shelf.no-film'))->toJson(),
            ]);

            throw ActionException::because('refusals.shelf.not-film-mp-mov');
        }

        return DB::transaction(function () use ($film, $offset, $part): int {
            $film = Film::query()->lockForUpdate()->findOrFail($film->id);
            if ($film->state !== 'arriving') {
                return $film->received;
            }
            // A part that is here already: the sender is told where to go on.
            if ($offset < $film->received) {
                return $film->received;
            }
            if ($offset > $film->received) {
                throw ActionException::because('refusals.shelf.part-leaves-hole', [], ActionException::CONFLICT);
            }
            if ($part === '' || strlen($part) > self::PART || $offset + strlen($part) > $film->bytes) {
                throw ActionException::because('refusals.shelf.part-does-not-belong');
            }
            try {
                $this->files->putPart($film->public_id, $offset, $part);
            } catch (FilesystemException) {
                throw ActionException::because('refusals.shelf.part-not-kept', [], ActionException::FULL);
            }
            $film->received = $offset + strlen($part);
            $film->container ??= Container::recognised($part)?->value;
            if ($film->received === $film->bytes) {
                $film->state = 'waiting';
                event(new FilmArrived($film->id));
            }
            $film->save();

            return $film->received;
        });
    }
}
