<?php

declare(strict_types=1);

namespace App\Shelf\Actions;

use App\Exceptions\ActionException;
use App\Exceptions\Refusal;
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
use Illuminate\Support\Facades\Storage;

/**
 * Takes a film in, part by part, so that a lost network costs one part and no server limit matters. A part sent
 * twice is known by its place. When the last byte is here the original is summed and its conversion queued.
 */
final readonly class ReceiveFilm
{
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
            // A part known already, or one that leaves a hole: the sender is told where to go on.
            if ($offset !== $film->received) {
                return $film->received;
            }
            if ($part === '' || strlen($part) > self::PART || $offset + strlen($part) > $film->bytes) {
                throw ActionException::because('refusals.shelf.part-does-not-belong');
            }
            $path = self::work($film);
            // Whatever a broken write left behind the last known byte is overwritten.
            $file =
                fopen($path, 'c+b') ?:
                throw ActionException::because('refusals.shelf.film-cannot-written-down');
            ftruncate($file, max(0, $offset));
            fseek($file, $offset);
            $written = fwrite($file, $part) === strlen($part) && fflush($file);
            fclose($file);
            if (! $written) {
                throw ActionException::because('refusals.shelf.disk-full-what-came');
            }
            $film->received = $offset + strlen($part);
            $film->container ??= Container::recognised($part)?->value;
            if ($film->received === $film->bytes) {
                $this->complete($film, $path);
            }
            $film->save();

            return $film->received;
        });
    }

    private function complete(Film $film, string $path): void
    {
        $film->checksum = (string) hash_file('sha256', $path);
        $disk = Storage::disk('films');
        $stream = fopen($path, 'rb');
        $disk->put($film->path('original.'.Container::from((string) $film->container)->extension()), $stream ?: '');
        is_resource($stream) && fclose($stream);
        unlink($path);
        $film->state = 'waiting';
        event(new FilmArrived($film->id));
    }

    /** The file a film grows in while it arrives, always on this machine. */
    private static function work(Film $film): string
    {
        $directory = storage_path('app/private/arriving');
        is_dir($directory) || mkdir($directory, 0700, true);

        return "$directory/{$film->public_id}";
    }
}
