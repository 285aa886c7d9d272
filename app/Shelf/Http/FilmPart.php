<?php

declare(strict_types=1);

namespace App\Shelf\Http;

use App\Http\StoredFile;
use App\Models\Film;
use App\Models\Recording;
use Symfony\Component\HttpFoundation\Response;

/**
 * One part of a ready film – the stream, its poster, the picture of a station – in byte ranges. Asks nobody: the door
 * does.
 */
final readonly class FilmPart
{
    private const PARTS = '/^(stream|poster|(AD|TB|LB|TP|LD|SD|IM|ST|FI))$/';

    /** @param  (callable(string): string)|null  $path  of a file made anew for one place in a sitting */
    public function answer(
        Recording $recording,
        string $view,
        string $part,
        ?callable $path = null,
    ): Response {
        abort_unless(preg_match(self::PARTS, $part) === 1, 404);
        $film = Film::query()
            ->where('state', 'ready')
            ->where('recording_id', $recording->id)
            ->where('view', $view)
            ->firstOrFail();
        $file = ($path ?? $film->path(...))($part === 'stream' ? 'stream.mp4' : "$part.jpg");
        $response = StoredFile::answer('films', $file, [
            'Content-Type' => $part === 'stream' ? 'video/mp4' : 'image/jpeg',
        ]);
        if ($path !== null) {
            // When it was made would tell what was made next to it.
            $response->headers->remove('Last-Modified');
        }

        return $response;
    }
}
